<script setup lang="ts">
import type { WeaveColumn } from '@lea/core/plan'
import Amount from '../../parts/Amount.vue'
import ScoopStrip from '../../parts/mats/ScoopStrip.vue'
import { useMats } from '../../parts/mats/useMats'
import { useSession } from '../../stores/session/session'

defineProps<{ column: WeaveColumn; wide: boolean }>()
const session = useSession()
const { matOf } = useMats()
</script>

<template>
  <div :class="wide && column.measure.length > 1 ? 'grid grid-cols-2 gap-x-3' : ''">
    <div v-for="m in column.measure" :key="m.line + m.food" class="mb-2 last:mb-0">
      <p>
        <strong><Amount :text="m.amount" /></strong> {{ m.food }}
        <span v-if="m.swapped" class="text-xs text-soft">(swapped in)</span>
      </p>
      <p v-if="wide" class="text-xs text-soft">
        <Amount :text="m.how" /><template v-if="m.near"> · {{ m.near }}</template>
      </p>
      <ScoopStrip
        v-if="m.strip.length > 0"
        :children="m.strip"
        :mats="matOf"
        :names="session.nameOf"
        :marks="wide ? m.marks : []"
        :shares="m.shares"
      />
    </div>
  </div>
  <span v-if="column.measure.length === 0" class="sr-only">Nothing to measure.</span>
</template>
