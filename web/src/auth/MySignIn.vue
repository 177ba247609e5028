<script setup lang="ts">
/** One's own sign-in: another password, and where one is signed in. */
import { onMounted, ref } from 'vue'
import { ownPasswordSchema } from '@lea/core/schema'
import { api } from '../shared/api'
import { dayText, timeText } from '../shared/dates'
import DeviceCode from '../parts/privacy/DeviceCode.vue'
import Notice from '../parts/Notice.vue'
import { useAttempt } from '../parts/useAttempt'
import { useAuthStore } from '../stores/auth'

interface SignIn {
  since: string
  used: string
  device: string
  here: boolean
}
const auth = useAuthStore()
const { attempt, fault, said } = useAttempt()
const old = ref('')
const password = ref('')
const signIns = ref<SignIn[] | null>(null)

const load = async (): Promise<void> => {
  signIns.value = (await api<{ signIns: SignIn[] }>('GET', '/me/sign-ins')).signIns
}
onMounted(() => attempt(load, ''))
const change = (): Promise<void> =>
  attempt(async () => {
    const input = await ownPasswordSchema.validate({ old: old.value, password: password.value })
    await api('PUT', '/me/password', input)
    old.value = ''
    password.value = ''
    await load()
  }, 'Your password is changed. Everywhere else you are signed out.')
const everywhere = (): Promise<void> =>
  attempt(async () => {
    const says = await auth.signOut('everywhere')
    if (says) throw new Error(says)
  }, '')
const when = (iso: string): string => `${dayText(iso.slice(0, 10))} ${timeText(iso)}`
</script>

<template>
  <main id="main" class="mx-auto grid max-w-3xl gap-6 px-5 py-4">
    <div>
      <h1 class="text-3xl">Your sign-in</h1>
      <p class="text-soft">{{ auth.person?.name }}, {{ auth.person?.role }} · {{ auth.setting }}</p>
      <Notice v-if="fault" tone="fault" class="mt-2">{{ fault }}</Notice>
      <p v-if="said" role="status">{{ said }}</p>
    </div>
    <section class="patch p-4" aria-labelledby="own-password">
      <h2 id="own-password" class="mb-2 text-xl">Another password</h2>
      <form class="grid items-end gap-3 sm:grid-cols-2" @submit.prevent="change">
        <label class="font-semibold"
          >The old one<input
            v-model="old"
            type="password"
            class="field mt-1 font-normal"
            autocomplete="current-password"
        /></label>
        <label class="font-semibold"
          >The new one<input
            v-model="password"
            type="password"
            class="field mt-1 font-normal"
            autocomplete="new-password"
        /></label>
        <p class="text-sm text-soft sm:col-span-2">
          Ten characters or more. A few words that belong to nobody but you are better than one with signs in
          it.
        </p>
        <button type="submit" class="btn btn-main justify-self-start">Change it</button>
      </form>
    </section>
    <DeviceCode />
    <section class="patch p-4" aria-labelledby="sign-ins">
      <h2 id="sign-ins" class="mb-2 text-xl">Where you are signed in</h2>
      <p v-if="!signIns" role="status">Looking …</p>
      <ul v-else>
        <li v-for="(s, i) in signIns" :key="i" class="border-t border-line py-2">
          <span class="font-semibold">{{ s.here ? 'This device' : 'Another device' }}</span>
          <span class="block text-sm text-soft"
            >since {{ when(s.since) }} · last used {{ when(s.used) }}</span
          >
          <span class="block text-sm break-words text-soft">{{ s.device }}</span>
        </li>
      </ul>
      <p class="mt-2 text-sm text-soft">
        A sign-in ends after a day without use, and in any case after sixteen hours.
      </p>
      <button type="button" class="btn mt-2" @click="everywhere">Sign out everywhere</button>
    </section>
  </main>
</template>
