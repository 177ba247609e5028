<script setup lang="ts">
/** Per step the prompt with its levels of support, the answer and the words. */
import { LANGUAGES } from '@lea/core'
import Amount from '../parts/Amount.vue'
import { useSession } from '../stores/session'
import { LEVEL_WORDS } from './level-words'

const session = useSession()
const titleOf = (step: string): string => session.plan?.schedule.find((s) => s.step === step)?.title ?? ''
</script>

<template>
  <section v-if="session.plan" aria-label="Talk" class="grid gap-3">
    <p class="no-print flex flex-wrap gap-2">
      <RouterLink class="btn" :to="`/session/${session.plan.session}/words`">Word cards</RouterLink>
      <RouterLink class="btn" :to="`/session/${session.plan.session}/talk-sheet`">Talk sheet</RouterLink>
    </p>
    <article v-for="t in session.plan.talk" :key="t.step" class="patch grid gap-4 p-4 md:grid-cols-[2fr_1fr]">
      <div>
        <h2 class="text-xl">
          {{ titleOf(t.step) }}
          <span v-if="t.child" class="font-sans text-base font-normal text-soft"
            >for {{ session.nameOf(t.child) }}</span
          >
        </h2>
        <p v-if="t.prompts.length === 0" class="text-soft">
          Nothing to count here: name what you see and do.
        </p>
        <dl class="mt-1 grid grid-cols-[7rem_1fr] gap-x-3 gap-y-1">
          <template v-for="p in t.prompts" :key="p.says">
            <dt class="text-sm" :class="p.level === t.start ? 'font-bold text-indigo' : 'text-soft'">
              {{ LEVEL_WORDS[p.level] }}
            </dt>
            <dd>
              “<Amount :text="p.says" />” <span class="text-sm text-soft"><Amount :text="p.answer" /></span>
            </dd>
          </template>
        </dl>
      </div>
      <ul class="border-l-4 border-double border-indigo pl-3">
        <li v-for="w in t.words" :key="w.id">
          <strong>{{ w.word }}</strong>
          <span v-for="h in w.home" :key="h.language" class="mr-3 inline-block text-sm"
            >{{ LANGUAGES[h.language] }}:
            <bdi :lang="h.language" :dir="h.rightToLeft ? 'rtl' : 'ltr'">{{ h.word }}</bdi>
            <template v-if="h.roman"> ({{ h.roman }})</template
            ><em v-if="h.askSpeaker" class="text-soft"> ask a speaker</em></span
          >
        </li>
      </ul>
    </article>
  </section>
</template>
