<script setup lang="ts">
/** Moment by moment what is said, to whom and why, with the words; and which targets come to whom. */
import { computed, ref } from 'vue'
import { TASTING_WORDS } from '@lea/core/learn'
import { talkMoments } from '@lea/core/session'
import { useSession } from '../../stores/session/session'
import Fold from '../../parts/layout/Fold.vue'
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
/** All are open, or the first step only. */
const all = ref(false)
const first = computed(() => session.plan?.schedule[0]?.step ?? '')
const TURNS = ['my turn', 'your turn', 'after you', 'can I have … please?', 'no thank you', 'just looking']
</script>

<template>
  <section v-if="session.plan" aria-label="Talk" class="grid grid-cols-[minmax(0,1fr)] gap-3">
    <div class="no-print flex flex-wrap items-center gap-2">
      <RouterLink class="btn" :to="`/session/${session.plan.session}/words`">Word cards</RouterLink>
      <RouterLink class="btn" :to="`/session/${session.plan.session}/talk-sheet`">Talk sheet</RouterLink>
      <button type="button" class="btn" :aria-pressed="all" @click="all = !all">
        {{ all ? 'Fold all' : 'Open all' }}
      </button>
      <p class="ml-auto text-sm text-soft">After a question wait five seconds, ten for the youngest.</p>
    </div>
    <DayWords />
    <template v-for="{ moment, talk } in parts" :key="moment.step ?? moment.title">
      <StepTalkCard v-if="talk" :talk="talk" :moment="moment" :open="all || talk.step === first" />
      <article v-else class="patch" :aria-label="moment.title">
        <details :open="all">
          <summary class="flex cursor-pointer items-center px-4 py-2">
            <h2 class="text-xl">{{ moment.title }}</h2>
            <span class="ml-auto text-sm text-soft">{{ moment.rows.length }} to say</span>
          </summary>
          <ul class="px-4 pb-4">
            <TalkLine v-for="r in moment.rows" :key="r.key" :row="r" :step="null" />
          </ul>
        </details>
      </article>
    </template>
    <Fold title="Who meets what" :open="all"><CoverageTable /></Fold>
    <Fold title="Words for turns and tastes" :open="all">
      <div class="grid gap-4 md:grid-cols-2">
        <div>
          <h3 class="text-base">Taking turns</h3>
          <p>{{ TURNS.join(' · ') }}</p>
          <p class="text-sm text-soft">A point, a look, a sign, an action or any language is an answer.</p>
        </div>
        <div>
          <h3 class="text-base">After tasting: how it …</h3>
          <dl class="grid grid-cols-[5rem_1fr] text-sm">
            <template v-for="(words, sense) in TASTING_WORDS" :key="sense">
              <dt class="font-semibold">{{ sense }}</dt>
              <dd>{{ words.join(', ') }}</dd>
            </template>
          </dl>
        </div>
      </div>
    </Fold>
  </section>
</template>
