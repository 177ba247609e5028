/** A long list piece by piece: nobody reads two hundred at once, and drawing them takes its time. */
import { computed, ref, type ComputedRef, type Ref } from 'vue'

const PIECE = 20

export function usePieces<T>(list: Ref<readonly T[]>): {
  shown: ComputedRef<T[]>
  /** How many the next piece holds; 0 once all are shown. */
  next: ComputedRef<number>
  more: () => void
} {
  const count = ref(PIECE)
  return {
    shown: computed(() => list.value.slice(0, count.value)),
    next: computed(() => Math.max(0, Math.min(PIECE, list.value.length - count.value))),
    more: () => void (count.value += PIECE),
  }
}
