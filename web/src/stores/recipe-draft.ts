/** A recipe that is being written: every change can be taken back, and it is kept on this device until it is saved or thrown away. */
import { computed, ref, watch } from 'vue'
import type { Recipe } from '@lea/core/recipe'

const KEPT_MOST = 100
const KEY = 'lea-recipe-draft:'
const plain = (r: Recipe): Recipe => JSON.parse(JSON.stringify(r)) as Recipe

/** Drafts hold no child's data; they leave with whoever signs out. */
export function forgetDrafts(): void {
  for (const key of Object.keys(localStorage)) if (key.startsWith(KEY)) localStorage.removeItem(key)
}

export function useDraft() {
  const draft = ref<Recipe | null>(null)
  const past = ref<string[]>([])
  const ahead = ref<string[]>([])
  const restored = ref(false)
  let key = ''
  let saved = ''
  let now = ''

  /** @param id of the row, or `new`; what was kept of it stands over what is saved */
  function begin(id: string, recipe: Recipe | null): void {
    key = `${KEY}${id}`
    past.value = []
    ahead.value = []
    saved = recipe ? JSON.stringify(recipe) : ''
    const kept = localStorage.getItem(key)
    restored.value = kept !== null && kept !== saved
    draft.value = kept !== null && restored.value ? (JSON.parse(kept) as Recipe) : recipe && plain(recipe)
    now = JSON.stringify(draft.value)
  }
  watch(
    draft,
    (next) => {
      const text = JSON.stringify(next)
      if (!next || text === now) return
      past.value = [...past.value.slice(1 - KEPT_MOST), now]
      ahead.value = []
      keep(text)
    },
    { deep: true },
  )
  function keep(text: string): void {
    now = text
    if (text === saved) localStorage.removeItem(key)
    else localStorage.setItem(key, text)
  }
  function step(from: typeof past, to: typeof past): void {
    const text = from.value.at(-1)
    if (text === undefined) return
    from.value = from.value.slice(0, -1)
    to.value = [...to.value, now]
    keep(text)
    draft.value = JSON.parse(text) as Recipe
  }
  const undo = (): void => step(past, ahead)
  const redo = (): void => step(ahead, past)
  /** It is saved: nothing is kept on this device any more. */
  function done(): void {
    localStorage.removeItem(key)
    saved = now
    restored.value = false
  }
  const touched = computed(() => draft.value !== null && JSON.stringify(draft.value) !== saved)
  return {
    draft,
    begin,
    undo,
    redo,
    done,
    touched,
    restored,
    canUndo: computed(() => past.value.length > 0),
    canRedo: computed(() => ahead.value.length > 0),
  }
}
