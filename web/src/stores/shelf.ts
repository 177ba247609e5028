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
import { looksInWorkers, remedyInWorker } from '../workers/shelf'
import { useSettingStore, type RecipeRow } from './setting'

/** Milliseconds between two drawings of what would help. */
const EVERY = 250
/** So many shelves are remembered while the page is open: who turns back finds it as it was. */
const REMEMBERED = 4

export interface ShelfEntry {
  row: Omit<RecipeRow, 'version'>
  look: Evaluation
  /** Undefined while it is looked for; null where none was found. */
  remedy: Remedy | null | undefined
}

/** A shelf that was looked through. */
interface Seen {
  looks: ReadonlyMap<string, Evaluation>
  remedies: ReadonlyMap<string, Remedy | null>
}

/**
 * The shelf ranked for one group. It stands once all of it is looked at, so that no card changes its place under a finger; then what would help
 * those with something against them comes by and by, each in its own card.
 */
export const useShelf = defineStore('shelf', () => {
  const settingStore = useSettingStore()
  const looks = shallowRef<ReadonlyMap<string, Evaluation>>(new Map())
  const remedies = shallowRef<ReadonlyMap<string, Remedy | null>>(new Map())
  const done = ref(0)
  const of = ref(0)
  const fault = ref('')
  let round = 0
  let asked = ''
  const seen = new Map<string, Seen>()

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
  /** It is being looked through: what stands is another group's, or nothing. */
  const looking = computed(() => fault.value === '' && done.value < of.value)

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

  const rowsOf = (): ShelfRow[] =>
    settingStore.recipes.map((r): ShelfRow => ({ id: r.id, recipe: r.recipe, made: r.made }))

  async function look(wish: SelectionCriteria): Promise<void> {
    const rows = rowsOf()
    const key = JSON.stringify([wish, settingStore.recipes.map((r) => [r.id, r.version, r.made])])
    if (key === asked && fault.value === '') return
    asked = key
    round += 1
    const mine = round
    const wanted = (): boolean => mine === round
    fault.value = ''
    of.value = rows.length
    const before = seen.get(key)
    if (before) {
      done.value = rows.length
      looks.value = before.looks
      remedies.value = before.remedies
    } else {
      done.value = 0
      const got = new Map<string, Evaluation>()
      try {
        await looksInWorkers(
          rows,
          wish,
          (more) => {
            for (const l of more) got.set(l.recipe, l)
            if (wanted()) done.value = got.size
          },
          wanted,
        )
      } catch (e) {
        if (!wanted()) return
        looks.value = new Map()
        fault.value = inWords(e)
        return
      }
      if (!wanted()) return
      looks.value = got
      remedies.value = new Map()
      done.value = rows.length
    }
    remember(key)
    void help(rows, wish, wanted, key)
  }
  function remember(key: string): void {
    seen.delete(key)
    seen.set(key, { looks: looks.value, remedies: remedies.value })
    if (seen.size > REMEMBERED) seen.delete([...seen.keys()][0] ?? '')
  }

  async function help(
    rows: readonly ShelfRow[],
    wish: SelectionCriteria,
    wanted: () => boolean,
    key: string,
  ): Promise<void> {
    const found = new Map(remedies.value)
    const show = (): void => {
      if (!wanted()) return
      remedies.value = new Map(found)
      remember(key)
    }
    const soon = useThrottleFn(show, EVERY, true, true)
    for (const l of ranked([...looks.value.values()])) {
      const row = rows.find((r) => r.id === l.recipe)
      if (!wanted()) return
      if (!row || l.against.length === 0 || found.has(l.recipe)) continue
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

  return { looks, of, done, looking, standing, fault, wishOf, look }
})
