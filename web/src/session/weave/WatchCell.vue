<script setup lang="ts">
import { Eye } from '@lucide/vue'
import type { WeaveColumn } from '@lea/core/plan'
import Grade from '../../parts/Grade.vue'
import { useSession } from '../../stores/session/session'

defineProps<{ column: WeaveColumn; wide: boolean }>()
const session = useSession()
</script>

<template>
  <div v-if="!wide" class="flex flex-wrap items-center gap-1" aria-hidden="true">
    <Grade v-if="column.watch.some((w) => w.grade === 'stop')" grade="stop" />
    <span
      v-for="w in column.watch.filter((x) => x.grade !== 'stop')"
      :key="w.says"
      class="size-7 rounded-patch border p-1"
      :class="w.grade === 'adult' ? 'border-2 border-ochre' : 'border-line'"
      :title="session.say(w.says)"
      ><Eye class="size-full"
    /></span>
  </div>
  <p
    v-for="w in column.watch"
    :key="w.says"
    :class="{
      'sr-only': !wide,
      'mb-1 last:mb-0': wide,
      'rounded-sm bg-paprika px-1.5 py-1 text-white': wide && w.grade === 'stop',
      'border-b-2 border-ochre pb-0.5': wide && w.grade === 'adult',
    }"
    :title="w.because"
  >
    <span v-if="w.grade === 'stop'" class="font-bold">Stop. </span>{{ session.say(w.says) }}
  </p>
  <span v-if="column.watch.length === 0" class="sr-only">Nothing to watch.</span>
</template>
