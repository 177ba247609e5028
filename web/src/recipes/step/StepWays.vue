<script setup lang="ts">
/** What is done in a step where the room lacks something: chosen by the plan, and said. */
import { Trash2 } from '@lucide/vue'
import {
  changedWay,
  LACKS,
  MODES,
  PLACES,
  placeName,
  type RecipeStep,
  type RecipeTask,
  type StepWay,
  withWay,
} from '@lea/core/recipe'

defineProps<{ techniques: { id: string; name: string }[]; modeWords: Record<RecipeTask['mode'], string> }>()
const step = defineModel<RecipeStep>({ required: true })
const value = (e: Event): string => (e.target as HTMLInputElement | HTMLSelectElement).value
const set = (i: number, more: Partial<StepWay> | null): void => {
  step.value = changedWay(step.value, i, more)
}
const setTask = (i: number, way: StepWay, k: number, more: Partial<RecipeTask>): void =>
  set(i, { tasks: way.tasks.map((t, n) => (n === k ? { ...t, ...more } : t)) })
const modeOf = (text: string) => MODES.find((m) => m === text) ?? 'TURNS'
</script>

<template>
  <div class="grid gap-2 text-sm">
    <fieldset v-for="(w, i) in step.ways ?? []" :key="i" class="border-l-4 border-line pl-3">
      <legend class="font-semibold">Another way</legend>
      <div class="flex flex-wrap items-end gap-2">
        <label
          >Where there is no<select
            class="field mt-1 block"
            :value="w.lacks"
            @change="set(i, { lacks: value($event) })"
          >
            <option v-for="l in LACKS" :key="l.id" :value="l.id">{{ l.name }}</option>
          </select></label
        >
        <label class="min-w-60 flex-1"
          >For the adult<input
            class="field mt-1"
            maxlength="300"
            :value="w.says"
            @change="set(i, { says: value($event) })"
        /></label>
        <button type="button" class="btn" :aria-label="`Remove way ${i + 1}`" @click="set(i, null)">
          <Trash2 class="size-4" aria-hidden="true" />
        </button>
      </div>
      <div v-for="(t, k) in w.tasks" :key="k" class="mt-1 flex flex-wrap items-end gap-2">
        <label
          >Hands<select
            class="field mt-1"
            :value="t.technique"
            @change="setTask(i, w, k, { technique: value($event) })"
          >
            <option v-for="x in techniques" :key="x.id" :value="x.id">{{ x.name }}</option>
          </select></label
        >
        <label
          >Who<select
            class="field mt-1"
            :value="t.mode"
            @change="setTask(i, w, k, { mode: modeOf(value($event)) })"
          >
            <option v-for="m in MODES" :key="m" :value="m">{{ modeWords[m] }}</option>
          </select></label
        >
        <label
          >Seconds<input
            class="field mt-1 !w-24"
            type="number"
            min="1"
            :value="t.seconds"
            @change="setTask(i, w, k, { seconds: Number(value($event)) })"
        /></label>
        <label
          >Place<select
            class="field mt-1"
            :value="t.place ?? 'table'"
            @change="setTask(i, w, k, { place: PLACES.find((p) => p === value($event)) })"
          >
            <option v-for="p in PLACES" :key="p" :value="p">{{ placeName(p) }}</option>
          </select></label
        >
        <button
          type="button"
          class="btn"
          :disabled="w.tasks.length === 1"
          :aria-label="`Remove task ${k + 1} of way ${i + 1}`"
          @click="set(i, { tasks: w.tasks.filter((x) => x !== t) })"
        >
          <Trash2 class="size-4" aria-hidden="true" />
        </button>
      </div>
      <button
        type="button"
        class="btn mt-1"
        @click="set(i, { tasks: [...w.tasks, { technique: 'stir', mode: 'TURNS', seconds: 20 }] })"
      >
        Add a task
      </button>
    </fieldset>
    <button type="button" class="btn justify-self-start" @click="step = withWay(step)">
      Another way where something is lacking
    </button>
  </div>
</template>
