<script setup lang="ts">
/** The sign-in of one adult: role, name, a new password, or the adult removed. Each change ends every sign-in of before. */
import { ref } from 'vue'
import { adultChangeSchema } from '@lea/core/schema'
import { inWords } from '../shared/api'
import { useSettingStore, type AdultRow } from '../stores/setting'

const props = defineProps<{ adult: AdultRow }>()
const emit = defineEmits<{ done: [says: string]; fault: [says: string] }>()
const settingStore = useSettingStore()
const role = ref(props.adult.role ?? '')
const signIn = ref(props.adult.signIn ?? '')
const password = ref('')
const removing = ref(false)

async function attempt(work: () => Promise<void>, says: string): Promise<void> {
  try {
    await work()
    emit('done', says)
  } catch (e) {
    emit('fault', inWords(e))
  }
}
const save = (): Promise<void> =>
  attempt(async () => {
    const change = await adultChangeSchema.validate({
      ...(role.value && role.value !== props.adult.role && { role: role.value }),
      ...(signIn.value && signIn.value !== props.adult.signIn && { signIn: signIn.value }),
      ...(password.value && { password: password.value }),
    })
    if (Object.keys(change).length === 0) throw new Error('nothing is changed yet')
    await settingStore.saveAdult(change, props.adult.id)
  }, `The sign-in of ${props.adult.name} is changed: they sign in anew.`)
const remove = (): Promise<void> =>
  attempt(() => settingStore.removeAdult(props.adult.id), `${props.adult.name} is removed, and signed out.`)
</script>

<template>
  <form class="grid items-end gap-2 sm:grid-cols-3" @submit.prevent="save">
    <label class="text-sm font-semibold"
      >Role<select v-model="role" class="field mt-1 font-normal">
        <option v-if="!adult.role" value="">no sign-in</option>
        <option value="owner">owner</option>
        <option value="leader">leader</option>
        <option value="helper">helper</option>
      </select></label
    >
    <label class="text-sm font-semibold"
      >Sign-in name<input
        v-model="signIn"
        class="field mt-1 font-normal"
        autocomplete="off"
        :disabled="!role"
    /></label>
    <label class="text-sm font-semibold"
      >New password<input
        v-model="password"
        type="password"
        class="field mt-1 font-normal"
        autocomplete="new-password"
        :disabled="!role"
    /></label>
    <p class="text-sm text-soft sm:col-span-3">
      Another role, name or password ends every sign-in of {{ adult.name }}, on all devices.
    </p>
    <div class="flex flex-wrap gap-2 sm:col-span-3">
      <button type="submit" class="btn btn-main">Change the sign-in</button>
      <button v-if="!removing" type="button" class="btn" @click="removing = true">
        Remove {{ adult.name }}
      </button>
      <button v-else type="button" class="btn border-paprika" @click="remove">
        Yes, remove {{ adult.name }}
      </button>
    </div>
  </form>
</template>
