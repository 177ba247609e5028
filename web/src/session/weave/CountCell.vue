<script setup lang="ts">
import type { WeaveColumn } from '@lea/core/plan'
import Amount from '../../parts/Amount.vue'
import Mat from '../../parts/mats/Mat.vue'
import { useMats } from '../../parts/mats/useMats'
import { useSession } from '../../stores/session/session'

defineProps<{ column: WeaveColumn; wide: boolean }>()
const session = useSession()
const { matOf } = useMats()
</script>

<template>
  <div :class="wide ? '' : 'flex flex-wrap gap-1'">
    <div
      v-for="c in column.count"
      :key="`${c.child} ${c.says}`"
      class="flex items-start gap-1"
      :class="wide ? 'mb-1' : ''"
    >
      <Mat v-if="c.child" :name="session.nameOf(c.child)" :mat="matOf(c.child)" class="shrink-0" />
      <span v-if="!wide" class="numeral text-lg leading-tight text-moss" aria-hidden="true">?</span>
      <p :class="wide ? '' : 'sr-only'">
        “<Amount :text="c.says" />” <span class="text-soft">(<Amount :text="c.answer" />)</span>
      </p>
    </div>
  </div>
  <span v-if="column.count.length === 0" class="sr-only">No question.</span>
</template>
