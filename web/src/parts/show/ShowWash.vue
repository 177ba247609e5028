<script setup lang="ts">
/** Twenty seconds at the tap in pictures: the part of the hand that is due, and how much of the song is left. */
import { useIntervalFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import { SONG_SECONDS, WASHING_SONG, songLineAt } from '@lea/core/learn'
import HandPicture from './HandPicture.vue'

const props = defineProps<{
  /** On paper: all parts of the hand at once. */
  still?: boolean
}>()
const begun = performance.now()
const gone = ref(0)
useIntervalFn(() => (gone.value = (performance.now() - begun) / 1000), 250, { immediate: !props.still })
const over = computed(() => gone.value >= SONG_SECONDS)
const due = computed(() => songLineAt(gone.value))
const share = computed(() => Math.min(100, (100 * gone.value) / SONG_SECONDS))
</script>

<template>
  <ol
    v-if="still"
    class="grid h-full w-full grid-cols-3 grid-rows-2 place-items-center gap-4"
    data-moment="wash"
  >
    <li
      v-for="(l, i) in WASHING_SONG"
      :key="l.part"
      class="grid h-full grid-rows-[1fr_auto] justify-items-center"
    >
      <HandPicture :part="l.part" class="h-[36cqh]" />
      <span class="numeral text-[8cqh] leading-none">{{ i + 1 }}</span>
    </li>
  </ol>
  <div
    v-else
    class="grid h-full w-full grid-rows-[1fr_auto_auto] place-items-center gap-4"
    data-moment="wash"
  >
    <HandPicture v-if="!over" :part="WASHING_SONG[due]?.part ?? ''" class="h-[46cqh]" />
    <span v-else class="text-[32cqh] leading-none" aria-hidden="true">✓</span>
    <div class="flex gap-3" aria-hidden="true">
      <HandPicture
        v-for="(l, i) in WASHING_SONG"
        :key="l.part"
        :part="l.part"
        class="h-[11cqh] rounded-patch border-4 p-1"
        :class="i === due && !over ? 'border-indigo' : 'border-transparent'"
      />
    </div>
    <div
      class="h-6 w-full overflow-hidden rounded-full border-2 border-ink"
      role="progressbar"
      aria-label="The washing song"
      :aria-valuenow="Math.round(share)"
    >
      <div class="h-full bg-indigo" :style="{ width: `${share}%` }"></div>
    </div>
    <p class="sr-only" aria-live="polite">
      {{ over ? 'Twenty seconds are over.' : WASHING_SONG[due]?.hands }}
    </p>
  </div>
</template>
