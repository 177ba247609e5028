/** A long list piece by piece: what is seen first is drawn first, the rest of a piece while nothing else is to be done. */
import { computed, ref, watch, type ComputedRef, type Ref } from 'vue'

/** About what a screen holds. */
const AT_ONCE = 6
const PIECE = 20

const whenIdle = (then: () => void): void => {
  // Not every browser says when it has time.
  if ('requestIdleCallback' in window) requestIdleCallback(then, { timeout: 1000 })
  else setTimeout(then, 100)
}

export function usePieces<T>(list: Ref<readonly T[]>): {
  shown: ComputedRef<T[]>
  /** How many the next piece holds; 0 once all are shown. */
  next: ComputedRef<number>
  more: () => void
} {
  const count = ref(PIECE)
  const drawn = ref(false)
  const now = computed(() => (drawn.value ? count.value : AT_ONCE))
  watch(
    () => list.value.length > 0,
    (some) => some && whenIdle(() => (drawn.value = true)),
    { immediate: true },
  )
  return {
    shown: computed(() => list.value.slice(0, now.value)),
    next: computed(() => Math.max(0, Math.min(PIECE, list.value.length - count.value))),
    more: () => void (count.value += PIECE),
  }
}
