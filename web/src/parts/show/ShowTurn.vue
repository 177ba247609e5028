<script setup lang="ts">
/** Whose turn it is and what to do, in pictures: the technique as it goes, or the measure, the food and the bowl; the strip, a big numeral, and the parts of the whole. */
import { ArrowRight } from '@lucide/vue'
import type { ShowMoment, ShowRow } from '@lea/core/session'
import MatPattern from '../mats/MatPattern.vue'
import MeasurePicture from '../pictures/MeasurePicture.vue'
import PartPicture from '../pictures/PartPicture.vue'
import TechniqueStrip from '../pictures/techniques/TechniqueStrip.vue'
import WordPicture from '../pictures/WordPicture.vue'
import ShowStrip from './ShowStrip.vue'

defineProps<{
  moment: Extract<ShowMoment, { kind: 'turn' }>
  row: ShowRow
  /** The mat whose turn it is; on paper nobody's. */
  who: number | null
  /** Mats of those who come next; on paper of all who do it. */
  next: readonly number[]
  /** On paper: nothing moves, and those who do it stand side by side. */
  still?: boolean
}>()
</script>

<template>
  <div
    class="grid h-full w-full grid-cols-[minmax(0,1fr)] grid-rows-[auto_1fr_auto] gap-5"
    data-moment="turn"
  >
    <div class="flex items-center justify-center gap-[4cqw]">
      <span v-if="who !== null" class="size-[24cqh] overflow-hidden rounded-patch border-4 border-ink"
        ><MatPattern :mat="who"
      /></span>
      <MeasurePicture
        v-if="row.scoop"
        class="h-[20cqh] w-[24cqh]"
        :size="row.scoop.size"
        :unit="row.scoop.unit"
        :name="row.scoop.name"
      />
      <TechniqueStrip
        v-else
        :class="row.picture ? 'h-[24cqh]' : 'h-[28cqh]'"
        :play="!still"
        :technique="moment.technique"
        :tool="moment.tool"
        :food="moment.food"
        :left="moment.left"
      />
      <template v-if="row.scoop && moment.food">
        <ArrowRight class="size-[7cqh]" aria-hidden="true" />
        <WordPicture :word="moment.food" label="" class="size-[18cqh]" />
      </template>
      <template v-if="row.scoop && moment.to">
        <ArrowRight class="size-[7cqh]" aria-hidden="true" />
        <WordPicture :word="moment.to" label="" class="size-[18cqh]" />
      </template>
    </div>
    <div class="flex items-center justify-center gap-[5cqw]">
      <span class="numeral text-[26cqh] leading-none" aria-live="polite">{{ row.count }}</span>
      <PartPicture v-if="row.picture" :picture="row.picture" far bare lined />
      <span class="ml-auto flex flex-wrap justify-end gap-3" aria-hidden="true">
        <span
          v-for="(c, i) in next"
          :key="`${c} ${i}`"
          class="overflow-hidden rounded-patch border-2 border-ink"
          :class="i === 0 || still ? 'size-[11cqh]' : 'size-[8cqh]'"
          ><MatPattern :mat="c"
        /></span>
      </span>
    </div>
    <ShowStrip :row="row" />
  </div>
</template>
