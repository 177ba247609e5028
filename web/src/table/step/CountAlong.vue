<script setup lang="ts">
/** Counting together in the languages of the child whose turn it is: up to the scoop at hand. */
import { computed } from 'vue'
import { countAlong, languageName, runsRightToLeft } from '@lea/core/learn'
import { useGlossary } from '../../parts/useGlossary'

const props = defineProps<{ to: number; languages: readonly string[] }>()
const { glossary } = useGlossary()
const rows = computed(() =>
  props.languages.flatMap((language) => {
    const words = countAlong(props.to, language, glossary.value)
    const last = words.at(-1)
    return last ? [{ language, words, rtl: runsRightToLeft(last.word) }] : []
  }),
)
</script>

<template>
  <div v-for="r in rows" :key="r.language" class="mt-2 border-t border-line pt-1">
    <p class="text-xs text-soft">Count in {{ languageName(r.language) }}</p>
    <p class="flex flex-wrap items-baseline gap-x-2" :dir="r.rtl ? 'rtl' : 'ltr'" :lang="r.language">
      <span v-for="w in r.words" :key="w.n" :class="w.n === to ? 'text-xl font-bold text-indigo' : ''"
        ><bdi>{{ w.word }}</bdi
        ><bdi v-if="w.reading && w.n === to" dir="ltr" class="text-xs text-soft"> {{ w.reading }}</bdi></span
      >
    </p>
  </div>
</template>
