<script setup lang="ts">
/** What was answered of a reading, each to be taken back in any order. */
import { Undo2 } from '@lucide/vue'
import { type AnswerGiven, answerWords } from '@lea/core/recipe'

defineProps<{ answers: readonly AnswerGiven[] }>()
defineEmits<{ takeBack: [key: string] }>()
</script>

<template>
  <details class="mb-2" open>
    <summary class="cursor-pointer font-semibold">What you answered</summary>
    <ul>
      <li
        v-for="a in answers"
        :key="a.key"
        class="flex flex-wrap items-center justify-between gap-x-3 border-b border-line py-0.5"
      >
        <span
          ><span class="text-soft">{{ answerWords(a).about }}</span>
          <strong class="ml-1">{{ answerWords(a).says }}</strong></span
        >
        <button
          type="button"
          class="btn py-0.5 text-sm"
          :aria-label="`Undo: ${answerWords(a).about} ${answerWords(a).says}`"
          @click="$emit('takeBack', a.key)"
        >
          <Undo2 class="size-4" aria-hidden="true" />Undo
        </button>
      </li>
    </ul>
  </details>
</template>
