import { ValidationError } from 'yup'
import { nextTick, ref, type Ref } from 'vue'
import { ApiFault, inWords } from '../shared/api'

/** What a field at fault carries: that it is, and where the reason stands. */
interface AtFault {
  'aria-invalid'?: 'true'
  'aria-describedby'?: string
}

/**
 * What was tried last: why it failed, or that it is done; one of the two is said, never both. Where the fault is of one field, `at(name)` says
 * so at that field, and the focus goes there.
 * @param id of what shows the fault
 */
export function useAttempt(id = 'attempt-fault'): {
  fault: Ref<string>
  said: Ref<string>
  at: (name: string) => AtFault
  attempt: (work: () => Promise<void>, done: string) => Promise<void>
} {
  const fault = ref('')
  const said = ref('')
  const field = ref('')
  const at = (name: string): AtFault =>
    fault.value !== '' && field.value === name ? { 'aria-invalid': 'true', 'aria-describedby': id } : {}
  async function attempt(work: () => Promise<void>, done: string): Promise<void> {
    fault.value = ''
    said.value = ''
    field.value = ''
    try {
      await work()
      said.value = done
    } catch (e) {
      fault.value = inWords(e)
      field.value =
        e instanceof ValidationError ? (e.path ?? '') : e instanceof ApiFault ? (e.field ?? '') : ''
      await nextTick()
      document.querySelector<HTMLElement>(`[aria-describedby="${id}"]`)?.focus()
    }
  }
  return { fault, said, at, attempt }
}
