import { computed, type ComputedRef } from 'vue'
import { Glossary, localeFor } from '@lea/core/learn'
import { useSettingStore } from '../stores/setting'
import { useSession } from '../stores/session/session'

/** The words of Lea and of the setting, and the languages spoken at this table. */
export function useGlossary(): { glossary: ComputedRef<Glossary>; languages: ComputedRef<string[]> } {
  const settingStore = useSettingStore()
  const session = useSession()
  const glossary = computed(
    () =>
      new Glossary(
        settingStore.setting?.words ?? [],
        session.plan?.locale ?? localeFor(settingStore.setting?.rules.country),
      ),
  )
  const languages = computed(() => {
    const present = new Set(session.present)
    const children = settingStore.children.filter((c) => present.has(c.id))
    return [...new Set([...children, ...(session.stored?.guests ?? [])].flatMap((c) => c.languages))]
  })
  return { glossary, languages }
}
