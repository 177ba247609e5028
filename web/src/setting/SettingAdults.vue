<script setup lang="ts">
/** The adults of a setting: what each leads, and whether and as whom they sign in. */
import { ref } from 'vue'
import { adultSchema } from '@lea/core/schema'
import Notice from '../parts/Notice.vue'
import { useAttempt } from '../parts/useAttempt'
import { useAuthStore } from '../stores/auth'
import { useSettingStore } from '../stores/setting'
import AdultSignIn from './AdultSignIn.vue'

const settingStore = useSettingStore()
const auth = useAuthStore()
const { attempt, fault, said, at } = useAttempt('adult-fault')
const blank = { name: '', knives: false, heat: false, role: '', signIn: '', password: '' }
const adult = ref({ ...blank })
/** Whose sign-in is open. */
const editing = ref('')
function done(says: string): void {
  fault.value = ''
  said.value = says
  editing.value = ''
}
const addAdult = (): Promise<void> =>
  attempt(async () => {
    const a = adult.value
    const input = await adultSchema.validate({
      name: a.name,
      leads: [...(a.knives ? ['knives'] : []), ...(a.heat ? ['heat'] : [])],
      role: a.role || undefined,
      signIn: a.signIn || undefined,
      password: a.password || undefined,
    })
    await settingStore.saveAdult(input)
    adult.value = { ...blank }
  }, 'Added.')
const toggleLead = (id: string, lead: 'knives' | 'heat'): Promise<void> =>
  attempt(async () => {
    const known = settingStore.adults.find((a) => a.id === id)
    if (!known) return
    const leads = known.leads.includes(lead) ? known.leads.filter((l) => l !== lead) : [...known.leads, lead]
    await settingStore.saveAdult({ name: known.name, leads }, id)
  }, 'Saved.')
</script>

<template>
  <section aria-label="Adults">
    <ul>
      <li
        v-for="a in settingStore.adults"
        :key="a.id"
        class="flex flex-wrap items-center gap-3 border-t border-line py-2"
      >
        <span class="flex-1 font-semibold"
          >{{ a.name
          }}<span class="block text-sm font-normal text-soft"
            >{{ a.role ?? 'no sign-in' }}{{ a.signIn ? `, ${a.signIn}` : '' }}</span
          ></span
        >
        <label v-for="l in ['knives', 'heat'] as const" :key="l" class="flex items-center gap-1"
          ><input
            type="checkbox"
            class="size-5"
            :checked="a.leads.includes(l)"
            :disabled="!auth.isOwner()"
            @change="toggleLead(a.id, l)"
          />leads {{ l }}</label
        >
        <button
          v-if="auth.isOwner()"
          type="button"
          class="btn"
          :aria-expanded="editing === a.id"
          @click="editing = editing === a.id ? '' : a.id"
        >
          Sign-in<span class="sr-only"> of {{ a.name }}</span>
        </button>
        <AdultSignIn
          v-if="editing === a.id"
          :adult="a"
          class="w-full"
          @done="(says) => done(says)"
          @fault="(says) => (fault = says)"
        />
      </li>
    </ul>
    <Notice v-if="fault" id="adult-fault" tone="fault" class="mt-2">{{ fault }}</Notice>
    <p v-if="said" role="status" class="text-sm">{{ said }}</p>
    <form v-if="auth.isOwner()" class="mt-4 grid gap-2 sm:grid-cols-2" @submit.prevent="addAdult">
      <label class="font-semibold"
        >Name<input v-model="adult.name" class="field mt-1 font-normal" maxlength="60" v-bind="at('name')"
      /></label>
      <label class="font-semibold"
        >Role<select v-model="adult.role" class="field mt-1 font-normal">
          <option value="">no sign-in</option>
          <option value="leader">leader: plans, runs, records</option>
          <option value="owner">owner: all of that, and the setting</option>
          <option value="helper">helper: the table of today</option>
        </select></label
      >
      <label class="font-semibold"
        >Sign-in name<input
          v-model="adult.signIn"
          v-bind="at('signIn')"
          class="field mt-1 font-normal"
          autocomplete="off"
          :disabled="!adult.role"
      /></label>
      <label class="font-semibold"
        >Password<input
          v-model="adult.password"
          v-bind="at('password')"
          type="password"
          class="field mt-1 font-normal"
          autocomplete="new-password"
          :disabled="!adult.role"
      /></label>
      <span class="flex gap-4">
        <label class="flex items-center gap-1"
          ><input v-model="adult.knives" type="checkbox" class="size-5" />leads knives</label
        >
        <label class="flex items-center gap-1"
          ><input v-model="adult.heat" type="checkbox" class="size-5" />leads heat</label
        >
      </span>
      <button type="submit" class="btn btn-main justify-self-end">Add an adult</button>
    </form>
  </section>
</template>
