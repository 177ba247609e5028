<script setup lang="ts">
/** Cards to cut out and hold up: picture, word, and the word in the languages of the group. */
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { languageName } from '@lea/core/learn'
import { wordCards } from '@lea/core/session'
import WordPicture from '../parts/pictures/WordPicture.vue'
import { useMats } from '../parts/mats/useMats'
import MatPattern from '../parts/mats/MatPattern.vue'
import PaperBar from './PaperBar.vue'
import { useOpenSession } from '../parts/useOpenSession'

const session = useOpenSession()
const route = useRoute()
const { matOf } = useMats()
const cards = computed(() => (session.plan ? wordCards(session.plan, session.request()?.words) : []))
</script>

<template>
  <main id="main" class="mx-auto max-w-5xl px-5 py-4 print:max-w-none print:p-0">
    <PaperBar
      back="Back to Talk"
      :to="`/session/${route.params['id']}/talk`"
      page="; margin: 9mm"
      button="Print the cards"
    />
    <h1 class="mb-1 text-2xl print:hidden">Word cards</h1>
    <p class="mb-3 text-sm text-soft print:hidden">
      Words in other languages are from memory; where it says <em>ask a speaker</em>, ask one first.
    </p>
    <p v-if="!session.plan" role="status">{{ session.planFault || 'Cutting the cards …' }}</p>
    <p v-else-if="cards.length === 0">This recipe brings no words that Lea has cards for.</p>
    <ul v-else class="grid gap-3 sm:grid-cols-2 lg:grid-cols-3 print:grid-cols-3">
      <li
        v-for="c in cards"
        :key="c.id"
        class="break-inside-avoid overflow-hidden rounded-patch border-2 border-dashed border-ink bg-white"
      >
        <div class="relative h-4 border-b border-ink">
          <MatPattern v-if="c.child" :mat="matOf(c.child)" />
        </div>
        <div class="p-3">
          <div class="flex items-center gap-3">
            <WordPicture :word="c.id" :label="c.word" class="size-14 shrink-0" />
            <h2 class="text-3xl leading-tight">{{ c.word }}</h2>
          </div>
          <ul class="mt-2">
            <li
              v-for="h in c.home"
              :key="h.language"
              class="flex items-baseline justify-between gap-2 border-t border-line py-0.5"
            >
              <span class="text-xs text-soft"
                >{{ languageName(h.language) }}<em v-if="h.askSpeaker">, ask a speaker</em></span
              >
              <span class="text-right text-xl"
                ><bdi :lang="h.language" :dir="h.rightToLeft ? 'rtl' : 'ltr'">{{ h.word }}</bdi
                ><span v-if="h.roman" class="block text-xs text-soft">{{ h.roman }}</span></span
              >
            </li>
          </ul>
          <p class="mt-1 text-xs text-soft">{{ c.step }}</p>
        </div>
      </li>
    </ul>
  </main>
</template>
