<script setup lang="ts">
/** No network: what this device kept opens by its code. */
import { ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import Notice from '../parts/Notice.vue'
import { innerPath } from '../shared/inner-path'
import { useAuthStore } from '../stores/auth'

const auth = useAuthStore()
const route = useRoute()
const router = useRouter()
const code = ref('')
const fault = ref('')
const busy = ref(false)
async function attempt(work: () => Promise<string>): Promise<void> {
  busy.value = true
  fault.value = ''
  try {
    fault.value = await work()
    code.value = ''
  } finally {
    busy.value = false
  }
  if (auth.person) await router.push(innerPath(route.query['to']))
}
const open = () => attempt(() => auth.unlock(code.value))
const again = () =>
  attempt(async () => {
    await auth.look()
    if (!auth.away) await router.push({ path: '/sign-in', query: route.query })
    return auth.person ? '' : 'Still no network.'
  })
</script>

<template>
  <main id="main" class="mx-auto grid min-h-dvh max-w-md content-center gap-4 p-5">
    <h1 class="text-3xl">No network</h1>
    <p class="text-soft">What this device kept for the table opens by its code.</p>
    <form v-if="auth.locked" class="patch grid gap-3 p-5" @submit.prevent="open">
      <label class="font-semibold"
        >Code of this device<input
          v-model="code"
          type="password"
          inputmode="numeric"
          autocomplete="off"
          required
          maxlength="8"
          class="field numeral mt-1 text-2xl font-normal"
      /></label>
      <button type="submit" class="btn btn-main" :disabled="busy || code.length < 4">
        {{ busy ? 'Opening …' : 'Open' }}
      </button>
    </form>
    <Notice v-if="fault" tone="fault">{{ fault }}</Notice>
    <p>
      <button type="button" class="btn" :disabled="busy" @click="again">Try the network again</button>
    </p>
    <RouterLink to="/emergency" class="justify-self-start text-paprika underline"
      >Emergency: first steps</RouterLink
    >
  </main>
</template>
