<script setup lang="ts">
/** One question in line: near answers as buttons, or a line typed. */
import { ref, useId } from 'vue'
import type { ReadQuestion } from '@lea/core/recipe'
import FoodForm from '../parts/foods/FoodForm.vue'

const props = defineProps<{ question: ReadQuestion }>()
const emit = defineEmits<{ answer: [text: string]; settled: [] }>()
const settling = ref(false)
function settled(): void {
  settling.value = false
  emit('settled')
}
const typed = ref('')
const name = useId()
function send(): void {
  if (typed.value.trim() === '') return
  emit('answer', typed.value)
  typed.value = ''
}
const isTaken = (answer: string): boolean => answer === props.question.taken
</script>

<template>
  <div
    role="group"
    :aria-labelledby="name"
    class="my-1.5 border-l-4 py-1 pl-3"
    :class="question.must ? 'border-paprika bg-[#fbf1ee]' : 'border-indigo bg-[#f1f2fa]'"
  >
    <p :id="name">
      <span v-if="question.must && question.text" class="font-semibold">“{{ question.text }}”: </span
      >{{ question.asks }}
    </p>
    <div class="mt-1 flex flex-wrap items-center gap-1.5">
      <button
        v-for="c in question.choices"
        :key="c.answer"
        type="button"
        class="rounded-patch border px-2.5 py-1 text-sm"
        :class="isTaken(c.answer) ? 'border-ink border-2 bg-white font-semibold' : 'border-line bg-white'"
        @click="emit('answer', c.answer)"
      >
        {{ c.says }}<span v-if="isTaken(c.answer)" class="font-normal text-soft"> (Lea’s guess)</span>
      </button>
      <button v-if="question.settles" type="button" class="btn" @click="settling = true">
        Say what it is
      </button>
      <template v-if="question.free">
        <input
          v-model="typed"
          class="field w-56 text-sm"
          maxlength="400"
          :aria-label="`A line instead of: ${question.text}`"
          placeholder="or the line as it should be"
          @keydown.enter.prevent="send"
        />
        <button type="button" class="btn" :disabled="typed.trim() === ''" @click="send">So</button>
      </template>
    </div>
    <FoodForm
      v-if="settling && question.settles"
      :food="question.settles"
      @kept="settled"
      @close="settling = false"
    />
  </div>
</template>
