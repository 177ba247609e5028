<script setup lang="ts">
import type { WeaveColumn } from '@lea/core/plan'
import Mat from '../../parts/mats/Mat.vue'
import { useMats } from '../../parts/mats/useMats'
import { useSession } from '../../stores/session/session'
import PinJob from './PinJob.vue'

defineProps<{ column: WeaveColumn; wide: boolean }>()
const session = useSession()
const { matOf } = useMats()
</script>

<template>
  <div :class="wide && column.hands.length > 1 ? 'grid grid-cols-2 gap-x-3' : ''">
    <div
      v-for="h in wide ? column.hands : column.handsShort"
      :key="h.task"
      class="mb-1 last:mb-0"
      :class="wide ? 'flex flex-wrap items-center gap-x-2' : ''"
    >
      <span class="flex flex-wrap gap-px"
        ><Mat v-for="c in h.children" :key="c" :name="session.nameOf(c)" :mat="matOf(c)"
      /></span>
      <span class="block"
        >{{ h.job }}<template v-if="wide && h.detail">: {{ h.detail }}</template></span
      >
      <span v-if="h.adult" class="block text-xs text-soft"
        >{{ session.nameOf(h.adult).split(' ')[0] }}{{ h.mode === 'ADULT' ? ' does this' : ' beside' }}</span
      >
      <span
        v-for="i in wide ? h.instead : []"
        :key="i.child"
        class="flex w-full items-center gap-1 text-xs text-soft"
        ><Mat :name="session.nameOf(i.child)" :mat="matOf(i.child)" class="!size-4" />{{ i.job }}</span
      >
      <span
        v-for="i in wide ? h.helps : []"
        :key="i.child + i.says"
        class="flex w-full items-center gap-1 text-xs"
        ><Mat :name="session.nameOf(i.child)" :mat="matOf(i.child)" class="!size-4" />{{ i.says }}</span
      >
      <PinJob v-if="wide && h.mode === 'TURNS' && !session.frozen" :task="h.task" />
    </div>
  </div>
  <span v-if="column.hands.length === 0" class="text-soft">wait</span>
</template>
