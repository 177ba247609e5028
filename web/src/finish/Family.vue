<script setup lang="ts">
/** The family sheet of one child or of the group: looked at first, then as PDF or as a letter in the outbox. Never sent by itself. */
import { countText } from '@lea/core/amount'
import { computed, onMounted, ref, shallowRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { type FamilySheet, MOST_PORTIONS } from '@lea/core/session'
import { api, inWords } from '../shared/api'
import Notice from '../parts/Notice.vue'
import { useSession } from '../stores/session/session'
import { dayText } from '../shared/dates'

const route = useRoute()
const session = useSession()
const id = computed(() => String(route.params['id']))
const child = ref('')
const portions = ref(4)
const measures = ref<'cups' | 'grams'>('cups')
const sheet = shallowRef<FamilySheet | null>(null)
const fault = ref('')
const to = ref('')
const said = ref('')
const query = computed(() =>
  new URLSearchParams({
    ...(child.value && { child: child.value }),
    portions: String(portions.value),
    measures: measures.value,
  }).toString(),
)

async function look(): Promise<void> {
  fault.value = ''
  said.value = ''
  const asked = query.value
  try {
    const answer = await api<FamilySheet>('GET', `/sessions/${id.value}/family?${asked}`)
    if (asked === query.value) sheet.value = answer
  } catch (e) {
    fault.value = inWords(e)
  }
}
onMounted(async () => {
  await session.open(id.value)
  await look()
})
watch(query, () => void look())

async function write(): Promise<void> {
  fault.value = ''
  said.value = ''
  try {
    await api('POST', `/sessions/${id.value}/family/letter`, {
      to: to.value,
      ...(child.value && { child: child.value }),
      portions: portions.value,
      measures: measures.value,
    })
    said.value = `The letter to ${to.value} lies in the outbox.`
  } catch (e) {
    fault.value = inWords(e)
  }
}
const say = (text: string): string => session.say(text)
</script>

<template>
  <main id="main" class="mx-auto max-w-6xl px-5 py-4">
    <p><RouterLink class="underline" :to="`/session/${id}/finish`">Finish</RouterLink></p>
    <h1 class="mb-3 text-3xl">For the family</h1>
    <Notice v-if="fault || session.planFault" tone="fault" class="mb-3">{{
      fault || session.planFault
    }}</Notice>
    <div class="grid items-start gap-5 lg:grid-cols-[20rem_1fr]">
      <section class="patch grid gap-3 p-4" aria-label="What the sheet is of">
        <label class="font-semibold"
          >Of<select v-model="child" aria-label="Of" class="field mt-1 font-normal">
            <option value="">the group, no child by name</option>
            <option v-for="c in session.plan?.children ?? []" :key="c.id" :value="c.id">
              {{ session.nameOf(c.id) }}
            </option>
          </select></label
        >
        <label class="font-semibold"
          >Portions at home<input
            v-model.number="portions"
            type="number"
            min="1"
            :max="MOST_PORTIONS"
            class="field mt-1 !w-24 font-normal"
        /></label>
        <fieldset>
          <legend class="font-semibold">Measured at home with</legend>
          <label
            v-for="m in ['cups', 'grams'] as const"
            :key="m"
            class="mr-4 inline-flex items-center gap-1.5"
            ><input v-model="measures" type="radio" :value="m" class="size-5" />{{
              m === 'cups' ? 'cups and spoons' : 'scales'
            }}</label
          >
        </fieldset>
        <a class="btn" :href="`/api/sessions/${id}/papers/family.pdf?${query}`" target="_blank"
          >Open as PDF</a
        >
        <form class="grid gap-2 border-t border-line pt-3" @submit.prevent="write">
          <label class="font-semibold"
            >Letter to<input
              v-model="to"
              type="email"
              autocomplete="off"
              class="field mt-1 font-normal"
              required
          /></label>
          <button type="submit" class="btn" :disabled="!to || !sheet">Save the letter as a file</button>
          <p class="text-sm text-soft">
            It is not sent: somebody takes it from the outbox. The address stands in that letter only.
          </p>
          <p v-if="said" role="status">{{ said }}</p>
        </form>
      </section>
      <article v-if="sheet" class="patch p-5" aria-label="The sheet">
        <h2 class="text-3xl">{{ sheet.title }}</h2>
        <p>{{ sheet.about }}</p>
        <p v-if="sheet.did.length > 0">
          {{ child ? `${session.nameOf(child)}’s hands` : 'Our hands' }}: {{ sheet.did.join(', ') }}.
        </p>
        <h3 class="mt-3 text-lg">To ask at home</h3>
        <p class="text-lg">“{{ say(sheet.ask) }}”</p>
        <div class="mt-3 grid gap-4 md:grid-cols-[2fr_3fr]">
          <div>
            <h3 class="text-lg">At home, {{ countText(sheet.portions, 'portion') }}</h3>
            <ul>
              <li v-for="l in sheet.lines" :key="l.name + l.amount">
                <strong>{{ l.amount }}</strong> {{ l.name }}<template v-if="l.prep">, {{ l.prep }}</template>
              </li>
            </ul>
          </div>
          <ol class="list-decimal pl-5">
            <li v-for="s in sheet.steps" :key="s.title">
              <strong>{{ s.title }}</strong><template v-if="s.says">: {{ s.says }}</template>
            </li>
          </ol>
        </div>
        <template v-if="sheet.words.length > 0">
          <h3 class="mt-3 text-lg">Our words</h3>
          <ul class="flex flex-wrap gap-x-4">
            <li v-for="w in sheet.words" :key="w.id">
              <strong>{{ w.word }}</strong><template v-for="h in w.home" :key="h.language"
                >{{ ' '
                }}<bdi :lang="h.language" :dir="h.rightToLeft ? 'rtl' : 'ltr'">{{ h.word }}</bdi></template
              >
            </li>
          </ul>
        </template>
        <template v-if="sheet.guessed.length + sheet.said.length > 0">
          <h3 class="mt-3 text-lg">Guessed and found out</h3>
          <p v-for="g in sheet.guessed" :key="g">{{ g }}</p>
          <p v-for="s in sheet.said" :key="s">“{{ s }}”</p>
        </template>
        <template v-if="sheet.met.length > 0">
          <h3 class="mt-3 text-lg">Met today</h3>
          <p>{{ sheet.met.join('; ') }}</p>
        </template>
        <p v-if="sheet.tryAgain.length > 0" class="mt-1">
          Try again, without pressing: {{ sheet.tryAgain.join(', ') }}.
        </p>
        <p v-for="l in sheet.leftovers" :key="l.until">
          Left over: {{ l.amount || 'some' }}, at 5 °C or below, eaten until {{ dayText(l.until) }}.
        </p>
        <p class="mt-3 border-t border-line pt-2 text-sm">
          The recipe as we cooked it lists:
          {{ sheet.lists.join(', ') || 'none of the allergens Lea knows' }}.<template
            v-if="sheet.unknown.length > 0"
          >
            Not known: {{ sheet.unknown.join(', ') }}.</template
          >
          Other packets may list more: read yours.
        </p>
      </article>
      <p v-else-if="!fault" role="status">Writing the sheet …</p>
    </div>
  </main>
</template>
