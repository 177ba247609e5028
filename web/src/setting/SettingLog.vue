<script setup lang="ts">
/** Who read or changed what: looked through by what it is of, by whom and by day. For the owner. */
import { onMounted, reactive, ref, shallowRef, watch } from 'vue'
import { api, inWords } from '../shared/api'
import { dayText, timeText } from '../shared/dates'
import { useSettingStore } from '../stores/setting'

interface Line {
  at: string
  who: string
  part: string
  did: string
  subject: string
  /** What it is called now, where it is a recipe or a packet. */
  about: string
}
interface Page {
  lines: Line[]
  parts: Record<string, string>
}
const settingStore = useSettingStore()
const wish = reactive({ part: '', who: '', from: '', to: '' })
const lines = shallowRef<Line[]>([])
const parts = shallowRef<Record<string, string>>({})
const more = ref(false)
const fault = ref('')
const asked = ref(false)
const PAGE = 100
const zone = Intl.DateTimeFormat().resolvedOptions().timeZone

/** Of two questions on their way the later one counts. */
let latest = 0
async function ask(older: boolean): Promise<void> {
  const mine = ++latest
  const before = older ? (lines.value.at(-1)?.at ?? '') : ''
  const query = new URLSearchParams(Object.entries({ ...wish, before, zone }).filter(([, v]) => v !== ''))
  try {
    const page = await api<Page>('GET', `/keeping/audit?${query.toString()}`)
    if (mine !== latest) return
    parts.value = page.parts
    lines.value = older ? [...lines.value, ...page.lines] : page.lines
    more.value = page.lines.length === PAGE
    fault.value = ''
    asked.value = true
  } catch (e) {
    if (mine === latest) fault.value = inWords(e)
  }
}
onMounted(() => ask(false))
watch(wish, () => ask(false))
const about = (l: Line): string => settingStore.names.get(l.subject) ?? l.about
const isSought = (): boolean => Object.values(wish).some((v) => v !== '')
</script>

<template>
  <section aria-label="Who read or changed what">
    <form
      class="mb-2 flex flex-wrap items-end gap-3"
      role="search"
      aria-label="Look through the log"
      @submit.prevent
    >
      <label class="font-semibold"
        >Of<select v-model="wish.part" class="field mt-1 font-normal">
          <option value="">everything</option>
          <option v-for="(label, id) in parts" :key="id" :value="id">{{ label }}</option>
        </select></label
      >
      <label class="font-semibold"
        >By<select v-model="wish.who" class="field mt-1 font-normal">
          <option value="">anybody</option>
          <option v-for="a in settingStore.adults" :key="a.id" :value="a.id">{{ a.name }}</option>
          <option value="lea">Lea and its operator</option>
        </select></label
      >
      <label class="font-semibold"
        >From<input v-model="wish.from" type="date" class="field mt-1 block !w-40 font-normal"
      /></label>
      <label class="font-semibold"
        >To<input v-model="wish.to" type="date" class="field mt-1 block !w-40 font-normal"
      /></label>
    </form>
    <p v-if="fault" role="alert">{{ fault }}</p>
    <p v-else-if="!asked" role="status" class="text-soft">Reading…</p>
    <p v-else-if="lines.length === 0" role="status" class="text-soft">
      {{ isSought() ? 'Nothing of that.' : 'Nothing yet.' }}
    </p>
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
              {{ l.did }}<template v-if="about(l)">: {{ about(l) }}</template>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <button v-if="more" type="button" class="btn mt-2" @click="ask(true)">Older lines</button>
  </section>
</template>
