<script setup lang="ts">
import { toTypedSchema } from '@vee-validate/yup'
import { useForm } from 'vee-validate'
import { onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { NATIONS } from '@lea/core/amount'
import { firstVisitSchema } from '@lea/core/schema'
import { api, inWords } from '../shared/api'
import Notice from '../parts/Notice.vue'
import TextField from '../parts/TextField.vue'
import { useAuthStore } from '../stores/auth'

const auth = useAuthStore()
const router = useRouter()
const fault = ref('')
const { handleSubmit, isSubmitting, defineField } = useForm({
  validationSchema: toTypedSchema(firstVisitSchema),
  initialValues: {
    setting: '',
    kind: 'nursery',
    nation: 'england' as const,
    owner: '',
    signIn: '',
    password: '',
    recipes: true,
  },
})
const [kind] = defineField('kind')
const [nation] = defineField('nation')
const [recipes] = defineField('recipes')

onMounted(async () => {
  const { needed } = await api<{ needed: boolean }>('GET', '/first-visit')
  if (!needed) await router.replace('/sign-in')
})

const make = handleSubmit(async (values) => {
  fault.value = ''
  try {
    await auth.enter(await api('POST', '/first-visit', values))
  } catch (e) {
    fault.value = inWords(e)
    return
  }
  await router.push('/today')
})
const KINDS = [
  ['nursery', 'Nursery or pre-school'],
  ['library', 'Library or drop-in'],
  ['home', 'Home or childminder'],
]
</script>

<template>
  <main id="main" class="mx-auto grid min-h-dvh max-w-2xl content-center gap-4 p-5">
    <h1 class="text-4xl">Set up Lea for your group</h1>
    <p class="text-soft">
      Nothing leaves this machine. Children are kept as nicknames and birth months, behind this sign-in.
    </p>
    <form class="patch grid gap-4 p-5 sm:grid-cols-2" novalidate @submit="make">
      <TextField
        name="setting"
        label="Name of the setting"
        class="sm:col-span-2"
        hint="as the children know it"
      />
      <label class="font-semibold"
        >Kind
        <select v-model="kind" class="field mt-1 font-normal">
          <option v-for="[k, w] in KINDS" :key="k" :value="k">{{ w }}</option>
        </select></label
      >
      <label class="font-semibold"
        >Country
        <select v-model="nation" class="field mt-1 font-normal">
          <option v-for="n in NATIONS" :key="n.id" :value="n.id">{{ n.name }}</option>
        </select></label
      >
      <TextField name="owner" label="Your name" autocomplete="name" />
      <TextField name="signIn" label="Sign-in name" hint="small letters and digits" autocomplete="username" />
      <TextField
        name="password"
        label="Password"
        type="password"
        class="sm:col-span-2"
        hint="at least 10 characters"
        autocomplete="new-password"
      />
      <label class="flex items-center gap-2 sm:col-span-2"
        ><input v-model="recipes" type="checkbox" class="size-5" /> Start with Lea’s own recipes</label
      >
      <Notice v-if="fault" tone="fault" class="sm:col-span-2">{{ fault }}</Notice>
      <button type="submit" class="btn btn-main sm:col-span-2" :disabled="isSubmitting">Start</button>
    </form>
  </main>
</template>
