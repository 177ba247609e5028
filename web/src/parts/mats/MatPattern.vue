<script setup lang="ts">
/** A patch of a child's weave, filling its box: the ground of mats and of done scoops. It prints as it shows. */
import { computed } from 'vue'
import { matLook } from '@lea/core/craft'
import { tileOf } from './tile'

const props = defineProps<{ mat: number }>()
const look = computed(() => matLook(props.mat))
</script>

<template>
  <span
    class="relative block h-full w-full [forced-color-adjust:none] [print-color-adjust:exact]"
    :style="{ backgroundImage: tileOf(mat) }"
    aria-hidden="true"
    ><span
      v-if="look.bordered"
      class="absolute inset-0.5 border-2 border-dashed"
      :style="{ borderColor: look.colour }"
  /></span>
</template>
