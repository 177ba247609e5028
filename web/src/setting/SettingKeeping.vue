<script setup lang="ts">
/** How long records are kept, and the log of who read or changed what. For the owner. */
import { onMounted, ref } from 'vue'
import { countText } from '@lea/core/amount'
import { api, inWords } from '../shared/api'
import NameInWords from '../parts/privacy/NameInWords.vue'
import SettingLog from './SettingLog.vue'

const months = ref(36)
const said = ref('')

async function attempt(work: () => Promise<string>): Promise<void> {
  try {
    said.value = await work()
  } catch (e) {
    said.value = inWords(e)
  }
}
onMounted(() =>
  attempt(async () => {
    months.value = (await api<{ months: number }>('GET', '/keeping')).months
    return ''
  }),
)
const keep = () =>
  attempt(async () => {
    await api('PUT', '/keeping', { months: months.value })
    return 'Saved. Each night what is older goes.'
  })
const sweep = () =>
  attempt(async () => {
    const { erased } = await api<{ erased: number }>('POST', '/keeping/sweep', {})
    return erased === 0 ? 'Nothing is older than that.' : `${countText(erased, 'session')} erased.`
  })
</script>

<template>
  <section aria-label="How long records are kept">
    <p class="mb-2 text-sm text-soft">
      Sessions older than this are erased each night, with their plans and all that was tapped. Local rules
      say how long you have to keep what.
    </p>
    <form class="flex flex-wrap items-end gap-3" @submit.prevent="keep">
      <label class="font-semibold"
        >Months<input
          v-model.number="months"
          type="number"
          min="1"
          max="300"
          class="field mt-1 block !w-28 font-normal"
      /></label>
      <button type="submit" class="btn">Save</button>
      <button type="button" class="btn" @click="sweep">Erase older ones now</button>
    </form>
    <p v-if="said" role="status" class="mt-2">{{ said }}</p>
    <h3 class="mt-4 text-lg">A name in written words</h3>
    <p class="mb-2 text-sm text-soft">
      Notes, incidents, own questions, recipes: where a child who was erased is named in them, the name is
      blanked here.
    </p>
    <NameInWords />
    <h3 class="mt-4 text-lg">Who read or changed what</h3>
    <SettingLog />
  </section>
</template>
