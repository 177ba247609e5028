<script setup lang="ts">
/** One line to say: to whom, of what sort, easier on a tap, or another one; a guess, the song, a word of home as they are. */
import { Volume2 } from '@lucide/vue'
import { computed, ref, watch } from 'vue'
import { LINE_KIND_WORDS, type Prompt, spokenText } from '@lea/core/learn'
import type { StepTalk } from '@lea/core/plan'
import type { SayNow } from '@lea/core/session'
import Amount from '../../parts/Amount.vue'
import LineKindIcon from '../../parts/pictures/LineKindIcon.vue'
import { SUPPORT_LEVEL_WORDS } from '../../parts/level-words'
import { useSession } from '../../stores/session/session'
import CountAlong from './CountAlong.vue'
import GuessTaker from './GuessTaker.vue'
import SayNote from './SayNote.vue'
import SayWords from './SayWords.vue'
import WashSong from './WashSong.vue'
import { useVoices } from './useVoices'

const props = defineProps<{ talk: StepTalk | null; now: SayNow; children: readonly string[] }>()
const session = useSession()
const { has, speak } = useVoices()
const english = computed(() => session.plan?.locale ?? 'en-GB')
/** Which line, and so many rungs easier than it begins. */
const at = ref(0)
const easier = ref(0)
watch(
  () => props.now.key,
  () => {
    at.value = 0
    easier.value = 0
  },
)
const line = computed(() => props.now.lines[at.value % Math.max(1, props.now.lines.length)])
const rungs = computed(() => line.value?.rungs ?? [])
const begins = computed(() => rungs.value.findIndex((r) => r.says === line.value?.says))
const rung = computed(() => rungs.value[begins.value - easier.value])
const says = computed(() => rung.value?.says ?? line.value?.says ?? '')
const level = computed(() => rung.value?.level ?? line.value?.level)
const who = computed(() => (line.value?.who === undefined ? props.now.child : line.value.who))
/** The languages at home of the child whose turn it is. */
const spoken = computed(() => session.request()?.children.find((c) => c.id === who.value)?.languages ?? [])
const canEase = computed(() => begins.value - easier.value > 0)
const prompt = computed((): Prompt | null =>
  line.value?.kind === 'question' && line.value.target && level.value
    ? {
        level: level.value,
        says: says.value,
        answer: line.value.answer ?? '',
        target: line.value.target,
        ...(line.value.also && { also: line.value.also }),
      }
    : null,
)
function another(): void {
  at.value += 1
  easier.value = 0
}
function ease(by: number): void {
  easier.value = Math.min(Math.max(0, begins.value), Math.max(0, easier.value + by))
}
defineExpose({ simpler: () => ease(1), harder: () => ease(-1), another })
</script>

<template>
  <section class="patch overflow-y-auto border-t-[6px] !border-t-indigo p-3" aria-label="Say" tabindex="0">
    <h2 class="flex items-center gap-2 text-indigo">
      <LineKindIcon v-if="line" :kind="line.kind" silent />
      {{ line ? LINE_KIND_WORDS[line.kind] : 'say' }}
      <span class="font-sans text-sm font-normal text-soft">
        {{ who && line?.id !== 'song' ? `to ${session.nameOf(who)}` : 'to everybody' }}
      </span>
      <span v-if="prompt && level" class="ml-auto font-sans text-xs font-normal text-soft">{{
        SUPPORT_LEVEL_WORDS[level]
      }}</span>
    </h2>
    <template v-if="line">
      <WashSong v-if="line.id === 'song'" :key="now.key" />
      <template v-else>
        <p v-if="line.home" class="mt-1 text-3xl font-bold leading-tight">
          <bdi :lang="line.home.language" :dir="line.home.rightToLeft ? 'rtl' : 'ltr'">{{
            line.home.word
          }}</bdi>
          <bdi v-if="line.home.roman" dir="ltr" class="ml-2 text-lg font-normal text-soft">{{
            line.home.roman
          }}</bdi>
          <button
            v-if="has(line.home.language)"
            type="button"
            class="rounded-patch p-1 align-middle"
            :aria-label="`Read aloud: ${line.home.word}`"
            @click="speak(line.home.word, line.home.language)"
          >
            <Volume2 class="size-5" aria-hidden="true" />
          </button>
        </p>
        <p
          class="mb-2 mt-1 font-title font-bold leading-snug"
          :class="line.home || line.kind === 'story' ? 'text-lg' : 'text-xl'"
          data-say
        >
          <Amount :text="says" />
          <button
            v-if="has(english)"
            type="button"
            class="rounded-patch p-1 align-middle"
            aria-label="Read the line aloud"
            @click="speak(spokenText(says, english), english)"
          >
            <Volume2 class="size-5" aria-hidden="true" />
          </button>
        </p>
        <p v-if="line.home?.askSpeaker" class="text-sm text-soft">Ask a speaker whether it is said so.</p>
        <p v-if="line.answer" class="mb-2 text-sm text-soft">listen for: <Amount :text="line.answer" /></p>
        <GuessTaker v-if="line.guess" :key="line.guess.id" :guess="line.guess" :children="children" />
      </template>
      <div class="mt-2 grid grid-cols-2 gap-2">
        <button type="button" class="btn btn-table !px-1" :disabled="!canEase" @click="ease(1)">
          Easier
        </button>
        <button type="button" class="btn btn-table !px-1" :disabled="now.lines.length < 2" @click="another">
          Another
        </button>
      </div>
      <SayNote v-if="who && prompt" :child="who" :prompt="prompt" :food="line.food" />
    </template>
    <p v-else class="text-lg">Name what you see and do.</p>
    <SayWords :talk="talk" :spoken="spoken" :english="english" />
    <CountAlong v-if="now.countTo > 0" :to="now.countTo" :languages="spoken" />
  </section>
</template>
