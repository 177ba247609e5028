<script setup lang="ts">
/** A bar cut into scoops, without children: to compare ways of measuring the same whole. */
import { computed } from 'vue'
import Amount from '../parts/Amount.vue'
import { roomFor } from '../parts/marks'

const props = withDefaults(
  defineProps<{ shares: number[]; marks: string[]; label: string; bare?: boolean }>(),
  {
    bare: false,
  },
)
const shown = computed(() => roomFor(props.marks, props.shares, 16))
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
    <div v-if="!bare" class="relative h-4 text-xs" aria-hidden="true">
      <span
        v-for="m in shown"
        :key="m.i"
        class="absolute whitespace-nowrap"
        :class="m.i === 0 ? '' : m.left > 99 ? '-translate-x-full' : '-translate-x-1/2'"
        :style="{ left: `${m.left}%` }"
        ><Amount :text="m.text"
      /></span>
    </div>
  </div>
</template>
