<script setup lang="ts">
/** The word, the sound and the recipe’s own words of the day. */
import { computed } from 'vue'
import { talkOfDay } from '@lea/core/session'
import WordPicture from '../../parts/pictures/WordPicture.vue'
import { useSession } from '../../stores/session/session'
import HomeWords from '../../parts/HomeWords.vue'
import { useGlossary } from '../../parts/useGlossary'

const session = useSession()
const { glossary, languages } = useGlossary()
const day = computed(() => (session.plan ? talkOfDay(session.plan, glossary.value, languages.value) : null))
</script>

<template>
  <section
    v-if="day"
    class="patch grid gap-4 border-t-[6px] !border-t-indigo p-4 md:grid-cols-3"
    aria-label="Today"
  >
    <div class="flex gap-3">
      <WordPicture :word="day.word.id" :label="day.word.word" class="size-14 shrink-0" />
      <div>
        <p class="text-sm text-soft">Word of the day</p>
        <p class="font-title text-2xl font-bold leading-tight">{{ day.word.word }}</p>
        <HomeWords :home="day.word.home" />
        <p v-if="day.word.act" class="text-sm">{{ day.word.act }}</p>
      </div>
    </div>
    <div>
      <p class="text-sm text-soft">Sound of the day</p>
      <template v-if="day.sound">
        <p class="font-title text-2xl font-bold leading-tight">{{ day.sound.sound }}</p>
        <p class="text-sm">{{ day.sound.words.join(', ') }}</p>
      </template>
      <p v-else>No two words here begin alike.</p>
    </div>
    <details>
      <summary class="min-h-6 cursor-pointer py-0.5 text-sm">Words of a recipe, for those who read</summary>
      <dl class="grid grid-cols-[6rem_1fr] text-sm">
        <template v-for="r in day.recipe" :key="r.part">
          <dt class="font-semibold">{{ r.part }}</dt>
          <dd>{{ r.says }}</dd>
        </template>
      </dl>
    </details>
  </section>
</template>
