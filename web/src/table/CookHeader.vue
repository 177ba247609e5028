<script setup lang="ts">
/** The head of the table view: the recipe, where we are in it, and how that stands against the plan. */
import { computed } from 'vue'
import type { Plan } from '@lea/core/plan'

const props = defineProps<{ plan: Plan; step: string; pace: string; to: string }>()
const at = computed(() => props.plan.schedule.findIndex((s) => s.step === props.step))
</script>

<template>
  <header class="flex flex-wrap items-center gap-x-4 gap-y-1 bg-ink px-4 py-2 text-white">
    <RouterLink :to="to" class="font-title text-lg font-bold">{{ plan.recipe.title }}</RouterLink>
    <ol class="flex flex-wrap gap-1.5 text-sm" aria-label="Steps">
      <li
        v-for="(s, i) in plan.schedule"
        :key="s.step"
        class="rounded-full border px-2.5 py-0.5"
        :class="
          s.step === step
            ? 'border-white bg-white font-bold text-ink'
            : i < at
              ? 'border-transparent bg-white/25'
              : 'border-white/60'
        "
        :aria-current="s.step === step ? 'step' : undefined"
      >
        {{ s.title }}
      </li>
    </ol>
    <p class="ml-auto text-sm">{{ pace }}</p>
  </header>
</template>
