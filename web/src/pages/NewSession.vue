<script setup lang="ts">
/** Day, who, recipe: every recipe is compiled for this group, those with the least to settle first. */
import { computed, onMounted, reactive, ref, watch } from 'vue'
import { assemble, openStops, sessionSchema, type StoredSession } from '@lea/core'
import { ApiFault, inWords } from '../api'
import Notice from '../parts/Notice.vue'
import Sheet from '../parts/Sheet.vue'
import { useHouse, type RecipeRow } from '../stores/house'
import { compileInWorker } from '../workers/planner'
import { todayText } from '../words'

const emit = defineEmits<{ close: []; made: [id: string] }>()
const house = useHouse()
const input = reactive({
  date: todayText(),
  start: '10:15',
  until: '11:30',
  recipe: '',
  children: house.children.map((c) => c.id),
  adults: house.adults.map((a) => a.id),
})
const fault = ref('')
const saving = ref(false)
interface Ranked {
  row: RecipeRow
  stops: string[]
  ends: string
  fault: string
}
const ranked = ref<Ranked[]>([])
let round = 0

async function rank(): Promise<void> {
  round += 1
  const mine = round
  const found: Ranked[] = []
  for (const row of house.recipes) {
    const session: StoredSession = {
      id: 'new',
      ...input,
      recipe: row.id,
      guests: [],
      seats: input.children,
      decisions: [],
      state: 'planned',
    }
    if (!house.setting) return
    const answer = await compileInWorker(
      assemble(session, {
        setting: house.setting,
        recipe: row.recipe,
        children: house.children,
        adults: house.adults,
      }),
    )
    if (mine !== round) return
    found.push(
      'plan' in answer
        ? {
            row,
            stops: openStops(answer.plan).map((f) => f.says),
            ends: answer.plan.totals.endsAt,
            fault: '',
          }
        : { row, stops: [], ends: '', fault: answer.error.says },
    )
  }
  ranked.value = found.sort(
    (a, b) => Number(a.fault !== '') - Number(b.fault !== '') || a.stops.length - b.stops.length,
  )
  if (!input.recipe) input.recipe = ranked.value[0]?.row.id ?? ''
}
onMounted(rank)
watch(
  () => [input.date, input.start, [...input.children], [...input.adults]],
  () => void rank(),
)

const toggle = (list: string[], id: string): void => {
  const at = list.indexOf(id)
  if (at < 0) list.push(id)
  else list.splice(at, 1)
}
const standsAgainst = (r: Ranked): string => {
  if (r.fault) return r.fault
  const n = r.stops.length
  const first = r.stops[0]?.split('. ')[0] ?? ''
  return n === 0 ? `nothing to settle, ends ${r.ends}` : `${n} to settle: ${first}${n > 1 ? ' …' : ''}`
}

async function make(): Promise<void> {
  fault.value = ''
  const session = { ...input, until: input.until || undefined, guests: [], seats: input.children }
  try {
    await sessionSchema.validate(session)
    saving.value = true
    emit('made', await house.addSession(session))
  } catch (e) {
    fault.value = e instanceof ApiFault ? inWords(e) : e instanceof Error ? e.message : String(e)
  } finally {
    saving.value = false
  }
}
const chosen = computed(() => input.children.length)
</script>

<template>
  <Sheet open wide title="New session" @close="emit('close')">
    <form class="grid gap-4" @submit.prevent="make">
      <div class="grid gap-3 sm:grid-cols-3">
        <label class="font-semibold"
          >Day<input v-model="input.date" type="date" class="field mt-1 font-normal"
        /></label>
        <label class="font-semibold"
          >Start<input v-model="input.start" type="time" class="field mt-1 font-normal"
        /></label>
        <label class="font-semibold"
          >Families come at<input v-model="input.until" type="time" class="field mt-1 font-normal"
        /></label>
      </div>
      <fieldset>
        <legend class="mb-1 font-semibold">Who: {{ chosen }} children</legend>
        <div class="flex flex-wrap gap-1.5">
          <button
            v-for="c in house.children"
            :key="c.id"
            type="button"
            class="rounded-patch border px-2.5 py-1"
            :class="input.children.includes(c.id) ? 'border-ink bg-ink text-white' : 'border-line bg-white'"
            :aria-pressed="input.children.includes(c.id)"
            @click="toggle(input.children, c.id)"
          >
            {{ c.nickname }}
          </button>
          <p v-if="house.children.length === 0" class="text-soft">
            No child on the roster yet: guests can be added in the session.
          </p>
        </div>
        <div class="mt-2 flex flex-wrap gap-1.5">
          <button
            v-for="a in house.adults"
            :key="a.id"
            type="button"
            class="rounded-patch border px-2.5 py-1"
            :class="input.adults.includes(a.id) ? 'border-ink bg-ink text-white' : 'border-line bg-white'"
            :aria-pressed="input.adults.includes(a.id)"
            @click="toggle(input.adults, a.id)"
          >
            {{ a.name }}
          </button>
        </div>
      </fieldset>
      <fieldset>
        <legend class="mb-1 font-semibold">Recipe, those with the least to settle first</legend>
        <p v-if="house.recipes.length === 0">
          No recipe yet. <RouterLink class="underline" to="/recipes">Add one</RouterLink>
        </p>
        <p v-else-if="ranked.length === 0" role="status" class="text-soft">
          Trying every recipe with this group …
        </p>
        <ul class="max-h-72 overflow-y-auto" tabindex="0">
          <li v-for="r in ranked" :key="r.row.id" class="border-t border-line">
            <label class="flex cursor-pointer items-start gap-3 py-1.5"
              ><input
                v-model="input.recipe"
                type="radio"
                name="recipe"
                :value="r.row.id"
                class="mt-1 size-5 shrink-0"
              />
              <span
                ><span class="font-semibold">{{ r.row.recipe.title }}</span
                ><span
                  class="block text-sm"
                  :class="r.stops.length > 0 || r.fault ? 'text-paprika' : 'text-soft'"
                  >{{ standsAgainst(r) }}</span
                ></span
              ></label
            >
          </li>
        </ul>
      </fieldset>
      <Notice v-if="fault" tone="fault">{{ fault }}</Notice>
      <button type="submit" class="btn btn-main justify-self-start" :disabled="saving">Lay it out</button>
    </form>
  </Sheet>
</template>
