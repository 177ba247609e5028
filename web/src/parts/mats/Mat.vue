<script setup lang="ts">
/** A child's place mat with the name on it: small in the weave, large at the table. */
import { computed } from 'vue'
import { matLook } from '@lea/core/craft'
import MatPattern from './MatPattern.vue'

const props = withDefaults(
  defineProps<{
    name: string
    mat: number
    size?: 'small' | 'seat' | 'turn'
    done?: boolean
    beside?: boolean
  }>(),
  {
    size: 'small',
  },
)
const look = computed(() => matLook(props.mat))
const label = computed(() => (props.size === 'small' ? props.name.slice(0, 2) : props.name))
const box = computed(
  () =>
    ({ small: 'h-5 w-5 text-[0.6rem]', seat: 'h-14 w-14 text-xs', turn: 'h-24 w-24 text-lg' })[props.size],
)
</script>

<template>
  <span
    class="relative inline-flex shrink-0 items-center justify-center overflow-hidden rounded-patch border-2 align-middle font-bold"
    :class="box"
    :style="{ borderColor: look.colour, color: look.colour }"
    :title="name"
    translate="no"
  >
    <span class="absolute inset-0"><MatPattern :mat="mat" /></span>
    <span
      :style="size !== 'small' && name.length > 7 ? { fontSize: `${size === 'turn' ? 0.9 : 0.62}rem` } : {}"
      class="relative max-w-full bg-white leading-tight"
      :class="size === 'small' ? 'rounded-sm tracking-tighter' : 'w-full truncate px-0.5 py-0.5 text-center'"
      aria-hidden="true"
      >{{ label }}</span
    >
    <!-- Where the name stands beside it, it is read once. -->
    <span v-if="!beside" class="sr-only">{{ name }}</span>
  </span>
</template>
