/** Readings of a device of the kitchen as they come, while a screen shows them. */
import { onUnmounted, ref, shallowRef, type Ref, type ShallowRef } from 'vue'
import { useNow } from '@vueuse/core'

const KEPT = 400

export interface Readings<T> {
  /** The newest last; `at` is when it came here. */
  list: ShallowRef<(T & { at: number })[]>
  now: Ref<Date>
  /** The server is not there: no device can be heard. */
  away: Ref<boolean>
}

export function useReadings<T extends object>(device: 'scale' | 'probe'): Readings<T> {
  const list = shallowRef<(T & { at: number })[]>([])
  const now = useNow({ interval: 500 })
  const away = ref(false)
  const stream = new EventSource(`/api/devices/${device}`)
  stream.onmessage = ({ data }) => {
    away.value = false
    list.value = [...list.value.slice(-KEPT), { ...(JSON.parse(String(data)) as T), at: Date.now() }]
  }
  stream.onerror = () => {
    away.value = true
  }
  onUnmounted(() => stream.close())
  return { list, now, away }
}
