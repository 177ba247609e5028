<script setup lang="ts">
/** What hands do in a step of a recipe, an adult's and waits apart. */
import { type RecipeStep, stepWork } from '@lea/core/recipe'

defineProps<{ step: RecipeStep }>()
</script>

<template>
  <ul class="flex flex-wrap gap-x-2 gap-y-0.5 text-sm">
    <li
      v-for="(w, k) in stepWork(step)"
      :key="k"
      class="rounded-sm border px-1.5"
      :class="
        w.by === 'adult'
          ? 'border-ochre font-semibold text-ochre'
          : w.by === 'wait'
            ? 'border-dashed border-slate text-slate'
            : 'border-beet text-beet'
      "
    >
      {{ w.by === 'adult' ? `an adult: ${w.says}` : w.says }}
    </li>
    <slot />
  </ul>
</template>
