<script setup lang="ts">
/** A bar cut into scoops, without children: to compare ways of measuring the same whole. */
import StripMarks from '../../parts/mats/StripMarks.vue'

withDefaults(defineProps<{ shares: number[]; marks: string[]; label: string; bare?: boolean }>(), {
  bare: false,
})
</script>

<template>
  <div role="img" :aria-label="label">
    <div class="flex h-4">
      <span
        v-for="(s, i) in shares"
        :key="i"
        class="border border-ink"
        :class="[i > 0 ? '-ml-px' : '', i % 2 === 0 ? 'bg-[#e9dab3]' : 'bg-white']"
        :style="{ width: `${s}%` }"
      />
    </div>
    <StripMarks v-if="!bare" :marks="marks" :widths="shares" :room="16" class="h-4 text-xs" />
  </div>
</template>
