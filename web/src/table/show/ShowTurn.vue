<script setup lang="ts">
/** Whose turn it is and what to do, in pictures: the technique as it goes, or the measure, the food and the bowl; the strip, a big numeral, and the parts of the whole. */
import { ArrowRight } from '@lucide/vue'
import type { ShowMoment, ShowRow } from '@lea/core/session'
import MatPattern from '../../parts/mats/MatPattern.vue'
import MeasurePicture from '../../parts/pictures/MeasurePicture.vue'
import PartPicture from '../../parts/pictures/PartPicture.vue'
import TechniqueStrip from '../../parts/pictures/techniques/TechniqueStrip.vue'
import WordPicture from '../../parts/pictures/WordPicture.vue'
import ShowStrip from './ShowStrip.vue'

defineProps<{
  moment: Extract<ShowMoment, { kind: 'turn' }>
  row: ShowRow
  /** Numbers of mats. */
  who: number
  next: readonly number[]
}>()
</script>

<template>
  <div class="grid h-full w-full grid-rows-[auto_1fr_auto] gap-5" data-moment="turn">
    <div class="flex items-center justify-center gap-[4vw]">
      <span class="size-[24vh] overflow-hidden rounded-patch border-4 border-ink"
        ><MatPattern :mat="who"
      /></span>
      <MeasurePicture
        v-if="row.scoop"
        class="h-[20vh] w-[24vh]"
        :size="row.scoop.size"
        :unit="row.scoop.unit"
        :name="row.scoop.name"
      />
      <TechniqueStrip
        v-else
        class="h-[24vh]"
        play
        :technique="moment.technique"
        :tool="moment.tool"
        :food="moment.food"
        :left="moment.left"
      />
      <template v-if="row.scoop && moment.food">
        <ArrowRight class="size-[7vh]" aria-hidden="true" />
        <WordPicture :word="moment.food" label="" class="size-[18vh]" />
      </template>
      <template v-if="row.scoop && moment.to">
        <ArrowRight class="size-[7vh]" aria-hidden="true" />
        <WordPicture :word="moment.to" label="" class="size-[18vh]" />
      </template>
    </div>
    <div class="flex items-center justify-center gap-[5vw]">
      <span class="numeral text-[26vh] leading-none" aria-live="polite">{{ row.count }}</span>
      <PartPicture v-if="row.picture" :picture="row.picture" :size="150" bare lined />
      <span class="ml-auto flex gap-3" aria-hidden="true">
        <span
          v-for="(c, i) in next"
          :key="`${c} ${i}`"
          class="overflow-hidden rounded-patch border-2 border-ink"
          :class="i === 0 ? 'size-[11vh]' : 'size-[8vh]'"
          ><MatPattern :mat="c"
        /></span>
      </span>
    </div>
    <ShowStrip :row="row" />
  </div>
</template>
