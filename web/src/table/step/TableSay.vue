<script setup lang="ts">
/** One thing to say, with simpler and harder, the answer on tap, how it was answered, and the words of the step. */
import { Volume2 } from '@lucide/vue'
import { computed, ref, watch } from 'vue'
import { shownHome, spokenText } from '@lea/core/learn'
import type { StepTalk } from '@lea/core/plan'
import type { SayNow } from '@lea/core/session'
import Amount from '../../parts/Amount.vue'
import WordPicture from '../../parts/pictures/WordPicture.vue'
import { useSettingStore } from '../../stores/setting'
import { useSession } from '../../stores/session/session'
import { SUPPORT_LEVEL_WORDS } from '../../parts/level-words'
import CountAlong from './CountAlong.vue'
import SayNote from './SayNote.vue'
import { useVoices } from './useVoices'

const props = defineProps<{ talk: StepTalk | null; now: SayNow }>()
const session = useSession()
const settingStore = useSettingStore()
const { has, speak } = useVoices()
/** The languages at home of the child who is asked. */
const spoken = computed(
  () => session.request()?.children.find((c) => c.id === props.now.child)?.languages ?? [],
)
const english = computed(() => session.plan?.locale ?? 'en-GB')
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
defineExpose({ simpler: () => move(-1), harder: () => move(1) })
</script>

<template>
  <section class="patch overflow-y-auto border-t-[6px] !border-t-indigo p-3" aria-label="Say" tabindex="0">
    <h2 class="flex items-baseline text-indigo">
      Say<span v-if="now.child" class="font-sans text-sm font-normal text-soft">
        &nbsp;· {{ now.asked ? 'ask' : 'tell' }} {{ session.nameOf(now.child) }}</span
      >
      <span v-if="prompt" class="ml-auto font-sans text-xs font-normal text-soft">{{
        SUPPORT_LEVEL_WORDS[prompt.level]
      }}</span>
    </h2>
    <template v-if="prompt">
      <p class="mb-2 mt-1 font-title text-xl font-bold leading-snug">
        “<Amount :text="prompt.says" />”
        <button
          v-if="has(english)"
          type="button"
          class="rounded-patch p-1 align-middle"
          aria-label="Read the question aloud"
          @click="speak(spokenText(prompt.says, english), english)"
        >
          <Volume2 class="size-5" aria-hidden="true" />
        </button>
      </p>
      <div class="grid grid-cols-3 gap-2">
        <button type="button" class="btn btn-table !px-1" :disabled="at === 0" @click="move(-1)">
          simpler
        </button>
        <button
          type="button"
          class="btn btn-table !px-1"
          :aria-expanded="showAnswer"
          @click="showAnswer = !showAnswer"
        >
          {{ showAnswer ? 'hide it' : 'answer' }}
        </button>
        <button
          type="button"
          class="btn btn-table !px-1"
          :disabled="at >= prompts.length - 1"
          @click="move(1)"
        >
          harder
        </button>
      </div>
      <p v-if="showAnswer" class="mt-1 text-lg font-semibold" role="status">
        <Amount :text="prompt.answer" />
      </p>
      <SayNote v-if="now.child && prompt.target" :child="now.child" :prompt="prompt" :food="now.food" />
    </template>
    <p v-else class="text-lg">Name what you see and do.</p>
    <ul v-if="now.others.length > 0" class="mt-2" aria-label="And ask">
      <li v-for="a in now.others" :key="`${a.child} ${a.says}`" class="border-t border-line py-1">
        <strong>{{ a.child ? session.nameOf(a.child) : '' }}:</strong> “<Amount :text="a.says" />”
        <span class="text-sm text-soft"><Amount :text="a.answer" /></span>
      </li>
    </ul>
    <ul class="mt-2">
      <li v-for="w in talk?.words ?? []" :key="w.id" class="flex flex-wrap items-center gap-x-2 py-0.5">
        <WordPicture :word="w.id" :label="w.word" class="size-7 shrink-0" />
        <strong>{{ w.word }}</strong>
        <span
          v-for="h in shownHome(w, settingStore.setting?.rules.languages, spoken)"
          :key="h.language"
          class="flex items-center"
          ><bdi :lang="h.language" :dir="h.rightToLeft ? 'rtl' : 'ltr'">{{ h.word }}</bdi>
          <button
            v-if="has(h.language)"
            type="button"
            class="rounded-patch p-2"
            :aria-label="`Read aloud: ${h.word}`"
            @click="speak(h.word, h.language)"
          >
            <Volume2 class="size-5" aria-hidden="true" /></button
        ></span>
        <button
          v-if="has(english)"
          type="button"
          class="rounded-patch p-2"
          :aria-label="`Read aloud: ${w.word}`"
          @click="speak(w.word, english)"
        >
          <Volume2 class="size-5" aria-hidden="true" />
        </button>
      </li>
    </ul>
    <CountAlong v-if="now.countTo > 0" :to="now.countTo" :languages="spoken" />
  </section>
</template>
