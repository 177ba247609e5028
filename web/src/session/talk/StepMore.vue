<script setup lang="ts">
/** All there is to say in a step beyond its question: how to act it, more words, a little science, and how it is told by age. */
import { computed } from 'vue'
import { SCIENCE_BANDS, type StepWord, TELLING_AGES } from '@lea/core/learn'
import type { StepTalk } from '@lea/core/plan'
import { stepMore, yearsText } from '@lea/core/session'
import { useSession } from '../../stores/session/session'
import { useGlossary } from '../../parts/useGlossary'

const props = defineProps<{ talk: StepTalk }>()
const session = useSession()
const { glossary, languages } = useGlossary()
const more = computed(() =>
  session.plan ? stepMore(session.plan, props.talk, glossary.value, languages.value) : null,
)
const SENSES: Record<string, string> = {
  look: 'looks',
  smell: 'smells',
  sound: 'sounds',
  feel: 'feels',
  taste: 'tastes',
}
const groups = computed((): [string, StepWord[]][] => {
  const m = more.value
  if (!m) return []
  const all: [string, StepWord[]][] = [
    ['doing', m.verbs],
    ['where', m.places],
    ['a pair', m.pair],
    ['in order', m.sequence],
  ]
  return all.filter(([, words]) => words.length > 0)
})
</script>

<template>
  <div v-if="more" class="grid gap-4 border-t border-line pt-3 text-sm md:grid-cols-2">
    <div>
      <h3 class="text-base">Told by age</h3>
      <ul v-if="more.told" class="mt-1">
        <li v-for="(line, i) in more.told" :key="i" class="flex gap-2">
          <span class="w-16 shrink-0 text-soft">{{ yearsText(TELLING_AGES[i] ?? 0) }}</span><span
            >“{{ line }}”</span
          >
        </li>
      </ul>
      <p v-else class="text-soft">Say what you do, in as many words as the child uses and one more.</p>
      <template v-if="more.acts.length > 0">
        <h3 class="mt-3 text-base">Act it while you say it</h3>
        <ul>
          <li v-for="a in more.acts" :key="a.word">
            <strong>{{ a.word }}</strong>: {{ a.act }}
          </li>
        </ul>
      </template>
    </div>
    <div>
      <h3 class="text-base">More words</h3>
      <dl class="mt-1 grid grid-cols-[4.5rem_1fr] gap-x-2 gap-y-0.5">
        <template v-for="[name, words] in groups" :key="name">
          <dt class="text-soft">{{ name }}</dt>
          <dd>
            {{ words.map((w) => w.word).join(', ') }}
          </dd>
        </template>
        <template v-for="(words, sense) in more.senses" :key="sense">
          <dt class="text-soft">{{ SENSES[sense] ?? sense }}</dt>
          <dd>{{ words.join(', ') }}</dd>
        </template>
      </dl>
      <div v-for="s in more.science" :key="s.id" class="mt-3">
        <h3 class="text-base">{{ s.title }}</h3>
        <ul>
          <li v-for="(line, i) in s.lines" :key="i" class="flex gap-2">
            <span class="w-20 shrink-0 text-soft">{{ SCIENCE_BANDS[i] }}</span><span>{{ line }}</span>
          </li>
        </ul>
        <p v-if="s.tryIt">
          <strong>Try it:</strong> {{ s.tryIt }}
          <em class="text-soft">What is set aside nobody tastes; hot things are the adult’s alone.</em>
        </p>
      </div>
    </div>
  </div>
</template>
