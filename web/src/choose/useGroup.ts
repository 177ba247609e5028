/** For whom the shelf is looked at where nobody said: the next session's group, else everybody on the roster today. */
import { countText } from '@lea/core/amount'
import { computed } from 'vue'
import type { StoredSession } from '@lea/core/setting'
import { useSettingStore } from '../stores/setting'
import { useUpcoming } from '../stores/upcoming'
import { dayText, todayText } from '../shared/dates'

export function useGroup() {
  const settingStore = useSettingStore()
  const upcoming = useUpcoming()
  const next = computed(() => upcoming.ahead.find((s) => s.state === 'planned'))
  const session = computed((): StoredSession => {
    const base = next.value
    const children = base?.children ?? settingStore.children.map((c) => c.id)
    return {
      id: 'shelf',
      date: base?.date ?? todayText(),
      start: base?.start ?? '10:15',
      ...(base?.until && { until: base.until }),
      recipe: '',
      children,
      guests: base?.guests ?? [],
      adults: base?.adults ?? settingStore.adults.map((a) => a.id),
      seats: base?.seats ?? children,
      decisions: [],
      state: 'planned',
    }
  })
  const words = computed(() => {
    const { children, guests, adults, date } = session.value
    const who = `${countText(children.length + guests.length, 'child', 'children')}, ${countText(adults.length, 'adult', 'adults')}`
    return next.value ? `${who}, ${dayText(date)}` : `${who}: everybody on your lists`
  })
  return {
    session,
    words,
    isEmpty: computed(() => session.value.children.length + session.value.guests.length === 0),
  }
}
