/** Readings of a device of the kitchen as they come, while a screen shows them. */
import { computed, onUnmounted, ref, shallowRef, type ComputedRef, type Ref, type ShallowRef } from 'vue'
import { useNow } from '@vueuse/core'
import { useFeed } from '../../shared/feed'

const KEPT = 400

export interface Readings<T> {
  /** The newest last; `at` is when it came here. */
  list: ShallowRef<(T & { at: number })[]>
  now: Ref<Date>
  /** The server is not there: no device can be heard. */
  away: ComputedRef<boolean>
}

export function useReadings<T extends object>(device: 'scale' | 'probe'): Readings<T> {
  const list = shallowRef<(T & { at: number })[]>([])
  const now = useNow({ interval: 500 })
  const feed = useFeed()
  // Before the first word of it nobody knows.
  const heard = ref(false)
  const away = computed(() => heard.value && feed.live.value === false)
  feed.open(`/api/devices/${device}`, (says) => {
    heard.value = true
    if (says !== 'ask')
      list.value = [...list.value.slice(-KEPT), { ...(JSON.parse(says) as T), at: Date.now() }]
  })
  onUnmounted(feed.close)
  return { list, now, away }
}
