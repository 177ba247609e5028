<script setup lang="ts">
/** Moments without a turn: now and next, a story's page, a word of home, guesses, a wait, all done. */
import { ArrowRight, BookOpen, Check, EyeOff, Hourglass, Lightbulb } from '@lucide/vue'
import { computed } from 'vue'
import type { ShowFrame, ShowMoment } from '@lea/core/session'
import MatPattern from '../mats/MatPattern.vue'
import ScenePicture from '../pictures/ScenePicture.vue'
import Picture from '../pictures/Picture.vue'
import WordPicture from '../pictures/WordPicture.vue'

const props = defineProps<{
  moment: Exclude<ShowMoment, { kind: 'turn' } | { kind: 'wash' } | { kind: 'tastes' }>
  left: number | null
  guesses: ShowFrame['guesses']
}>()
/** The picture of a wait is that of its place. */
const WAITS: Record<string, string> = {
  oven: 'oven',
  hob: 'saucepan',
  griddle: 'pan',
  fire: 'fire',
  fridge: 'fridge',
  freezer: 'freezer',
  setting: 'fridge',
  rising: 'dough',
  resting: 'dough',
  soaking: 'soak',
  cooling: 'blow',
  any: 'timer',
}
const by = computed(() => {
  const { moment } = props
  return moment.kind === 'guess' ? (props.guesses[moment.guess.id]?.by ?? []) : []
})
/** What is left of the wait, as a disc: the angle in degrees. */
const turn = computed(() => `${Math.round(360 * (props.left ?? 1))}deg`)
</script>

<template>
  <div class="grid h-full w-full place-items-center" :data-moment="moment.kind">
    <Picture v-if="moment.kind === 'ready'" :name="moment.picture" class="size-[50cqh]" />
    <div v-else-if="moment.kind === 'now-next'" class="flex items-center gap-[4cqw]">
      <Picture :name="moment.now" class="size-[42cqh] rounded-patch border-8 border-ink p-4" />
      <template v-if="moment.next">
        <ArrowRight class="size-[12cqh]" aria-hidden="true" />
        <Picture :name="moment.next" class="size-[24cqh] opacity-80" />
      </template>
      <Check v-else class="size-[18cqh]" aria-hidden="true" />
    </div>
    <div v-else-if="moment.kind === 'story'" class="flex items-center gap-[4cqw]">
      <BookOpen class="size-[34cqh] text-indigo" aria-hidden="true" />
      <Picture :name="moment.picture" class="size-[34cqh]" />
    </div>
    <div v-else-if="moment.kind === 'home'" class="grid place-items-center gap-6">
      <WordPicture :word="moment.id" :label="moment.word.english" class="size-[36cqh]" />
      <bdi
        :lang="moment.word.language"
        :dir="moment.word.rightToLeft ? 'rtl' : 'ltr'"
        class="font-title text-[16cqh] font-bold leading-none"
        >{{ moment.word.word }}</bdi
      >
    </div>
    <div v-else-if="moment.kind === 'guess'" class="w-full">
      <Lightbulb class="mx-auto mb-4 size-[16cqh] text-indigo" aria-hidden="true" />
      <ul class="flex flex-wrap justify-center gap-4">
        <li
          v-for="o in moment.guess.options"
          :key="o"
          class="grid min-h-[36cqh] min-w-[16cqw] content-start justify-items-center gap-3 rounded-patch border-4 p-3"
          :class="guesses[moment.guess.id]?.truth === o ? 'border-ink bg-white' : 'border-line'"
        >
          <span class="numeral text-[8cqh] leading-none">{{ o }}</span>
          <span class="flex flex-wrap justify-center gap-2">
            <span
              v-for="(g, i) in by.filter(({ says }) => says === o)"
              :key="i"
              class="size-[8cqh] overflow-hidden rounded-patch border-2 border-ink"
              ><MatPattern :mat="g.who"
            /></span>
          </span>
        </li>
      </ul>
    </div>
    <div v-else-if="moment.kind === 'choose'" class="flex flex-wrap items-center justify-center gap-[4cqw]">
      <WordPicture
        v-for="f in moment.foods"
        :key="f"
        :word="f"
        label=""
        class="size-[32cqh] rounded-patch border-4 border-line p-4"
      />
    </div>
    <div
      v-else-if="moment.kind === 'tasting'"
      class="flex flex-wrap items-center justify-center gap-[4cqw]"
      :data-covered="moment.covered"
    >
      <EyeOff v-if="moment.covered" class="size-[24cqh] text-indigo" aria-hidden="true" />
      <WordPicture
        v-for="f in moment.foods"
        :key="f"
        :word="f"
        label=""
        class="size-[28cqh] rounded-patch border-4 border-line p-4"
      />
    </div>
    <ScenePicture v-else-if="moment.kind === 'scene'" :scene="moment" class="w-[88cqh] max-w-full" />
    <div v-else-if="moment.kind === 'wait'" class="flex items-center gap-[5cqw]">
      <WordPicture :word="WAITS[moment.wait] ?? 'timer'" label="" class="size-[40cqh]" />
      <span
        v-if="left !== null"
        class="size-[40cqh] rounded-full border-4 border-ink"
        :style="{ background: `conic-gradient(var(--color-indigo) ${turn}, #fff ${turn})` }"
        role="img"
        aria-label="how much of the wait is left"
      ></span>
      <Hourglass v-else class="size-[30cqh]" aria-hidden="true" />
    </div>
    <div v-else-if="moment.kind === 'order'" class="grid place-items-center gap-[5cqh]">
      <span class="flex flex-wrap items-center justify-center gap-[3cqw]">
        <Picture
          v-for="(p, i) in moment.pictures"
          :key="i"
          :name="p"
          class="size-[34cqh] rounded-patch border-4 border-line p-3"
        />
      </span>
      <span class="flex items-center gap-[3cqw]" aria-hidden="true">
        <template v-for="(_, i) in moment.pictures" :key="i">
          <ArrowRight v-if="i > 0" class="size-[7cqh]" />
          <span
            class="numeral grid size-[14cqh] place-items-center rounded-patch border-4 border-dashed border-soft text-[8cqh]"
            >{{ i + 1 }}</span
          >
        </template>
      </span>
    </div>
    <div v-else class="flex flex-wrap items-center justify-center gap-[3cqw]">
      <Picture
        v-for="(p, i) in moment.pictures"
        :key="i"
        :name="p"
        class="size-[26cqh] rounded-patch border-4 border-line p-3"
      />
      <Check class="size-[20cqh] text-moss" aria-hidden="true" />
    </div>
  </div>
</template>
