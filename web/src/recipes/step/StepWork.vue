<script setup lang="ts">
/** What hands do in a step of a recipe, an adult's and waits apart. */
import TechniqueStrip from '../../parts/pictures/techniques/TechniqueStrip.vue'
import { type RecipeStep, stepWork } from '@lea/core/recipe'

defineProps<{ step: RecipeStep; pictures?: boolean }>()
</script>

<template>
  <ul class="flex flex-wrap gap-x-2 gap-y-0.5 text-sm">
    <li
      v-for="(w, k) in stepWork(step)"
      :key="k"
      class="inline-flex items-center gap-1.5 rounded-sm border px-1.5"
      :class="
        w.by === 'adult'
          ? 'border-ochre font-semibold text-ochre'
          : w.by === 'wait'
            ? 'border-dashed border-slate text-slate'
            : 'border-beet text-beet'
      "
    >
      <TechniqueStrip
        v-if="pictures && w.technique"
        :technique="w.technique"
        :tool="w.tool ?? ''"
        class="h-9"
      />
      <template v-if="pictures && w.technique && w.by === 'children'"
        ><span class="sr-only">{{ w.says }}</span
        ><span v-if="w.beside" aria-hidden="true">{{ w.beside }}</span></template
      ><template v-else>{{ w.by === 'adult' ? `an adult: ${w.says}` : w.says }}</template>
    </li>
    <slot />
  </ul>
</template>
