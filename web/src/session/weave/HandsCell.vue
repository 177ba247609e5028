<script setup lang="ts">
import type { WeaveColumn } from '@lea/core/plan'
import TechniqueStrip from '../../parts/pictures/techniques/TechniqueStrip.vue'
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
      <TechniqueStrip v-bind="h.picture" :one="!wide" class="mt-0.5 h-11" />
      <span :class="wide ? 'block' : 'sr-only'"
        >{{ h.job }}<template v-if="wide && h.detail">: {{ h.detail }}</template></span
      >
      <span v-if="h.adult" class="text-xs" :class="wide ? 'block text-soft' : ''"
        >{{ session.nameOf(h.adult).split(' ')[0]
        }}<span :class="wide ? '' : 'sr-only'">{{
          h.mode === 'ADULT' ? ' does this' : ' stands beside'
        }}</span></span
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
  <span v-if="column.hands.length === 0" class="text-soft">Wait</span>
</template>
