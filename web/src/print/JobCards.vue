<script setup lang="ts">
/** Cards to cut out: one for each child, with its mat, its jobs, the tool and the cue. */
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { jobCards } from '@lea/core/plan'
import Amount from '../parts/Amount.vue'
import Mat from '../parts/mats/Mat.vue'
import TechniqueStrip from '../parts/pictures/techniques/TechniqueStrip.vue'
import { useMats } from '../parts/mats/useMats'
import PaperBar from './PaperBar.vue'
import { useOpenSession } from '../parts/useOpenSession'

const session = useOpenSession()
const route = useRoute()
const { matOf } = useMats()
const cards = computed(() => (session.plan ? jobCards(session.plan) : []))
</script>

<template>
  <main id="main" class="mx-auto max-w-5xl px-5 py-4 print:max-w-none print:p-0">
    <PaperBar
      back="Back to Ready"
      :to="`/session/${route.params['id']}/ready`"
      page="; margin: 9mm"
      button="Print the cards"
    />
    <h1 class="mb-3 text-2xl print:hidden">Job cards</h1>
    <p v-if="!session.plan" role="status">{{ session.planFault || 'Cutting the cards …' }}</p>
    <ul v-else class="grid gap-3 sm:grid-cols-2 print:grid-cols-2">
      <li
        v-for="c in cards"
        :key="c.child"
        class="break-inside-avoid rounded-patch border-2 border-dashed border-ink bg-white p-3"
      >
        <div class="mb-2 flex items-center gap-3">
          <Mat :name="session.nameOf(c.child)" :mat="matOf(c.child)" size="seat" beside />
          <h2 class="text-xl">{{ session.nameOf(c.child) }}</h2>
          <span class="ml-auto text-sm text-soft">{{ c.bowl }}</span>
        </div>
        <ol>
          <li
            v-for="r in c.rows"
            :key="r.task"
            class="flex flex-wrap items-center gap-2 border-t border-line py-1"
          >
            <TechniqueStrip v-bind="r.hands" class="h-11 shrink-0" />
            <span class="min-w-0 flex-1 basis-32 leading-tight">
              <strong>{{ r.job }}</strong><span v-if="r.how" class="block text-sm">{{ r.how }}</span
              ><span v-for="h in r.helps" :key="h" class="block text-sm font-semibold">{{ h }}</span
              ><span class="block text-sm text-soft"><Amount :text="r.cue" /></span>
            </span>
            <span v-if="r.times > 1" class="numeral text-2xl"
              >{{ r.times }}<span class="sr-only"> times</span></span
            >
          </li>
        </ol>
        <p v-if="c.instead.length > 0" class="border-t border-line pt-1 text-sm">
          <strong>Instead:</strong> {{ c.instead.join(', ') }}
        </p>
        <p v-if="c.waiting.length > 0" class="border-t border-line pt-1 text-sm text-soft">
          <strong>While you wait:</strong> {{ c.waiting.join(', ') }}
        </p>
      </li>
    </ul>
  </main>
</template>
