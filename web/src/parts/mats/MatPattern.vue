<script setup lang="ts">
/** A patch of a child's weave, filling its box: the ground of mats and of done scoops. */
import { computed, useId } from 'vue'
import { TILES, matLook } from '@lea/core/craft'

const props = defineProps<{ mat: number }>()
const id = useId()
const look = computed(() => matLook(props.mat))
</script>

<template>
  <svg class="block h-full w-full" :style="{ color: look.colour }" aria-hidden="true" focusable="false">
    <defs>
      <!-- eslint-disable-next-line vue/no-v-html -- tiles are constants of this folder -->
      <pattern :id="id" width="12" height="12" patternUnits="userSpaceOnUse" v-html="TILES[look.weave]" />
    </defs>
    <rect width="100%" height="100%" fill="#fff" />
    <rect width="100%" height="100%" fill="currentColor" opacity="0.14" />
    <rect width="100%" height="100%" :fill="`url(#${id})`" />
    <rect
      v-if="look.bordered"
      x="2"
      y="2"
      width="100%"
      height="100%"
      style="width: calc(100% - 4px); height: calc(100% - 4px)"
      fill="none"
      stroke="currentColor"
      stroke-width="2"
      stroke-dasharray="4 3"
    />
  </svg>
</template>
