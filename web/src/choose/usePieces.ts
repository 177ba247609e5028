/** A long list piece by piece: what is seen first is drawn first, the rest of a piece by a few, each while nothing else is to be done. */
import { tryOnScopeDispose } from '@vueuse/core'
import { computed, ref, watch, type ComputedRef, type Ref } from 'vue'

/** So few are drawn within a frame or two also on a slow tablet: at once, and then each time. */
const FEW = 2
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
  const drawn = ref(FEW)
  let asked = false
  let gone = false
  tryOnScopeDispose(() => (gone = true))
  function draw(): void {
    if (asked || drawn.value >= Math.min(count.value, list.value.length)) return
    asked = true
    whenIdle(() => {
      asked = false
      if (gone) return
      drawn.value += FEW
      draw()
    })
  }
  // Another choice of them begins anew; the same in another order, or with more said of them, stands.
  watch(
    () => list.value.length,
    () => {
      drawn.value = FEW
      draw()
    },
    { immediate: true },
  )
  watch(count, draw)
  return {
    shown: computed(() => list.value.slice(0, Math.min(drawn.value, count.value))),
    next: computed(() => Math.max(0, Math.min(PIECE, list.value.length - count.value))),
    more: () => void (count.value += PIECE),
  }
}
