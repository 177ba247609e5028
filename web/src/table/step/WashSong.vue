<script setup lang="ts">
/** The washing song: twenty seconds, the line and the part of the hand that are due. */
import { Play, RotateCcw } from '@lucide/vue'
import { useIntervalFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import { SONG_SECONDS, WASHING_SONG, songLineAt } from '@lea/core/learn'

const startedAt = ref<number | null>(null)
const gone = ref(0)
const { pause, resume } = useIntervalFn(
  () => {
    if (startedAt.value === null) return
    gone.value = (performance.now() - startedAt.value) / 1000
    if (gone.value >= SONG_SECONDS) pause()
  },
  200,
  { immediate: false },
)
const running = computed(() => startedAt.value !== null && gone.value < SONG_SECONDS)
const over = computed(() => startedAt.value !== null && gone.value >= SONG_SECONDS)
const due = computed(() => (running.value ? songLineAt(gone.value) : -1))
const left = computed(() => Math.max(0, Math.ceil(SONG_SECONDS - gone.value)))
function sing(): void {
  startedAt.value = performance.now()
  gone.value = 0
  resume()
}
</script>

<template>
  <div>
    <ol class="mt-1">
      <li
        v-for="(l, i) in WASHING_SONG"
        :key="l.part"
        class="border-l-4 py-0.5 pl-2"
        :class="i === due ? 'border-indigo font-bold' : 'border-transparent'"
        :aria-current="i === due ? 'step' : undefined"
      >
        {{ l.says }} <span class="block text-sm font-normal text-soft">{{ l.hands }}</span>
      </li>
    </ol>
    <button type="button" class="btn btn-table mt-2 w-full" @click="sing">
      <component :is="startedAt === null ? Play : RotateCcw" class="size-5" aria-hidden="true" />
      {{
        startedAt === null
          ? `sing for ${SONG_SECONDS} seconds`
          : running
            ? `${left} seconds to go`
            : 'once more'
      }}
    </button>
    <p v-if="over" role="status" class="mt-1 font-semibold">Twenty seconds: rinse and dry.</p>
  </div>
</template>
