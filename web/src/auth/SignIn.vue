<script setup lang="ts">
import { toTypedSchema } from '@vee-validate/yup'
import { useForm } from 'vee-validate'
import { ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { signInSchema } from '@lea/core/schema'
import { api, inWords } from '../shared/api'
import { innerPath } from '../shared/inner-path'
import Notice from '../parts/Notice.vue'
import TextField from '../parts/TextField.vue'
import { useAuthStore } from '../stores/auth'

const auth = useAuthStore()
const route = useRoute()
const router = useRouter()
const fault = ref('')
const { handleSubmit, isSubmitting } = useForm({
  validationSchema: toTypedSchema(signInSchema),
  initialValues: { signIn: '', password: '' },
})

const enter = handleSubmit(async (values) => {
  fault.value = ''
  try {
    await auth.enter(await api('POST', '/sign-in', values))
  } catch (e) {
    fault.value = inWords(e)
    return
  }
  await router.push(innerPath(route.query['to']))
})
</script>

<template>
  <main id="main" class="mx-auto grid min-h-dvh max-w-md content-center gap-4 p-5">
    <h1 class="text-5xl">Lea</h1>
    <p class="text-soft">Cooking with young children: from plan to table to record.</p>
    <Notice v-if="auth.away">
      <strong>No network.</strong> The server does not answer, and this device has no code that opens what it
      kept. Cook from the printed run sheet; what was tapped here is sent when the network is back.
    </Notice>
    <form class="patch grid gap-3 p-5" novalidate @submit="enter">
      <TextField name="signIn" label="Sign-in name" autocomplete="username" />
      <TextField name="password" label="Password" type="password" autocomplete="current-password" />
      <Notice v-if="fault" tone="fault">{{ fault }}</Notice>
      <button type="submit" class="btn btn-main" :disabled="isSubmitting">Sign in</button>
    </form>
    <RouterLink to="/emergency" class="justify-self-start text-paprika underline"
      >Emergency: first steps</RouterLink
    >
  </main>
</template>
