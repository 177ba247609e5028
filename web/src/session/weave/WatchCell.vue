<script setup lang="ts">
import { computed } from 'vue'
import type { WeaveColumn } from '@lea/core/plan'
import { useSession } from '../../stores/session/session'

const props = defineProps<{ column: WeaveColumn; wide: boolean }>()
const session = useSession()
const shown = computed(() => (props.wide ? props.column.watch : props.column.watch.slice(0, 2)))
</script>

<template>
  <p
    v-for="w in shown"
    :key="w.says"
    class="mb-1 last:mb-0"
    :class="{
      'rounded-sm bg-paprika px-1.5 py-1 text-white': w.grade === 'stop',
      '-mx-1 !px-1 text-xs': w.grade === 'stop' && !wide,
      'border-b-2 border-ochre pb-0.5': w.grade === 'adult',
    }"
    :title="w.because"
  >
    <span v-if="w.grade === 'stop'" class="font-bold">stop · </span
    >{{ session.say(w.grade === 'stop' && !wide ? (w.says.split('.')[0] ?? '') : w.says) }}
  </p>
  <p v-if="!wide && column.watch.length > 2" class="text-xs text-soft">
    and {{ column.watch.length - 2 }} more
  </p>
  <span v-if="column.watch.length === 0" class="text-soft">–</span>
</template>
