<script setup lang="ts">
/** The words of the step: each with its picture, its words of home, how they are read, and a voice where the device has one. */
import { Volume2 } from '@lucide/vue'
import { computed } from 'vue'
import { shownHome } from '@lea/core/learn'
import type { StepTalk } from '@lea/core/plan'
import WordPicture from '../../parts/pictures/WordPicture.vue'
import { useSettingStore } from '../../stores/setting'
import { useVoices } from './useVoices'

const props = defineProps<{ talk: StepTalk | null; spoken: readonly string[]; english: string }>()
const settingStore = useSettingStore()
const { has, speak } = useVoices()
const words = computed(() => [...(props.talk?.words ?? []), ...(props.talk?.pair ?? [])])
</script>

<template>
  <ul class="mt-2" aria-label="Words of this step">
    <li v-for="w in words" :key="w.id" class="flex flex-wrap items-center gap-x-2 py-0.5">
      <WordPicture :word="w.id" :label="w.word" class="size-7 shrink-0" />
      <strong>{{ w.word }}</strong>
      <span
        v-for="h in shownHome(w, settingStore.setting?.rules.languages, spoken)"
        :key="h.language"
        class="flex items-center gap-1"
        ><bdi :lang="h.language" :dir="h.rightToLeft ? 'rtl' : 'ltr'">{{ h.word }}</bdi
        ><bdi v-if="h.roman" dir="ltr" class="text-sm text-soft">{{ h.roman }}</bdi>
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
</template>
