<script setup lang="ts">
/** Twenty seconds at the tap in pictures: the part of the hand that is due, and how much of the song is left. */
import { useIntervalFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import { SONG_SECONDS, WASHING_SONG, songLineAt } from '@lea/core/learn'
import HandPicture from './HandPicture.vue'

const begun = performance.now()
const gone = ref(0)
useIntervalFn(() => (gone.value = (performance.now() - begun) / 1000), 250)
const over = computed(() => gone.value >= SONG_SECONDS)
const due = computed(() => songLineAt(gone.value))
const share = computed(() => Math.min(100, (100 * gone.value) / SONG_SECONDS))
</script>

<template>
  <div class="grid h-full w-full grid-rows-[1fr_auto_auto] place-items-center gap-4" data-moment="wash">
    <HandPicture v-if="!over" :part="WASHING_SONG[due]?.part ?? ''" class="h-[46vh]" />
    <span v-else class="text-[32vh] leading-none" aria-hidden="true">✓</span>
    <div class="flex gap-3" aria-hidden="true">
      <HandPicture
        v-for="(l, i) in WASHING_SONG"
        :key="l.part"
        :part="l.part"
        class="h-[11vh] rounded-patch border-4 p-1"
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
