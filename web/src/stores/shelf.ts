import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import {
  ranked,
  wishFor,
  type Look,
  type Remedy,
  type ShelfRow,
  type StoredSession,
  type Wish,
} from '@lea/core'
import { inWords } from '../api'
import { looksInWorkers, remedyInWorker } from '../workers/shelf'
import { useHouse, type RecipeRow } from './house'

export interface Standing {
  row: RecipeRow
  look: Look
  /** Undefined while it is looked for; null where none was found. */
  remedy: Remedy | null | undefined
}

/** The shelf ranked for one group: looks as they come, then what would help those with something against them. */
export const useShelf = defineStore('shelf', () => {
  const house = useHouse()
  const looks = shallowRef<ReadonlyMap<string, Look>>(new Map())
  const remedies = shallowRef<ReadonlyMap<string, Remedy | null>>(new Map())
  const of = ref(0)
  const fault = ref('')
  let round = 0

  const done = computed(() => looks.value.size)
  const standing = computed((): Standing[] =>
    ranked([...looks.value.values()]).flatMap((look): Standing[] => {
      const row = house.recipes.find((r) => r.id === look.recipe)
      return row
        ? [{ row, look, remedy: look.against.length > 0 ? remedies.value.get(look.recipe) : null }]
        : []
    }),
  )

  /** The wish of a session that is only thought of. */
  function wishOf(session: StoredSession, more: Omit<Wish, 'base'> = {}): Wish | null {
    if (!house.setting) return null
    const { setting, children, adults } = house
    // Plain all through: it goes to a worker.
    const plain = JSON.parse(JSON.stringify(session)) as StoredSession
    return wishFor(plain, { setting, children, adults }, more)
  }

  async function look(wish: Wish): Promise<void> {
    round += 1
    const mine = round
    const wanted = (): boolean => mine === round
    const rows = house.recipes.map((r): ShelfRow => ({ id: r.id, recipe: r.recipe, made: r.made }))
    looks.value = new Map()
    remedies.value = new Map()
    of.value = rows.length
    fault.value = ''
    try {
      await looksInWorkers(
        rows,
        wish,
        (more) => {
          looks.value = new Map([...looks.value, ...more.map((l) => [l.recipe, l] as const)])
        },
        wanted,
      )
    } catch (e) {
      if (wanted()) fault.value = inWords(e)
      return
    }
    // The order stands; what would help comes by and by.
    void help(rows, wish, wanted)
  }

  async function help(rows: readonly ShelfRow[], wish: Wish, wanted: () => boolean): Promise<void> {
    for (const l of ranked([...looks.value.values()])) {
      const row = rows.find((r) => r.id === l.recipe)
      if (!wanted()) return
      if (!row || l.against.length === 0) continue
      const remedy = await remedyInWorker(l, row, wish).catch(() => null)
      if (wanted()) remedies.value = new Map([...remedies.value, [l.recipe, remedy]])
    }
  }

  return { looks, of, done, standing, fault, wishOf, look }
})
