import { computed, type ComputedRef } from 'vue'
import { useHouse } from '../stores/house'
import { useSession } from '../stores/session'

/** The mat number of everyone at the table: the child's own, and for guests the next ones that are free. */
export function useMats(): { matOf: (id: string) => number; mats: ComputedRef<Map<string, number>> } {
  const house = useHouse()
  const session = useSession()
  const mats = computed(() => {
    const map = new Map<string, number>()
    for (const c of house.children) if (c.mat !== undefined) map.set(c.id, c.mat)
    const taken = new Set(map.values())
    let next = 0
    for (const id of [
      ...house.children.map((c) => c.id),
      ...(session.stored?.guests ?? []).map((g) => g.id),
    ]) {
      if (map.has(id)) continue
      while (taken.has(next)) next += 1
      taken.add(next)
      map.set(id, next)
    }
    return map
  })
  return { matOf: (id) => mats.value.get(id) ?? 0, mats }
}
