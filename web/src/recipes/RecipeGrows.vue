<script setup lang="ts">
/** What grows on after the session: on which days one looks at it, and what for. */
import { Trash2 } from '@lucide/vue'
import { computed } from 'vue'
import {
  GROWING_START,
  type Growing,
  LOOKS_MOST,
  LOOK_DAY_MOST,
  type Recipe,
  growingFault,
  withLook,
} from '@lea/core/recipe'

const recipe = defineModel<Recipe>({ required: true })
const fault = computed(() => recipe.value.grows && growingFault(recipe.value.grows))
const set = (grows: Growing | undefined): void => {
  recipe.value = { ...recipe.value, grows }
}
const value = (e: Event): string => (e.target as HTMLInputElement).value
</script>

<template>
  <section aria-labelledby="grows" class="mt-4">
    <h3 id="grows" class="text-lg">What grows on</h3>
    <button v-if="!recipe.grows" type="button" class="btn" @click="set(GROWING_START)">
      Something is sown here
    </button>
    <template v-else>
      <p class="mb-2 text-sm text-soft">
        After the session each look has its date under Today and in the record. A nursery is closed at the
        weekend: a look then moves to Monday.
      </p>
      <div class="flex flex-wrap items-end gap-3 text-sm">
        <label
          >What grows<input
            class="field mt-1"
            maxlength="40"
            :value="recipe.grows.what"
            @change="set({ ...recipe.grows!, what: value($event) })"
        /></label>
        <label class="flex items-center gap-2 pb-2"
          ><input
            type="checkbox"
            class="size-5"
            :checked="recipe.grows.measured"
            @change="
              set({ ...recipe.grows!, measured: ($event.target as HTMLInputElement).checked || undefined })
            "
          />how high it stands is measured</label
        >
        <button type="button" class="btn" @click="set(undefined)">Nothing grows on</button>
      </div>
      <ul class="mt-2 grid gap-2">
        <li v-for="(l, i) in recipe.grows.looks" :key="i" class="flex flex-wrap items-end gap-2 text-sm">
          <label
            >Day<input
              class="field mt-1 !w-20"
              type="number"
              min="1"
              :max="LOOK_DAY_MOST"
              :value="l.day"
              @change="set(withLook(recipe.grows!, i, { day: Number(value($event)) }))"
          /></label>
          <label class="min-w-60 flex-1"
            >What one looks for<input
              class="field mt-1"
              maxlength="200"
              :value="l.says"
              @change="set(withLook(recipe.grows!, i, { says: value($event) }))"
          /></label>
          <button
            v-if="recipe.grows.looks.length > 1"
            type="button"
            class="btn"
            :aria-label="`Remove the look of day ${l.day}`"
            @click="set({ ...recipe.grows!, looks: recipe.grows!.looks.filter((x) => x !== l) })"
          >
            <Trash2 class="size-4" aria-hidden="true" />
          </button>
        </li>
      </ul>
      <button
        v-if="recipe.grows.looks.length < LOOKS_MOST"
        type="button"
        class="btn mt-2"
        @click="set(withLook(recipe.grows, recipe.grows.looks.length, {}))"
      >
        Add a look
      </button>
      <p v-if="fault" role="alert" class="mt-1 text-sm font-semibold text-paprika">{{ fault }}.</p>
    </template>
  </section>
</template>
