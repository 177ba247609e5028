import { ref, type Ref } from 'vue'
import { inWords } from '../shared/api'

/** What was tried last: why it failed, or that it is done; one of the two is said, never both. */
export function useAttempt(): {
  fault: Ref<string>
  said: Ref<string>
  attempt: (work: () => Promise<void>, done: string) => Promise<void>
} {
  const fault = ref('')
  const said = ref('')
  async function attempt(work: () => Promise<void>, done: string): Promise<void> {
    fault.value = ''
    said.value = ''
    try {
      await work()
      said.value = done
    } catch (e) {
      fault.value = inWords(e)
    }
  }
  return { fault, said, attempt }
}
