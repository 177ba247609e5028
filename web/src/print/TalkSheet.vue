<script setup lang="ts">
/** The talk of a session on paper: step by step, from showing to asking, with the answers and the words. */
import { useRoute } from 'vue-router'
import { fewOfEach } from '@lea/core/session'
import Amount from '../parts/Amount.vue'
import PaperBar from './PaperBar.vue'
import { useOpenSession } from '../parts/useOpenSession'
import { SUPPORT_LEVEL_WORDS } from '../parts/level-words'

const session = useOpenSession()
const route = useRoute()
const stepOf = (id: string) => session.plan?.schedule.find((s) => s.step === id)
</script>

<template>
  <main id="main" class="mx-auto max-w-5xl px-5 py-4 print:max-w-none print:p-0">
    <PaperBar
      back="Back to Talk"
      :to="`/session/${route.params['id']}/talk`"
      page="; margin: 10mm"
      button="Print this sheet"
    />
    <p v-if="!session.plan" role="status">{{ session.planFault || 'Writing the sheet …' }}</p>
    <article v-else class="patch p-4 print:border-0 print:p-0">
      <h1 class="text-2xl">{{ session.plan.recipe.title }}: what to ask and say</h1>
      <p class="text-sm">
        Begin where it is bold; go up when it comes easily, down when it does not. Saying nothing is a fine
        answer.
      </p>
      <section
        v-for="t in session.plan.talk"
        :key="t.step"
        class="mt-2 break-inside-avoid border-t-2 border-ink pt-1"
        :aria-label="stepOf(t.step)?.title"
      >
        <h2 class="text-lg">
          <span class="numeral">{{ stepOf(t.step)?.at }}</span> {{ stepOf(t.step)?.title }}
        </h2>
        <ul v-if="t.asks && t.asks.length > 0" class="text-sm">
          <li v-for="a in t.asks" :key="`${a.child} ${a.says}`">
            <strong>{{ a.child ? session.nameOf(a.child) : 'everybody' }}:</strong> “<Amount
              :text="a.says"
            />” <Amount :text="a.answer" />
          </li>
        </ul>
        <p v-if="t.asks" class="mt-1 text-xs">For anybody, from showing to asking:</p>
        <table class="w-full text-sm">
          <tbody>
            <tr v-for="p in fewOfEach(t.prompts)" :key="p.level + p.says" class="align-top">
              <th
                scope="row"
                class="w-32 pr-2 text-left"
                :class="p.level === t.start ? 'font-bold' : 'font-normal'"
              >
                {{ SUPPORT_LEVEL_WORDS[p.level] }}
              </th>
              <td>“<Amount :text="p.says" />”</td>
              <td class="w-44 pl-2"><Amount :text="p.answer" /></td>
            </tr>
          </tbody>
        </table>
        <p class="text-sm">
          <template v-for="(w, i) in t.words" :key="w.id"
            >{{ i > 0 ? ' · ' : '' }}<strong>{{ w.word }}</strong
            ><template v-for="h in w.home" :key="h.language"
              >, <bdi :lang="h.language" :dir="h.rightToLeft ? 'rtl' : 'ltr'">{{ h.word }}</bdi></template
            ></template
          >
        </p>
      </section>
    </article>
  </main>
</template>
