import { computed, type ComputedRef } from 'vue'
import { matNumbers } from '@lea/core/craft'
import { useSettingStore } from '../../stores/setting'
import { useSession } from '../../stores/session/session'

/** The mat number of everyone at the table: the child's own, and for guests the next ones that are free. */
export function useMats(): { matOf: (id: string) => number; mats: ComputedRef<Map<string, number>> } {
  const settingStore = useSettingStore()
  const session = useSession()
  const mats = computed(() =>
    matNumbers(settingStore.children, [
      ...settingStore.children.map((c) => c.id),
      ...(session.stored?.guests ?? []).map((g) => g.id),
    ]),
  )
  return { matOf: (id) => mats.value.get(id) ?? 0, mats }
}
