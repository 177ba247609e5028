/** Names of those in the open session: its children and adults, and its guests. */
import { computed, type ComputedRef, type ShallowRef } from 'vue'
import { fillNames } from '@lea/core/plan'
import type { StoredSession } from '@lea/core/setting'
import { useSettingStore } from '../setting'

const GONE = 'someone no longer here'

export function namesOf(stored: ShallowRef<StoredSession | null>): {
  names: ComputedRef<Map<string, string>>
  /** A text with the names in the place of their tokens. */
  say: (text: string) => string
  nameOf: (id: string) => string
} {
  const settingStore = useSettingStore()
  const names = computed(
    () =>
      new Map([
        ...settingStore.names,
        ...(stored.value?.guests ?? []).map((g) => [g.id, g.nickname] as const),
      ]),
  )
  return {
    names,
    say: (text) => fillNames(text, names.value, GONE),
    nameOf: (id) => names.value.get(id) ?? GONE,
  }
}
