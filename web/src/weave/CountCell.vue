<script setup lang="ts">
import type { WeaveColumn } from '@lea/core'
import Amount from '../parts/Amount.vue'
import { useSession } from '../stores/session'

defineProps<{ column: WeaveColumn; wide: boolean }>()
const session = useSession()
</script>

<template>
  <template v-if="column.count">
    <p :class="wide ? '' : 'line-clamp-2'">“<Amount :text="column.count.says" />”</p>
    <p class="mt-0.5 text-xs text-soft">
      <template v-if="column.count.child">{{ session.nameOf(column.count.child) }}</template>
      <template v-if="wide">
        <template v-if="column.count.child"> · </template>answer: <Amount :text="column.count.answer" />
      </template>
    </p>
  </template>
  <span v-else class="text-soft">–</span>
</template>
