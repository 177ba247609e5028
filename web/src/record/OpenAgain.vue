<script setup lang="ts">
/** A session that was ended by mistake goes on: an act of its own, with a reason that stays in the record. */
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { api, inWords } from '../shared/api'
import Sheet from '../parts/Sheet.vue'

const props = defineProps<{ id: string }>()
const router = useRouter()
const asking = ref(false)
const reason = ref('')
const fault = ref('')
const busy = ref(false)
async function again(): Promise<void> {
  if (reason.value.trim() === '') {
    fault.value = 'Write why it goes on, in a few words.'
    return
  }
  busy.value = true
  fault.value = ''
  try {
    await api('POST', `/sessions/${props.id}/reopen`, { reason: reason.value.trim() })
    await router.push(`/session/${props.id}/cook`)
  } catch (e) {
    fault.value = inWords(e)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <button type="button" class="btn justify-self-start" @click="asking = true">Open it again</button>
  <Sheet v-if="asking" open title="Open the session again" @close="asking = false">
    <p class="mb-2">It goes on at the table where it stood. What was tapped and written stays.</p>
    <label class="block font-semibold" for="why-again">Why</label>
    <textarea id="why-again" v-model="reason" rows="2" class="field" maxlength="400" />
    <p v-if="fault" role="alert" class="mt-1 font-semibold text-paprika">{{ fault }}</p>
    <button type="button" class="btn btn-main mt-3" :disabled="busy" @click="again">Open it again</button>
  </Sheet>
</template>
