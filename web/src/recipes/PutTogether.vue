<script setup lang="ts">
/** A lunch box, a tray, three tastes: several recipes of the shelf become one draft. */
import { computed, ref } from 'vue'
import { Trash2 } from '@lucide/vue'
import { MOST_TOGETHER, type Recipe, putTogether } from '@lea/core/recipe'
import Notice from '../parts/Notice.vue'

const props = defineProps<{ recipes: readonly { id: string; recipe: Recipe }[]; id: string }>()
const emit = defineEmits<{ made: [recipe: Recipe] }>()

const chosen = ref<string[]>([])
const fault = ref('')
const parts = computed(() =>
  chosen.value.flatMap((id) => props.recipes.find((r) => r.id === id)?.recipe ?? []),
)
const rest = computed(() =>
  props.recipes
    .filter((r) => !chosen.value.includes(r.id))
    .sort((a, b) => a.recipe.title.localeCompare(b.recipe.title)),
)
function add(event: Event): void {
  const select = event.target as HTMLSelectElement
  if (select.value) chosen.value = [...chosen.value, select.value]
  select.value = ''
  fault.value = ''
}
function make(): void {
  const made = putTogether(parts.value, props.id)
  if ('refused' in made) fault.value = made.refused
  else emit('made', made)
}
</script>

<template>
  <details class="patch mb-5 p-4">
    <summary class="cursor-pointer font-semibold">Put several small things together</summary>
    <p class="mt-2 max-w-prose">
      A lunch box, a tray, three tastes: one session, one shopping list, one set of turns. Hands are washed
      once, and all is tasted at the end.
    </p>
    <ol v-if="parts.length > 0" class="mt-3 grid max-w-xl gap-1">
      <li v-for="(part, i) in parts" :key="chosen[i]" class="flex items-center justify-between gap-3">
        <span>{{ i + 1 }}. {{ part.title }}</span>
        <button
          type="button"
          class="btn"
          :aria-label="`Not ${part.title}`"
          @click="chosen = chosen.filter((_, k) => k !== i)"
        >
          <Trash2 class="size-4" aria-hidden="true" />
        </button>
      </li>
    </ol>
    <div class="mt-3 flex flex-wrap items-end gap-3">
      <label v-if="parts.length < MOST_TOGETHER" class="font-semibold"
        >{{ parts.length === 0 ? 'The first' : 'And then'
        }}<select class="field mt-1 font-normal" @change="add">
          <option value="">choose a recipe</option>
          <option v-for="r in rest" :key="r.id" :value="r.id">{{ r.recipe.title }}</option>
        </select></label
      >
      <button type="button" class="btn btn-main" :disabled="parts.length < 2" @click="make">
        Put them together
      </button>
    </div>
    <Notice v-if="fault" tone="fault" class="mt-3">{{ fault }}</Notice>
  </details>
</template>
