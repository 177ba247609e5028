import { ValidationError } from 'yup'
import { type InjectionKey, inject, nextTick, provide, ref, type Ref } from 'vue'
import { ApiFault, inWords } from '../shared/api'

/** What a field at fault carries: that it is, and where the reason stands. */
interface AtFault {
  'aria-invalid'?: 'true'
  'aria-describedby'?: string
}

type At = (name: string) => AtFault
const FAULT_AT: InjectionKey<At> = Symbol('fault at')
/** The same within a part of a form whose page tries it. */
export const useFaultAt = (): At => inject(FAULT_AT, () => ({}))

/**
 * What was tried last: why it failed, or that it is done; one of the two is said, never both. Where the fault is of one field, `at(name)` says
 * so at that field, and the focus goes there.
 * @param id of what shows the fault
 */
export function useAttempt(id = 'attempt-fault'): {
  fault: Ref<string>
  said: Ref<string>
  at: At
  attempt: (work: () => Promise<void>, done: string) => Promise<void>
} {
  const fault = ref('')
  const said = ref('')
  const field = ref('')
  const at: At = (name) =>
    fault.value !== '' && field.value === name ? { 'aria-invalid': 'true', 'aria-describedby': id } : {}
  provide(FAULT_AT, at)
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
