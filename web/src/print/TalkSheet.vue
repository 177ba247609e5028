<script setup lang="ts">
/** The talk of a session on paper: moment by moment what is said, whom it is for, easier rungs, answers and words. */
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { LINE_KIND_WORDS } from '@lea/core/learn'
import { factPicture, markRows, talkMoments } from '@lea/core/session'
import Amount from '../parts/Amount.vue'
import PartPicture from '../parts/pictures/PartPicture.vue'
import PaperBar from './PaperBar.vue'
import { useOpenSession } from '../parts/useOpenSession'

const session = useOpenSession()
const route = useRoute()
/** Of the comments for the turns so many stand on paper: there are always more at the table. */
const TURNS = 4
const parts = computed(() => {
  const { plan } = session
  if (!plan) return []
  const speakers = (session.request()?.children ?? []).map((c) => ({ child: c.id, languages: c.languages }))
  return talkMoments(plan, speakers).map((m) => {
    const talk = plan.talk.find((t) => t.step === m.step)
    const lines = [...m.rows, ...m.turns.slice(0, TURNS)]
    return {
      ...m,
      lines,
      marks: markRows(plan, m.step, lines),
      words: [...(talk?.words ?? []), ...(talk?.pair ?? [])],
      picture: factPicture(talk?.fact),
    }
  })
})
const easiest = (rungs: readonly { says: string }[] | undefined, says: string): string => {
  const first = rungs?.[0]?.says
  return first !== undefined && first !== says ? first : ''
}
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
      <h1 class="text-2xl">{{ session.plan.recipe.title }}: what to say</h1>
      <p class="text-sm">Comment first, then ask, then wait. Saying nothing is a fine answer.</p>
      <section
        v-for="m in parts"
        :key="m.step ?? m.title"
        class="mt-2 break-inside-avoid border-t-2 border-ink pt-1"
        :aria-label="m.title"
      >
        <h2 class="flex flex-wrap items-center gap-x-3 text-lg">
          <span
            ><span class="numeral">{{ m.at }}</span> {{ m.title }}</span
          >
          <PartPicture v-if="m.picture" :picture="m.picture" :size="26" lined class="font-sans text-sm" />
        </h2>
        <table class="w-full text-sm">
          <tbody>
            <tr v-for="r in m.lines" :key="r.key" class="align-top">
              <th scope="row" class="w-36 pr-2 text-left font-normal">
                <span class="text-soft">{{ LINE_KIND_WORDS[r.kind] }}</span>
                <strong v-if="r.child">&nbsp;{{ session.nameOf(r.child) }}</strong>
              </th>
              <td>
                <bdi
                  v-if="r.home"
                  :lang="r.home.language"
                  :dir="r.home.rightToLeft ? 'rtl' : 'ltr'"
                  class="mr-1 font-bold"
                  >{{ r.home.word }}</bdi><bdi v-if="r.home?.roman" dir="ltr" class="mr-1"
                  >({{ r.home.roman }})</bdi
                ><Amount :text="r.says" />
                <span v-if="easiest(r.rungs, r.says)" class="block text-xs"
                  >easier: <Amount :text="easiest(r.rungs, r.says)"
                /></span>
              </td>
              <td class="w-40 pl-2"><Amount v-if="r.answer" :text="r.answer" /></td>
            </tr>
          </tbody>
        </table>
        <dl v-if="m.marks.length > 0" class="mt-1 flex flex-wrap gap-x-6 gap-y-1 text-sm">
          <div v-for="(r, i) in m.marks" :key="i" class="flex flex-wrap items-end gap-1">
            <dt class="mr-1 text-soft">{{ r.title }}</dt>
            <dd
              v-for="b in r.boxes"
              :key="b"
              class="grid min-h-9 min-w-7 content-start justify-items-center border border-ink px-1 text-xs"
            >
              {{ b }}
            </dd>
          </div>
        </dl>
        <p v-if="m.words.length > 0" class="text-sm">
          <template v-for="(w, i) in m.words" :key="w.id"
            >{{ i > 0 ? ' · ' : '' }}<strong>{{ w.word }}</strong
            ><template v-for="h in w.home" :key="h.language"
              >, <bdi :lang="h.language" :dir="h.rightToLeft ? 'rtl' : 'ltr'">{{ h.word }}</bdi><template
                v-if="h.roman"
                >&nbsp;({{ h.roman }})</template
              ></template
            ></template
          >
        </p>
      </section>
    </article>
  </main>
</template>
