<script setup lang="ts">
/** Above a sheet: the way back, the paper, and print. The page is set for the paper that is chosen. */
import { ref } from 'vue'

defineProps<{ back: string; to: string; page: string; button: string }>()
const paper = ref<'A4' | 'letter'>('A4')
const print = (): void => window.print()
</script>

<template>
  <div class="no-print mb-4 flex flex-wrap items-center gap-3">
    <component :is="'style'">@page { size: {{ paper }} {{ page }} }</component>
    <RouterLink class="btn" :to="to">{{ back }}</RouterLink>
    <label class="flex items-center gap-2 font-semibold"
      >Paper
      <select v-model="paper" class="field !w-auto font-normal">
        <option value="A4">A4</option>
        <option value="letter">Letter</option>
      </select></label
    >
    <button type="button" class="btn btn-main" @click="print">{{ button }}</button>
    <slot />
  </div>
</template>
