<script setup lang="ts">
import { UsersRound } from '@lucide/vue'

defineProps<{ grade: 'stop' | 'adult' | 'know' }>()
</script>

<template>
  <span class="grade" :class="`grade-${grade}`">
    <UsersRound v-if="grade === 'adult'" class="mr-1 inline size-3.5 align-[-2px]" aria-hidden="true" />{{
      grade
    }}
  </span>
</template>
