<script setup lang="ts">
/** A named adult goes on in spite of a finding, with a written reason that stays in the record. */
import { ref } from 'vue'
import type { Finding } from '@lea/core/plan'
import Sheet from './Sheet.vue'
import { useAuthStore } from '../stores/auth'
import { useSession } from '../stores/session/session'

const props = defineProps<{ finding: Finding }>()
const emit = defineEmits<{ close: [] }>()
const session = useSession()
const auth = useAuthStore()
const why = ref('')
const fault = ref('')

async function write(): Promise<void> {
  if (why.value.trim().length < 8) {
    fault.value = 'Write the reason in a few words: who agreed, and what is done instead.'
    return
  }
  const { id, cause } = props.finding
  await session.choose({
    kind: 'clear',
    finding: id,
    cause,
    who: auth.person?.id ?? '',
    why: why.value.trim().slice(0, 400),
    at: new Date().toISOString(),
  })
  emit('close')
}
</script>

<template>
  <Sheet open title="Go on, and write why" @close="emit('close')">
    <p class="mb-2 font-semibold">{{ session.say(finding.says) }}</p>
    <p class="mb-3 text-soft">
      The child’s own care plan, your setting’s rules and clinicians come first. This is signed by
      {{ auth.person?.name }} and stays in the record. If anything it rests on changes, the finding is back.
    </p>
    <label class="block font-semibold" for="why">Reason</label>
    <textarea id="why" v-model="why" rows="3" class="field" maxlength="400" />
    <p v-if="fault" role="alert" class="mt-1 font-semibold text-paprika">{{ fault }}</p>
    <button type="button" class="btn btn-main mt-3" @click="write">Sign and go on</button>
  </Sheet>
</template>
