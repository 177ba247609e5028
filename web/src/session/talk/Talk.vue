<script setup lang="ts">
/** Moment by moment what is said, to whom and why, with the words; and which targets come to whom. */
import { computed } from 'vue'
import { TASTING_WORDS } from '@lea/core/learn'
import { talkMoments } from '@lea/core/session'
import { useSession } from '../../stores/session/session'
import CoverageTable from './CoverageTable.vue'
import DayWords from './DayWords.vue'
import StepTalkCard from './StepTalkCard.vue'
import TalkLine from './TalkLine.vue'

const session = useSession()
const moments = computed(() =>
  session.plan
    ? talkMoments(
        session.plan,
        (session.request()?.children ?? []).map((c) => ({ child: c.id, languages: c.languages })),
      )
    : [],
)
/** Each moment with the talk of its step; before the first and after the last there is none. */
const parts = computed(() =>
  moments.value.map((moment) => ({
    moment,
    talk: session.plan?.talk.find((t) => t.step === moment.step) ?? null,
  })),
)
const TURNS = ['my turn', 'your turn', 'after you', 'can I have … please?', 'no thank you', 'just looking']
</script>

<template>
  <section v-if="session.plan" aria-label="Talk" class="grid grid-cols-[minmax(0,1fr)] gap-3">
    <div class="no-print flex flex-wrap items-center gap-2">
      <RouterLink class="btn" :to="`/session/${session.plan.session}/words`">Word cards</RouterLink>
      <RouterLink class="btn" :to="`/session/${session.plan.session}/talk-sheet`">Talk sheet</RouterLink>
      <a class="btn" href="#coverage">Who meets what</a>
      <p class="ml-auto text-sm text-soft">
        Wait five seconds after a question, ten for the youngest. Comments come first.
      </p>
    </div>
    <DayWords />
    <template v-for="{ moment, talk } in parts" :key="moment.step ?? moment.title">
      <StepTalkCard v-if="talk" :talk="talk" :moment="moment" />
      <article v-else class="patch p-4" :aria-label="moment.title">
        <h2 class="text-xl">{{ moment.title }}</h2>
        <ul class="mt-1">
          <TalkLine v-for="r in moment.rows" :key="r.key" :row="r" :step="null" />
        </ul>
      </article>
    </template>
    <CoverageTable />
    <section class="patch grid gap-4 p-4 md:grid-cols-2" aria-label="Words for turns and tastes">
      <div>
        <h2 class="text-lg">Taking turns</h2>
        <p>{{ TURNS.join(' · ') }}</p>
        <p class="text-sm text-soft">A point, a look, a sign, an action or any language is an answer.</p>
      </div>
      <div>
        <h2 class="text-lg">After tasting: how it …</h2>
        <dl class="grid grid-cols-[5rem_1fr] text-sm">
          <template v-for="(words, sense) in TASTING_WORDS" :key="sense">
            <dt class="font-semibold">{{ sense }}</dt>
            <dd>{{ words.join(', ') }}</dd>
          </template>
        </dl>
      </div>
    </section>
  </section>
</template>
