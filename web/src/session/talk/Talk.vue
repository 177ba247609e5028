<script setup lang="ts">
/** Step by step who is asked what, with its levels, the answer and the words; and which targets come to whom. */
import { TASTING_WORDS } from '@lea/core/learn'
import { useSession } from '../../stores/session/session'
import CoverageTable from './CoverageTable.vue'
import DayWords from './DayWords.vue'
import StepTalkCard from './StepTalkCard.vue'

const session = useSession()
const TURNS = ['my turn', 'your turn', 'after you', 'can I have … please?', 'no thank you', 'just looking']
</script>

<template>
  <section v-if="session.plan" aria-label="Talk" class="grid grid-cols-[minmax(0,1fr)] gap-3">
    <div class="no-print flex flex-wrap items-center gap-2">
      <RouterLink class="btn" :to="`/session/${session.plan.session}/words`">Word cards</RouterLink>
      <RouterLink class="btn" :to="`/session/${session.plan.session}/talk-sheet`">Talk sheet</RouterLink>
      <a class="btn" href="#coverage">Who meets what</a>
      <p class="ml-auto text-sm text-soft">
        Wait five seconds after a question, ten for the youngest. Three comments to a question.
      </p>
    </div>
    <DayWords />
    <StepTalkCard v-for="t in session.plan.talk" :key="t.step" :talk="t" />
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
