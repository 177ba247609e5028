<script setup lang="ts">
/** One thing to say, with simpler and harder, the answer on tap, and the words of the step. */
import { Volume2 } from '@lucide/vue'
import { computed, ref, watch } from 'vue'
import { shownHome, type SayNow, type StepTalk } from '@lea/core'
import Amount from '../parts/Amount.vue'
import { useHouse } from '../stores/house'
import { useSession } from '../stores/session'

const props = defineProps<{ talk: StepTalk | null; now: SayNow }>()
const session = useSession()
const house = useHouse()
/** The languages at home of the child who is asked. */
const spoken = computed(
  () => session.request()?.children.find((c) => c.id === props.now.child)?.languages ?? [],
)
const at = ref(0)
const showAnswer = ref(false)
const prompts = computed(() => props.now.prompts)
watch(
  () => props.now.key,
  () => {
    at.value = props.now.at
    showAnswer.value = false
  },
  { immediate: true },
)
const prompt = computed(() => prompts.value[at.value])
function move(by: number): void {
  at.value = Math.min(prompts.value.length - 1, Math.max(0, at.value + by))
  showAnswer.value = false
}
const canSpeak = typeof window !== 'undefined' && 'speechSynthesis' in window
function speak(text: string, lang: string): void {
  const words = new SpeechSynthesisUtterance(text)
  words.lang = lang
  window.speechSynthesis.speak(words)
}
defineExpose({ simpler: () => move(-1), harder: () => move(1) })
</script>

<template>
  <section class="patch overflow-y-auto border-t-[6px] !border-t-indigo p-3" aria-label="Say" tabindex="0">
    <h2 class="text-indigo">
      Say<span v-if="now.child" class="font-sans text-sm font-normal text-soft">
        · to {{ session.nameOf(now.child) }}</span
      >
    </h2>
    <template v-if="prompt">
      <p class="mb-2 mt-1 font-title text-xl font-bold leading-snug">“<Amount :text="prompt.says" />”</p>
      <div class="grid grid-cols-2 gap-2">
        <button type="button" class="btn btn-table" :disabled="at === 0" @click="move(-1)">simpler</button>
        <button type="button" class="btn btn-table" :disabled="at >= prompts.length - 1" @click="move(1)">
          harder
        </button>
        <button
          type="button"
          class="btn btn-table col-span-2"
          :aria-expanded="showAnswer"
          @click="showAnswer = !showAnswer"
        >
          <Amount :text="showAnswer ? prompt.answer : 'show the answer'" />
        </button>
      </div>
    </template>
    <p v-else class="text-lg">Name what you see and do.</p>
    <ul class="mt-2">
      <li v-for="w in talk?.words ?? []" :key="w.id" class="flex flex-wrap items-center gap-x-2">
        <strong>{{ w.word }}</strong>
        <span v-for="h in shownHome(w, house.setting?.rules.languages, spoken)" :key="h.language"
          ><bdi :lang="h.language" :dir="h.rightToLeft ? 'rtl' : 'ltr'">{{ h.word }}</bdi></span
        >
        <button
          v-if="canSpeak"
          type="button"
          class="rounded-patch p-2"
          :aria-label="`Read aloud: ${w.word}`"
          @click="speak(w.word, 'en-GB')"
        >
          <Volume2 class="size-5" aria-hidden="true" />
        </button>
      </li>
    </ul>
  </section>
</template>
