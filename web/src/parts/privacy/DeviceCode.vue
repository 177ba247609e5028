<script setup lang="ts">
/** A short code for this device: without a network it opens what the device kept for the table. */
import { ref } from 'vue'
import { KEPT_HOURS } from '../../offline-cache/answers'
import { canSeal, dropCode, hasCode } from '../../offline-cache/device-lock'
import { useAuthStore } from '../../stores/auth'
import { useAttempt } from '../useAttempt'

const auth = useAuthStore()
const { attempt, fault, said } = useAttempt()
const code = ref('')
const busy = ref(false)
async function choose(): Promise<void> {
  busy.value = true
  await attempt(async () => {
    await auth.chooseCode(code.value)
    code.value = ''
  }, 'This device opens by that code when there is no network.')
  busy.value = false
}
const drop = (): Promise<void> => attempt(dropCode, 'This device has no code any more.')
</script>

<template>
  <section class="patch p-4" aria-labelledby="device-code">
    <h2 id="device-code" class="mb-1 text-xl">If the network fails</h2>
    <p v-if="!canSeal()" class="text-sm text-soft">
      Lea is served here without https: the open page goes on without a network, and a page that was closed
      does not open again until it is back.
    </p>
    <template v-else>
      <p class="mb-2 text-sm text-soft">
        An open page goes on by itself. To open Lea again without a network this device needs a code of its
        own; what it keeps of the children is sealed, and goes after {{ KEPT_HOURS }} hours or at sign-out.
      </p>
      <form class="flex flex-wrap items-end gap-3" @submit.prevent="choose">
        <label class="font-semibold"
          >{{ hasCode ? 'Another code' : 'Code of this device' }}, four to eight digits<input
            v-model="code"
            type="password"
            inputmode="numeric"
            autocomplete="off"
            required
            maxlength="8"
            class="field mt-1 block !w-40 font-normal"
        /></label>
        <button type="submit" class="btn" :disabled="busy">Save this code</button>
        <button v-if="hasCode" type="button" class="btn" @click="drop">No code here</button>
      </form>
    </template>
    <p v-if="fault" role="alert" class="mt-2 font-semibold text-paprika">{{ fault }}</p>
    <p v-if="said" role="status" class="mt-2">{{ said }}</p>
  </section>
</template>
