<script setup lang="ts">
/** The steps of a recipe: what goes in, and what hands do. */
import { ArrowUp, Trash2 } from '@lucide/vue'
import type { FoodBook } from '@lea/core/food'
import {
  MODES,
  PLACES,
  type RecipeLine,
  type RecipeStep,
  type RecipeTask,
  extrasOf,
  extrasText,
  lineNames,
  placeName,
} from '@lea/core/recipe'
import { computed } from 'vue'
import StepWays from './step/StepWays.vue'
import StepPasses from './step/StepPasses.vue'
import StepScene from './step/StepScene.vue'
import StepTasting from './step/StepTasting.vue'
import StepRows from './step/StepRows.vue'
import { useFaultAt } from '../parts/useAttempt'
import StepTiming from './step/StepTiming.vue'

const props = defineProps<{
  lines: RecipeLine[]
  foods: FoodBook
  techniques: { id: string; name: string }[]
}>()
const at = useFaultAt()
const steps = defineModel<RecipeStep[]>({ required: true })
const PICTURES = [
  'soap',
  'bowl',
  'herb',
  'seedling',
  'milk',
  'jug',
  'butter',
  'cheese',
  'carrot',
  'cucumber',
  'pear',
  'pepper',
  'lemon',
  'oats',
  'letters',
  'brush',
  'cutter',
  'bread',
  'jar',
  'pot',
  'oven',
  'fridge',
  'alarm',
  'yum',
]
const MODE_WORDS = {
  EACH: 'each child',
  STATION: 'stations side by side',
  TURNS: 'in turns',
  ADULT: 'an adult',
  WAIT: 'a wait',
}

function add(): void {
  const ids = new Set(steps.value.map((s) => s.id))
  let n = steps.value.length + 1
  while (ids.has(`step-${n}`)) n += 1
  const first = steps.value.length === 0
  const task: RecipeTask = first
    ? { technique: 'wash-hands', mode: 'EACH', seconds: 60, place: 'sink' }
    : { technique: 'stir', mode: 'TURNS', seconds: 20 }
  steps.value = [
    ...steps.value,
    {
      id: `step-${n}`,
      title: first ? 'Wash hands' : '',
      picture: first ? 'soap' : 'bowl',
      uses: [],
      tasks: [task],
    },
  ]
}
function up(i: number): void {
  const next = [...steps.value]
  const [step] = next.splice(i, 1)
  if (step) next.splice(Math.max(0, i - 1), 0, step)
  steps.value = next
}
function toggleUse(step: RecipeStep, line: string): void {
  step.uses = step.uses.some((u) => u.line === line)
    ? step.uses.filter((u) => u.line !== line)
    : [...step.uses, { line, part: '1' }]
}
const setLine = (task: RecipeTask, line: string): void => {
  task.lines = line === '' ? undefined : [line]
}
const addTask = (step: RecipeStep): void =>
  void step.tasks.push({ technique: 'stir', mode: 'TURNS', seconds: 20 })
const names = computed(() => lineNames(props.lines, props.foods))
const lineName = (l: RecipeLine): string => names.value.get(l.id) ?? ''
const replace = (i: number, step: RecipeStep): void => {
  steps.value = steps.value.map((s, k) => (k === i ? step : s))
}
const remove = (step: RecipeStep): void => {
  steps.value = steps.value.filter((s) => s !== step)
}
</script>

<template>
  <section aria-labelledby="steps-title">
    <h2 id="steps-title" class="mb-2 text-xl">Steps</h2>
    <ol class="grid gap-3">
      <li v-for="(step, i) in steps" :key="step.id" class="patch grid gap-3 p-3">
        <div class="grid items-end gap-2 sm:grid-cols-[2fr_1fr_3fr_auto]">
          <label class="text-sm font-semibold"
            >Step {{ i + 1 }}, in five words<input
              v-model="step.title"
              v-bind="at(`steps[${i}].title`)"
              class="field mt-1 font-normal"
              maxlength="60"
          /></label>
          <label class="text-sm font-semibold"
            >Picture<select v-model="step.picture" class="field mt-1 font-normal">
              <option v-for="p in new Set([...PICTURES, step.picture])" :key="p" :value="p">{{ p }}</option>
            </select></label
          >
          <label class="text-sm font-semibold"
            >For the adult<input v-model="step.says" class="field mt-1 font-normal" maxlength="300"
          /></label>
          <span class="flex gap-2">
            <button
              type="button"
              class="btn"
              :disabled="i === 0"
              :aria-label="`Move step ${i + 1} up`"
              @click="up(i)"
            >
              <ArrowUp class="size-4" aria-hidden="true" />
            </button>
            <button type="button" class="btn" :aria-label="`Remove step ${i + 1}`" @click="remove(step)">
              <Trash2 class="size-4" aria-hidden="true" />
            </button>
          </span>
        </div>
        <fieldset>
          <legend class="text-sm font-semibold">Goes in here</legend>
          <span class="flex flex-wrap gap-3">
            <label v-for="l in lines" :key="l.id" class="flex items-center gap-1"
              ><input
                type="checkbox"
                class="size-5"
                :checked="step.uses.some((u) => u.line === l.id)"
                @change="toggleUse(step, l.id)"
              />{{ lineName(l) }}</label
            >
          </span>
        </fieldset>
        <ul class="grid gap-2">
          <li
            v-for="(task, k) in step.tasks"
            :key="k"
            class="grid items-end gap-2 sm:grid-cols-[2fr_1fr_1fr_1fr_1fr_auto]"
          >
            <label class="text-sm"
              >Hands<select v-model="task.technique" class="field mt-1">
                <option v-for="t in techniques" :key="t.id" :value="t.id">{{ t.name }}</option>
              </select></label
            >
            <label class="text-sm"
              >Who<select v-model="task.mode" class="field mt-1">
                <option v-for="m in MODES" :key="m" :value="m">{{ MODE_WORDS[m] }}</option>
              </select></label
            >
            <label class="text-sm"
              >Seconds (a turn, or in all)<input
                v-model.number="task.seconds"
                type="number"
                min="1"
                class="field mt-1"
            /></label>
            <label class="text-sm"
              >Place<select v-model="task.place" class="field mt-1">
                <option :value="undefined">table</option>
                <option v-for="p in PLACES.filter((x) => x !== 'table')" :key="p" :value="p">
                  {{ placeName(p) }}
                </option>
              </select></label
            >
            <span class="grid gap-1 text-sm">
              <label class="flex items-center gap-1"
                ><input v-model="task.measures" type="checkbox" class="size-5" />measures what goes in</label
              >
              <label v-if="!task.measures && step.uses.length > 1" class="block"
                >Done to<select
                  class="field"
                  :value="task.lines?.[0] ?? ''"
                  @change="setLine(task, ($event.target as HTMLSelectElement).value)"
                >
                  <option value="">all of it</option>
                  <option
                    v-for="l in lines.filter((x) => step.uses.some((u) => u.line === x.id))"
                    :key="l.id"
                    :value="l.id"
                  >
                    {{ lineName(l) }}
                  </option>
                </select></label
              >
            </span>
            <button
              type="button"
              class="btn"
              :disabled="step.tasks.length === 1"
              aria-label="Remove this task"
              @click="step.tasks.splice(k, 1)"
            >
              <Trash2 class="size-4" aria-hidden="true" />
            </button>
          </li>
        </ul>
        <label
          v-if="step.tasks.filter((t) => t.mode === 'STATION').length > 1"
          class="flex items-center gap-2 text-sm"
          ><input
            type="checkbox"
            class="size-5"
            :checked="step.stay"
            @change="step.stay = ($event.target as HTMLInputElement).checked || undefined"
          />each child stays at one of the stations (else they move on until everybody was at each)</label
        >
        <button type="button" class="btn justify-self-start" @click="addTask(step)">Add a task</button>
        <details :open="extrasOf(step).length > 0">
          <summary class="min-h-8 cursor-pointer text-sm font-semibold">{{ extrasText(step) }}</summary>
          <div class="mt-2 grid gap-3">
            <StepRows :model-value="step" @update:model-value="replace(i, $event)" />
            <StepPasses :model-value="step" @update:model-value="replace(i, $event)" />
            <StepScene
              :model-value="step"
              :lines="lines"
              :name-of="lineName"
              @update:model-value="replace(i, $event)"
            />
            <StepTasting
              :model-value="step"
              :lines="lines"
              :name-of="lineName"
              @update:model-value="replace(i, $event)"
            />
            <StepWays
              :model-value="step"
              :techniques="techniques"
              :mode-words="MODE_WORDS"
              @update:model-value="replace(i, $event)"
            />
            <StepTiming :model-value="step" @update:model-value="replace(i, $event)" />
          </div>
        </details>
      </li>
    </ol>
    <p v-if="steps.length === 0" class="text-soft">No step yet: a recipe without steps cannot be planned.</p>
    <button type="button" class="btn mt-2" @click="add">Add a step</button>
  </section>
</template>
