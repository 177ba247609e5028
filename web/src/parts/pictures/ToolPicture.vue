<script setup lang="ts">
/** The picture of a tool, drawn for Lea. A tool that has none shows nothing: its name stands beside it. */
import { computed } from 'vue'
import DrawnPicture from './DrawnPicture.vue'
import { TOOL_DRAWINGS } from './tool-drawings'

const props = defineProps<{ tool: string }>()
const drawing = computed(() => TOOL_DRAWINGS[props.tool])
</script>

<template>
  <DrawnPicture v-if="drawing" :drawing="drawing" />
</template>
