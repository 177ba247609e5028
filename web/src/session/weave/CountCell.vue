<script setup lang="ts">
import type { WeaveColumn } from '@lea/core/plan'
import Amount from '../../parts/Amount.vue'
import { useSession } from '../../stores/session/session'

defineProps<{ column: WeaveColumn; wide: boolean }>()
const session = useSession()
</script>

<template>
  <div v-for="c in wide ? column.count : column.count.slice(0, 1)" :key="`${c.child} ${c.says}`" class="mb-1">
    <p :class="wide ? '' : 'line-clamp-2'">“<Amount :text="c.says" />”</p>
    <p class="mt-0.5 text-xs text-soft">
      <template v-if="c.child">{{ session.nameOf(c.child) }}</template>
      <template v-if="wide">
        <template v-if="c.child"> · </template>answer: <Amount :text="c.answer" />
      </template>
    </p>
  </div>
  <span v-if="column.count.length === 0" class="text-soft">–</span>
</template>
