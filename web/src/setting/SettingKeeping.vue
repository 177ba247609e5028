<script setup lang="ts">
/** How long records are kept, and the log of who read or changed what. For the owner. */
import { onMounted, ref, shallowRef } from 'vue'
import { api, inWords } from '../shared/api'
import { useSettingStore } from '../stores/setting'
import { dayText, timeText } from '../shared/dates'
import NameInWords from '../parts/privacy/NameInWords.vue'

interface Line {
  at: string
  who: string
  did: string
  subject: string
}
const settingStore = useSettingStore()
const months = ref(36)
const said = ref('')
const lines = shallowRef<Line[]>([])
const more = ref(true)
const PAGE = 100

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
    await older()
    return ''
  }),
)
async function older(): Promise<void> {
  const last = lines.value.at(-1)?.at
  const answer = await api<{ lines: Line[] }>(
    'GET',
    `/keeping/audit${last ? `?before=${encodeURIComponent(last)}` : ''}`,
  )
  lines.value = [...lines.value, ...answer.lines]
  more.value = answer.lines.length === PAGE
}
const keep = () =>
  attempt(async () => {
    await api('PUT', '/keeping', { months: months.value })
    return 'Saved. Each night what is older goes.'
  })
const sweep = () =>
  attempt(async () => {
    const { erased } = await api<{ erased: number }>('POST', '/keeping/sweep', {})
    return erased === 0 ? 'Nothing is older than that.' : `${erased} sessions were erased.`
  })
const about = (id: string): string => settingStore.names.get(id) ?? ''
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
    <p v-if="lines.length === 0" class="text-soft">Nothing yet.</p>
    <div v-else class="relative max-h-80 overflow-auto" tabindex="0" role="region" aria-label="Log">
      <table class="w-full border-collapse text-left text-sm">
        <thead>
          <tr>
            <th scope="col" class="p-1">When</th>
            <th scope="col" class="p-1">Who</th>
            <th scope="col" class="p-1">What</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(l, i) in lines" :key="i" class="border-t border-line">
            <td class="whitespace-nowrap p-1">{{ dayText(l.at.slice(0, 10)) }}, {{ timeText(l.at) }}</td>
            <td class="p-1">{{ l.who }}</td>
            <td class="p-1">
              {{ l.did }}<template v-if="about(l.subject)">: {{ about(l.subject) }}</template>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <button
      v-if="more && lines.length > 0"
      type="button"
      class="btn mt-2"
      @click="attempt(async () => (await older(), ''))"
    >
      Older lines
    </button>
  </section>
</template>
