<script setup lang="ts">
/** A picture that children build in a step: what it is of, its parts, where they lie, and which foods may fill them; drawn as it is written. */
import { Trash2 } from '@lucide/vue'
import { computed } from 'vue'
import { sceneOfRecipe } from '@lea/core/plan'
import {
  GROUNDS,
  GROUND_WORDS,
  PLACE_WORDS,
  type RecipeLine,
  type RecipeStep,
  SCENE_PARTS_MOST,
  SCENE_PIECES_MOST,
  SCENE_PLACES,
  type Scene,
  type ScenePart,
  sceneFault,
  withScene,
  withScenePart,
} from '@lea/core/recipe'
import ScenePicture from '../../parts/pictures/ScenePicture.vue'

const props = defineProps<{ lines: RecipeLine[]; nameOf: (line: RecipeLine) => string }>()
const step = defineModel<RecipeStep>({ required: true })
const here = computed(() => props.lines.filter((l) => step.value.uses.some((u) => u.line === l.id)))
const fault = computed(
  () =>
    step.value.scene &&
    sceneFault(
      step.value.scene,
      here.value.map((l) => l.id),
    ),
)
const drawn = computed(
  () =>
    step.value.scene &&
    sceneOfRecipe(
      step.value.scene,
      (id) => props.lines.find((l) => l.id === id)?.food ?? '',
      (food) => {
        const line = props.lines.find((l) => l.food === food)
        return line ? props.nameOf(line) : food
      },
    ),
)
const set = (more: Partial<Scene>): void => {
  if (step.value.scene) step.value = { ...step.value, scene: { ...step.value.scene, ...more } }
}
const setPart = (i: number, more: Partial<ScenePart>): void => {
  step.value = withScenePart(step.value, i, more)
}
const toggle = (lines: string[], id: string): string[] =>
  lines.includes(id) ? lines.filter((l) => l !== id) : [...lines, id]
const value = (e: Event): string => (e.target as HTMLInputElement | HTMLSelectElement).value
const placeOf = (text: string) => SCENE_PLACES.find((p) => p === text) ?? 'middle'
const groundOf = (text: string) => GROUNDS.find((g) => g === text) ?? 'round'
</script>

<template>
  <button
    v-if="!step.scene"
    type="button"
    class="btn justify-self-start"
    :disabled="here.length === 0"
    @click="step = withScene(step)"
  >
    A picture is built here
  </button>
  <fieldset v-else class="grid gap-2 border-l-4 border-line pl-3 text-sm">
    <legend class="font-semibold">A picture is built here</legend>
    <div class="flex flex-wrap items-end gap-3">
      <label
        >It is of<input
          class="field mt-1"
          maxlength="40"
          :value="step.scene.of"
          @change="set({ of: value($event) })"
      /></label>
      <label
        >On<select class="field mt-1" :value="step.scene.on" @change="set({ on: groundOf(value($event)) })">
          <option v-for="g in GROUNDS" :key="g" :value="g">{{ GROUND_WORDS[g] }}</option>
        </select></label
      >
      <button
        v-if="step.scene.parts.length < SCENE_PARTS_MOST"
        type="button"
        class="btn"
        @click="step = withScenePart(step, step.scene.parts.length, {})"
      >
        Add a part
      </button>
      <button type="button" class="btn" @click="step = { ...step, scene: undefined }">No picture</button>
    </div>
    <div class="flex flex-wrap items-start gap-4">
      <ScenePicture v-if="drawn" :scene="drawn" class="w-44 shrink-0" />
      <ul class="grid flex-1 gap-2">
        <li v-for="(p, i) in step.scene.parts" :key="i" class="border-b border-line pb-2">
          <div class="flex flex-wrap items-end gap-2">
            <label
              >Part<input
                class="field mt-1 block !w-32"
                maxlength="30"
                :value="p.what"
                @change="setPart(i, { what: value($event) })"
            /></label>
            <label
              >How many<input
                class="field mt-1 block !w-20"
                type="number"
                min="1"
                :max="SCENE_PIECES_MOST"
                :value="p.n"
                @change="setPart(i, { n: Number(value($event)) })"
            /></label>
            <label
              >Lies<select
                class="field mt-1 block"
                :value="p.at"
                @change="setPart(i, { at: placeOf(value($event)) })"
              >
                <option v-for="at in SCENE_PLACES" :key="at" :value="at">{{ PLACE_WORDS[at] }}</option>
              </select></label
            >
            <button
              v-if="step.scene.parts.length > 1"
              type="button"
              class="btn"
              :aria-label="`Remove part ${p.what || i + 1}`"
              @click="set({ parts: step.scene.parts.filter((_, k) => k !== i) })"
            >
              <Trash2 class="size-4" aria-hidden="true" />
            </button>
          </div>
          <span class="mt-1 flex flex-wrap gap-3" role="group" :aria-label="`${p.what || 'part'} is made of`">
            <label v-for="l in here" :key="l.id" class="flex items-center gap-1"
              ><input
                type="checkbox"
                class="size-5"
                :checked="p.lines.includes(l.id)"
                :disabled="p.lines.length === 1 && p.lines.includes(l.id)"
                @change="setPart(i, { lines: toggle(p.lines, l.id) })"
              />{{ nameOf(l) }}</label
            >
          </span>
        </li>
      </ul>
    </div>
    <p class="text-soft">
      Several foods for a part: each child chooses one, of those that its card and its age allow.
    </p>
    <p v-if="fault" role="alert" class="font-semibold text-paprika">{{ fault }}.</p>
  </fieldset>
</template>
