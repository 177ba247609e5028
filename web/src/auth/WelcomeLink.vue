<script setup lang="ts">
/** Whoever comes by a one-time link: the first owner of a setting, or somebody who gets a new password. */
import { toTypedSchema } from '@vee-validate/yup'
import { useForm } from 'vee-validate'
import { onMounted, ref, shallowRef } from 'vue'
import { useRouter } from 'vue-router'
import { firstOwnerSchema } from '@lea/core/schema'
import { api, inWords } from '../shared/api'
import Notice from '../parts/Notice.vue'
import TextField from '../parts/TextField.vue'
import { useAuthStore } from '../stores/auth'

interface Found {
  setting: string
  for: 'owner' | 'password'
  signIn?: string
}
const auth = useAuthStore()
const router = useRouter()
// After the # it is sent to nobody, and stands in no log.
const word = location.hash.slice(1)
const found = shallowRef<Found | null>(null)
const fault = ref('')
const isSet = ref(false)
const { handleSubmit, isSubmitting, setValues } = useForm({
  validationSchema: toTypedSchema(firstOwnerSchema),
  initialValues: { word, owner: '', signIn: '', password: '' },
})

onMounted(async () => {
  try {
    found.value = await api<Found>('POST', '/link', { word })
    // Who has a name here is asked for a password alone.
    const { signIn } = found.value
    if (signIn) setValues({ owner: signIn, signIn }, false)
    // Whoever opens the browser's history finds no link in it.
    history.replaceState(history.state, '', location.pathname)
  } catch (e) {
    fault.value = inWords(e)
  }
})
const use = handleSubmit(async (values) => {
  fault.value = ''
  try {
    if (found.value?.for === 'owner') {
      await auth.enter(await api('POST', '/link/owner', values))
      await router.push('/today')
    } else {
      await api('POST', '/link/password', { word, password: values.password })
      isSet.value = true
    }
  } catch (e) {
    fault.value = inWords(e)
  }
})
</script>

<template>
  <main id="main" class="mx-auto grid min-h-dvh max-w-xl content-center gap-4 p-5">
    <template v-if="isSet">
      <h1 class="text-4xl">The password is set</h1>
      <p>Wherever you were signed in, you are signed out.</p>
      <RouterLink class="btn btn-main justify-self-start" to="/sign-in">Sign in</RouterLink>
    </template>
    <template v-else-if="found">
      <h1 class="text-4xl">{{ found.setting }}</h1>
      <p class="text-soft">
        {{
          found.for === 'owner'
            ? 'You will be its owner: you say who else signs in. This link works once.'
            : 'Choose a new password. This link works once.'
        }}
      </p>
      <form class="patch grid gap-4 p-5" novalidate @submit="use">
        <TextField v-if="found.for === 'owner'" name="owner" label="Your name" autocomplete="name" />
        <TextField
          v-if="found.for === 'owner'"
          name="signIn"
          label="Sign-in name"
          hint="small letters and digits"
          autocomplete="username"
        />
        <p v-else>
          You sign in as <strong>{{ found.signIn }}</strong>.
        </p>
        <TextField
          name="password"
          label="Password"
          type="password"
          hint="at least 10 characters"
          autocomplete="new-password"
        />
        <Notice v-if="fault" tone="fault">{{ fault }}</Notice>
        <button type="submit" class="btn btn-main" :disabled="isSubmitting">
          {{ found.for === 'owner' ? 'Start' : 'Set the password' }}
        </button>
      </form>
    </template>
    <template v-else>
      <h1 class="text-4xl">A one-time link</h1>
      <Notice v-if="fault" tone="fault">{{ fault }}</Notice>
      <p v-else role="status" class="text-soft">Looking…</p>
      <RouterLink v-if="fault" class="btn justify-self-start" to="/sign-in">Sign in</RouterLink>
    </template>
  </main>
</template>
