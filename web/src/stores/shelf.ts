import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { useThrottleFn } from '@vueuse/core'
import {
  type Evaluation,
  type Remedy,
  type ShelfRow,
  type SelectionCriteria,
  ranked,
  criteriaFor,
} from '@lea/core/choose'
import type { StoredSession } from '@lea/core/setting'
import { inWords } from '../shared/api'
import { looksInWorkers, remedyInWorker, startShelf } from '../workers/shelf'
import { useSettingStore, type RecipeRow } from './setting'

/** Milliseconds between two drawings of the shelf while it is looked through. */
const EVERY = 250

export interface ShelfEntry {
  row: Omit<RecipeRow, 'version'>
  look: Evaluation
  /** Undefined while it is looked for; null where none was found. */
  remedy: Remedy | null | undefined
}

/** The shelf ranked for one group: looks as they come, then what would help those with something against them. */
export const useShelf = defineStore('shelf', () => {
  const settingStore = useSettingStore()
  const looks = shallowRef<ReadonlyMap<string, Evaluation>>(new Map())
  const remedies = shallowRef<ReadonlyMap<string, Remedy | null>>(new Map())
  const of = ref(0)
  const fault = ref('')
  let round = 0

  const done = computed(() => looks.value.size)
  const rowOf = computed(() => new Map(settingStore.recipes.map((r) => [r.id, r])))
  const order = computed(() => ranked([...looks.value.values()]))
  const standing = computed((): ShelfEntry[] =>
    order.value.flatMap((look): ShelfEntry[] => {
      const row = rowOf.value.get(look.recipe)
      return row
        ? [{ row, look, remedy: look.against.length > 0 ? remedies.value.get(look.recipe) : null }]
        : []
    }),
  )

  /** The wish of a session that is only thought of. */
  function wishOf(
    session: StoredSession,
    more: Omit<SelectionCriteria, 'base'> = {},
  ): SelectionCriteria | null {
    if (!settingStore.setting) return null
    const { setting, children, adults } = settingStore
    // Plain all through: it goes to a worker.
    const plain = JSON.parse(JSON.stringify(session)) as StoredSession
    return criteriaFor(plain, { setting, children, adults }, more)
  }

  /** Before anybody asks: the workers get ready with a few of the shelf. */
  function ready(session: StoredSession): void {
    const wish = wishOf(session)
    if (wish) startShelf(rowsOf(), wish)
  }

  const rowsOf = (): ShelfRow[] =>
    settingStore.recipes.map((r): ShelfRow => ({ id: r.id, recipe: r.recipe, made: r.made }))

  async function look(wish: SelectionCriteria): Promise<void> {
    round += 1
    const mine = round
    const wanted = (): boolean => mine === round
    const rows = rowsOf()
    looks.value = new Map()
    remedies.value = new Map()
    of.value = rows.length
    fault.value = ''
    const got = new Map<string, Evaluation>()
    const show = (): void => {
      if (wanted()) looks.value = new Map(got)
    }
    // The first stand at once; after that the page is not drawn anew for every few, which would take the time the workers need.
    const soon = useThrottleFn(show, EVERY, false, true)
    try {
      await looksInWorkers(
        rows,
        wish,
        (more) => {
          for (const l of more) got.set(l.recipe, l)
          void soon()
        },
        wanted,
      )
      show()
    } catch (e) {
      if (wanted()) fault.value = inWords(e)
      return
    }
    // The order stands; what would help comes by and by.
    void help(rows, wish, wanted)
  }

  async function help(
    rows: readonly ShelfRow[],
    wish: SelectionCriteria,
    wanted: () => boolean,
  ): Promise<void> {
    const found = new Map<string, Remedy | null>()
    const show = (): void => {
      if (wanted()) remedies.value = new Map(found)
    }
    const soon = useThrottleFn(show, EVERY, true, true)
    for (const l of ranked([...looks.value.values()])) {
      const row = rows.find((r) => r.id === l.recipe)
      if (!wanted()) return
      if (!row || l.against.length === 0) continue
      try {
        found.set(l.recipe, await remedyInWorker(l, row, wish))
      } catch (e) {
        // Not the same as that nothing would help: it is not known.
        if (wanted()) fault.value = `What would help could not be worked out: ${inWords(e)}`
        return
      }
      void soon()
    }
    show()
  }

  return { looks, of, done, standing, fault, wishOf, ready, look }
})
