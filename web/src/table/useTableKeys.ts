import { useEventListener, useLocalStorage } from '@vueuse/core'
import type { Ref } from 'vue'

type Actions = Record<
  'next' | 'forward' | 'back' | 'timer' | 'simpler' | 'harder' | 'note' | 'help',
  () => void
>

const KEYS: Record<string, keyof Actions> = {
  ' ': 'next',
  n: 'forward',
  b: 'back',
  t: 'timer',
  s: 'simpler',
  h: 'harder',
  m: 'note',
  '?': 'help',
}

/** Keys of the table view: they work only while no button or field has the focus, and can be switched off. */
export function useTableKeys(actions: Actions): { on: Ref<boolean> } {
  const on = useLocalStorage('lea-table-keys', true)
  useEventListener('keydown', (event: KeyboardEvent) => {
    const target = event.target as HTMLElement
    const busy = target.closest('button, a, input, select, textarea, [role="dialog"]')
    const action = KEYS[event.key.toLowerCase()]
    if (!on.value || busy || !action || event.ctrlKey || event.metaKey || event.altKey) return
    event.preventDefault()
    actions[action]()
  })
  return { on }
}
