<script setup lang="ts">
/** Targets against children: asked, heard, or not in this session. No score: it shows what the plan brings to whom. */
import { computed } from 'vue'
import { targetOf } from '@lea/core/learn'
import { coverage } from '@lea/core/session'
import Mat from '../../parts/mats/Mat.vue'
import { useMats } from '../../parts/mats/useMats'
import { useSession } from '../../stores/session/session'
import { useGlossary } from '../../parts/useGlossary'

const session = useSession()
const { matOf } = useMats()
const { glossary } = useGlossary()
const rows = computed(() => (session.plan ? coverage(session.plan, glossary.value) : []))
const children = computed(() => session.plan?.children.map((c) => c.id) ?? [])
const MARKS = { asked: '●', heard: '○' } as const
const inWords = (kind: 'due' | 'other'): string[] =>
  (session.plan?.uncovered ?? []).flatMap((u) => {
    if ((u.kind === 'due') !== (kind === 'due')) return []
    const who = u.child ? session.nameOf(u.child) : ''
    const what = u.target ? (targetOf(u.target)?.says ?? u.target) : ''
    return [`${[who, what].filter((x) => x !== '').join(', ')}: ${u.why}.`]
  })
const uncovered = computed(() => inWords('other'))
const later = computed(() => inWords('due'))
</script>

<template>
  <section aria-label="Who meets what">
    <p class="text-sm text-soft">
      {{ MARKS.asked }} is asked, {{ MARKS.heard }} hears the word. It is a plan of questions, not a test:
      saying nothing is a fine answer.
    </p>
    <div v-if="uncovered.length > 0" class="mt-2 border-l-4 border-moss pl-3">
      <p class="font-semibold">Not covered this time</p>
      <ul class="text-sm">
        <li v-for="u in uncovered" :key="u">{{ u }}</li>
      </ul>
    </div>
    <details v-if="later.length > 0" class="mt-2 text-sm">
      <summary>{{ later.length }} that were to come back and have no place today</summary>
      <ul class="border-l-4 border-line pl-3">
        <li v-for="u in later" :key="u">{{ u }}</li>
      </ul>
    </details>
    <div class="relative mt-2 overflow-x-auto" tabindex="0" role="region" aria-label="Goals by child">
      <table class="min-w-full text-sm">
        <thead>
          <tr>
            <th scope="col" class="min-w-56 p-1 text-left">Goal</th>
            <th v-for="c in children" :key="c" scope="col" class="p-1">
              <Mat :name="session.nameOf(c)" :mat="matOf(c)" />
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in rows" :key="r.target" class="border-t border-line">
            <th scope="row" class="p-1 text-left font-normal">
              {{ r.says }} <span class="text-xs text-soft">{{ r.standards }}</span>
              <span v-if="r.week" class="rounded-sm bg-moss px-1 text-xs text-white">this week</span>
            </th>
            <td v-for="c in children" :key="c" class="p-1 text-center" :title="r.met[c]?.steps.join(', ')">
              <span v-if="r.met[c]" aria-hidden="true">{{ MARKS[r.met[c].how] }}</span><span
                class="sr-only"
                >{{ r.met[c] ? `${r.met[c].how} in ${r.met[c].steps.join(', ')}` : 'not this time' }}</span
              >
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="mt-2 text-xs text-soft">
      Goals and ages are from memory, matched to England’s EYFS and national curriculum, Common Core and Head
      Start; the codes stand under each goal. They help to choose a question; they say nothing about a child.
    </p>
  </section>
</template>
