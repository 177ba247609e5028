<script setup lang="ts">
/** The weave of what is being written, live: what a change does to the clock, the turns, the cost and what is to settle. */
import { computed, ref, shallowRef, watch } from 'vue'
import { useDebounceFn } from '@vueuse/core'
import { countText, minutesText } from '@lea/core/amount'
import type { Evaluation, Remedy } from '@lea/core/choose'
import { type Plan, fillNames, openStops, planFigures } from '@lea/core/plan'
import type { Recipe } from '@lea/core/recipe'
import { assemble } from '@lea/core/setting'
import Picture from '../parts/pictures/Picture.vue'
import FitLine from '../choose/FitLine.vue'
import { useGroup } from '../choose/useGroup'
import { useSettingStore } from '../stores/setting'
import { useShelf } from '../stores/shelf'
import { compileInWorker } from '../workers/planner'
import { looksInWorkers, remedyInWorker } from '../workers/shelf'

const props = defineProps<{ recipe: Recipe }>()
const settingStore = useSettingStore()
const shelf = useShelf()
const group = useGroup()
const plan = shallowRef<Plan | null>(null)
const look = shallowRef<Evaluation | null>(null)
const remedy = shallowRef<Remedy | null>()
const fault = ref('')
let round = 0

async function work(): Promise<void> {
  const mine = ++round
  const recipe = JSON.parse(JSON.stringify(props.recipe)) as Recipe
  const { setting, children, adults } = settingStore
  const wish = shelf.wishOf(group.session.value)
  if (!setting || !wish || group.isEmpty.value) return
  const answer = await compileInWorker(assemble(group.session.value, { setting, recipe, children, adults }))
  if (mine !== round) return
  fault.value = 'error' in answer ? answer.error.says : ''
  plan.value = 'plan' in answer ? answer.plan : null
  const row = { id: 'draft', recipe }
  remedy.value = undefined
  await looksInWorkers(
    [row],
    wish,
    ([one]) => (look.value = one ?? null),
    () => mine === round,
  )
  const found = look.value
  if (mine !== round || !found) return
  const help = found.against.length > 0 ? await remedyInWorker(found, row, wish) : null
  if (mine === round) remedy.value = help
}
const soon = useDebounceFn(() => void work(), 400)
watch(() => props.recipe, soon, { deep: true, immediate: true })

const figures = computed(() => (plan.value ? planFigures(plan.value) : null))
const stops = computed(() => (plan.value ? openStops(plan.value) : []))
const say = (text: string): string => fillNames(text, settingStore.names, 'a guest')
const longest = computed(() => Math.max(1, ...(plan.value?.schedule ?? []).map((s) => s.seconds)))
</script>

<template>
  <section aria-labelledby="its-weave" class="patch p-4">
    <h2 id="its-weave" class="text-xl">Its weave</h2>
    <p class="mb-2 text-sm text-soft">Worked out anew at each change, for {{ group.words.value }}.</p>
    <p v-if="group.isEmpty.value">
      Nobody is on your lists yet: with children there would stand what this recipe comes to for them.
    </p>
    <p v-else-if="fault" role="status" class="border-l-4 border-slate pl-3">No plan yet: {{ fault }}.</p>
    <p v-else-if="!plan" role="status">Weaving …</p>
    <template v-else>
      <p v-if="figures" class="numeral text-2xl">{{ figures.minutes }} minutes, to {{ figures.endsAt }}</p>
      <p v-if="figures" class="text-sm">
        {{
          figures.turns[0] === figures.turns[1]
            ? figures.turns[0]
            : `${figures.turns[0]} to ${figures.turns[1]}`
        }}
        turns each · longest wait {{ figures.wait }} min ·
        {{ stops.length === 0 ? 'Nothing to fix' : `${countText(stops.length, 'problem')} to fix` }}
      </p>
      <FitLine
        v-if="look"
        :standing="{ row: { id: 'draft', recipe }, look, remedy }"
        class="mt-1 border-t border-line pt-1"
      />
      <ol class="mt-2">
        <li
          v-for="s in plan.schedule"
          :key="s.step"
          class="grid grid-cols-[2rem_1fr_4rem] items-center gap-2 border-t border-line py-1"
        >
          <Picture :name="s.picture" class="size-7" />
          <span class="min-w-0">
            <span class="block truncate font-semibold">{{ s.title || 'a step without words' }}</span>
            <span
              class="block h-2"
              :class="
                s.passive ? 'bg-[repeating-linear-gradient(135deg,#3f4e63_0_3px,#fff_3px_6px)]' : 'bg-beet'
              "
              :style="{ width: `${Math.max(2, (100 * s.seconds) / longest)}%` }"
            />
          </span>
          <span class="numeral text-right text-sm">{{
            minutesText(s.seconds).replace('minutes', 'min').replace('minute', 'min')
          }}</span>
        </li>
      </ol>
      <ul v-if="stops.length > 0" class="mt-2 text-sm">
        <li v-for="f in stops.slice(0, 5)" :key="f.id" class="border-l-4 border-paprika pl-2">
          {{ say(f.says) }}
        </li>
        <li v-if="stops.length > 5" class="pl-3 text-soft">and {{ stops.length - 5 }} more</li>
      </ul>
    </template>
  </section>
</template>
