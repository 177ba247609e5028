import { speakAs } from '../shared/country'
import { rememberRules } from '../shared/last-rules'
import { CancelledError, QueryClient } from '@tanstack/query-core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { MadeBefore } from '@lea/core/choose'
import type { FoodFact, StoredPacket } from '@lea/core/food'
import type { OwnWord } from '@lea/core/learn'
import { type CupboardItem, type Decision, type HouseRules, type Kit, digest } from '@lea/core/plan'
import type { Recipe, RecipeFacts, StillLife } from '@lea/core/recipe'
import type { StoredAdult, StoredChild, StoredSession, StoredSetting } from '@lea/core/setting'
import { api, inWords, lastWrite } from '../shared/api'
import { getCached } from '../offline-cache/answers'

export interface RecipeRow {
  id: string
  /** Who saves says which version they saw. */
  version: number
  recipe: Recipe
  /** What happened with it so far. */
  made?: MadeBefore
  look?: StillLife
  /** What the shelf says and filters of it. */
  facts?: RecipeFacts
}
export interface AdultRow extends StoredAdult {
  signIn: string | null
}
/** A page that opens asks again for what is older, milliseconds. */
const JUST_NOW_MS = 2000
/** So often in a row an answer may be dropped for a newer one before it counts as failed. */
const MOST_DROPPED = 20

type SettingAnswer = StoredSetting & { adults: AdultRow[]; versions: { rules: number; kit: number } }

/** What a setting keeps: rules, kit, foods, adults, children, recipes and sessions. */
export const useSettingStore = defineStore('setting', () => {
  const setting = shallowRef<SettingAnswer | null>(null)
  const children = shallowRef<StoredChild[]>([])
  const recipes = shallowRef<RecipeRow[]>([])
  const sessions = shallowRef<StoredSession[]>([])
  const packets = shallowRef<StoredPacket[]>([])
  const fault = ref('')
  const loaded = ref(false)

  /** One answer for each list: asked for once while it is under way, and anew when it was changed here. */
  const client = new QueryClient({ defaultOptions: { queries: { retry: false, gcTime: Infinity } } })
  const lists = {
    setting: async (...how) => {
      setting.value = await ask<SettingAnswer>('setting', ...how)
      rememberRules(setting.value.rules)
      speakAs(setting.value.rules)
    },
    children: async (...how) => (children.value = await ask<StoredChild[]>('children', ...how)),
    recipes: async (...how) => (recipes.value = await ask<RecipeRow[]>('recipes', ...how)),
    sessions: async (...how) => (sessions.value = await ask<StoredSession[]>('sessions', ...how)),
    packets: async (...how) => (packets.value = await ask<StoredPacket[]>('packets', ...how)),
  } satisfies Record<string, (fresh: number, since: number) => Promise<unknown>>
  type ListName = keyof typeof lists
  const startedAt = new Map<string, number>()
  /**
   * @param staleTime an answer of so many milliseconds ago will do
   * @param since a question that was asked before this time, and is still under way, is dropped: its answer may be from before a change
   */
  async function ask<T>(name: string, staleTime: number, since: number): Promise<T> {
    const query = {
      queryKey: [name],
      queryFn: ({ signal }: { signal: AbortSignal }) => {
        startedAt.set(name, performance.now())
        return getCached<T>(`/${name}`, signal)
      },
      staleTime,
    }
    if (client.isFetching({ queryKey: [name] }) > 0 && (startedAt.get(name) ?? 0) <= since)
      await client.cancelQueries({ queryKey: [name] }, { silent: true })
    for (let tries = 1; ; tries++)
      try {
        return await client.query(query)
      } catch (fault) {
        // Whoever waited for the dropped answer gets the newer one; the page draws and hears in between.
        if (!(fault instanceof CancelledError) || tries === MOST_DROPPED) throw fault
        await new Promise((done) => setTimeout(done))
      }
  }

  let askedAt = -Infinity
  /** Everything, unless it has just been asked for and nothing was sent since. */
  async function load(): Promise<void> {
    fault.value = ''
    const fresh = lastWrite() < askedAt ? JUST_NOW_MS : 0
    if (fresh === 0) askedAt = performance.now()
    try {
      await Promise.all(Object.values(lists).map((list) => list(fresh, lastWrite())))
      loaded.value = true
    } catch (e) {
      fault.value = inWords(e)
    }
  }
  /** Only what a change has touched is asked for again. */
  async function reload(...names: ListName[]): Promise<void> {
    const now = performance.now()
    try {
      await Promise.all(names.map((name) => lists[name](0, now)))
    } catch (e) {
      fault.value = inWords(e)
    }
  }

  /** The cards as they are now: one may have changed while the table is at work. */
  async function loadChildren(): Promise<void> {
    await lists.children(0, performance.now())
  }

  const adults = computed(() => setting.value?.adults ?? [])
  const names = computed(
    () =>
      new Map([
        ...children.value.map((c) => [c.id, c.nickname] as const),
        ...adults.value.map((a) => [a.id, a.name] as const),
      ]),
  )
  const recipe = (id: string): Recipe | undefined => recipes.value.find((r) => r.id === id)?.recipe

  /** @param input of a known child with the version that was seen */
  const saveChild = async (input: Omit<StoredChild, 'id'>, id?: string): Promise<void> => {
    await api(id ? 'PUT' : 'POST', id ? `/children/${id}` : '/children', input)
    await reload('children')
  }
  const saveRoster = async (rows: object[]): Promise<{ added: number; changed: number }> => {
    const answer = await api<{ added: number; changed: number }>('POST', '/children/roster', {
      children: rows,
    })
    await reload('children')
    return answer
  }
  const eraseChild = async (id: string): Promise<void> => {
    await api('DELETE', `/children/${id}`)
    await reload('children', 'sessions')
  }
  const saveAdult = async (input: object, id?: string): Promise<void> => {
    await api(id ? 'PUT' : 'POST', id ? `/adults/${id}` : '/adults', input)
    await reload('setting')
  }
  const removeAdult = async (id: string): Promise<void> => {
    await api('DELETE', `/adults/${id}`)
    await reload('setting')
  }
  const saveRecipe = async (recipe: Recipe, id?: string): Promise<string> => {
    const version = recipes.value.find((r) => r.id === id)?.version
    const row = id
      ? await api<RecipeRow>('PUT', `/recipes/${id}`, { version, recipe })
      : await api<RecipeRow>('POST', '/recipes', recipe)
    await reload('recipes')
    return row.id
  }
  const saveKit = async (kit: Kit): Promise<void> => {
    await api('PUT', '/setting/kit', { version: setting.value?.versions.kit, kit })
    await reload('setting')
  }
  const saveRules = async (rules: HouseRules): Promise<void> => {
    await api('PUT', '/setting/rules', { version: setting.value?.versions.rules, rules })
    await reload('setting')
  }
  const saveFood = async (food: FoodFact): Promise<void> => {
    await api('POST', '/setting/foods', food)
    // What recipes list is worked out with them.
    await reload('setting', 'recipes')
  }
  const saveStock = async (item: CupboardItem): Promise<void> => {
    const saved = await api<CupboardItem>('PUT', `/setting/cupboard/${encodeURIComponent(item.food)}`, item)
    const now = setting.value
    if (!now) return
    const others = (now.cupboard ?? []).filter((c) => c.food !== saved.food)
    setting.value = { ...now, cupboard: [...others, saved] }
  }
  const removeStock = async (food: string): Promise<void> => {
    await api('DELETE', `/setting/cupboard/${encodeURIComponent(food)}`)
    const now = setting.value
    if (now) setting.value = { ...now, cupboard: (now.cupboard ?? []).filter((c) => c.food !== food) }
  }
  const savePacket = async (input: object, id?: string): Promise<StoredPacket> => {
    const packet = await api<StoredPacket>(id ? 'PUT' : 'POST', id ? `/packets/${id}` : '/packets', input)
    packets.value = [...packets.value.filter((p) => p.id !== packet.id), packet].sort(byName)
    return packet
  }
  const removePacket = async (id: string): Promise<void> => {
    await api('DELETE', `/packets/${id}`)
    packets.value = packets.value.filter((p) => p.id !== id)
  }
  const signPacket = async (packet: StoredPacket, readBy: string[]): Promise<void> => {
    const signed = await api<StoredPacket>('POST', `/packets/${packet.id}/readings`, {
      readBy,
      digest: digest(packet.label),
    })
    packets.value = packets.value.map((p) => (p.id === signed.id ? signed : p))
  }
  const readWords = async (csv: string): Promise<number> => {
    const { words } = await api<{ words: number }>('POST', '/words/file', { csv })
    await reload('setting')
    return words
  }
  const saveWord = async (word: OwnWord): Promise<void> => {
    await api('PUT', `/words/${encodeURIComponent(word.id)}`, word)
    await reload('setting')
  }
  const removeWord = async (id: string): Promise<void> => {
    await api('DELETE', `/words/${encodeURIComponent(id)}`)
    await reload('setting')
  }
  /** @param decisions swaps that were chosen with the recipe */
  const addSession = async (input: object, decisions: readonly Decision[] = []): Promise<string> => {
    const session = await api<StoredSession>('POST', '/sessions', input)
    if (decisions.length > 0) {
      const changes = decisions.map((to) => ({ kind: 'decide', was: null, to }))
      await api('POST', `/sessions/${session.id}/changes`, { changes })
      session.decisions = [...decisions]
    }
    sessions.value = [...sessions.value, session]
    return session.id
  }

  return {
    setting,
    children,
    recipes,
    sessions,
    fault,
    loaded,
    adults,
    names,
    load,
    reload,
    loadChildren,
    recipe,
    saveChild,
    saveRoster,
    eraseChild,
    saveAdult,
    removeAdult,
    saveRecipe,
    saveKit,
    saveRules,
    saveFood,
    addSession,
    readWords,
    saveWord,
    removeWord,
    saveStock,
    removeStock,
    packets,
    savePacket,
    removePacket,
    signPacket,
  }
})

const byName = (a: StoredPacket, b: StoredPacket): number => a.name.localeCompare(b.name)
