<script setup lang="ts">
/** The children's screen on paper, for a room without one: each moment once, two to a page, to be hung up or turned over as it comes. */
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { showStills, TASTES } from '@lea/core/session'
import { useMats } from '../parts/mats/useMats'
import { useOpenSession } from '../parts/useOpenSession'
import ShowOther from '../parts/show/ShowOther.vue'
import ShowTastes from '../parts/show/ShowTastes.vue'
import ShowTurn from '../parts/show/ShowTurn.vue'
import ShowWash from '../parts/show/ShowWash.vue'
import PaperBar from './PaperBar.vue'

const session = useOpenSession()
const route = useRoute()
const { matOf } = useMats()
const bowls = computed(() => session.plan?.bowls ?? [])
const chosen = ref('')
const bowl = computed(() => bowls.value.find((b) => b.id === chosen.value) ?? bowls.value[0])
const stills = computed(() =>
  session.plan && bowl.value
    ? showStills(
        session.plan,
        bowl.value.id,
        (session.request()?.children ?? []).map((c) => ({ child: c.id, languages: c.languages })),
        matOf,
      )
    : [],
)
</script>

<template>
  <main id="main" class="mx-auto max-w-4xl px-5 py-4 print:max-w-none print:p-0">
    <PaperBar
      back="Back to Ready"
      :to="`/session/${route.params['id']}/ready`"
      page="; margin: 9mm"
      button="Print the pictures"
    >
      <label v-if="bowls.length > 1" class="flex items-center gap-2 font-semibold"
        >Bowl
        <select v-model="chosen" class="field !w-auto font-normal">
          <option v-for="b in bowls" :key="b.id" :value="b.id === bowls[0]?.id ? '' : b.id">
            {{ b.name }}
          </option>
        </select></label
      >
    </PaperBar>
    <p v-if="!session.plan" role="status">{{ session.planFault || 'Laying out the pictures …' }}</p>
    <template v-else>
      <h1 class="mb-3 text-2xl print:hidden">Pictures for the children: {{ session.plan.recipe.title }}</h1>
      <ol class="grid gap-4">
        <li
          v-for="(s, i) in stills"
          :key="s.key"
          class="break-inside-avoid rounded-patch border-2 border-dashed border-ink bg-white p-2"
        >
          <h2 class="flex gap-2 text-sm font-normal text-soft">
            <span class="numeral">{{ i + 1 }}</span> {{ s.title }}
          </h2>
          <div class="inner" aria-hidden="true">
            <ShowWash v-if="s.moment.kind === 'wash'" still />
            <ShowTurn
              v-else-if="s.moment.kind === 'turn' && s.row"
              :moment="s.moment"
              :row="s.row"
              :who="null"
              :next="s.mats"
              still
            />
            <ShowTastes
              v-else-if="s.moment.kind === 'tastes'"
              :tastes="TASTES.map((taste) => ({ taste, who: [] }))"
            />
            <ShowOther v-else-if="s.moment.kind !== 'turn'" :moment="s.moment" :left="null" :guesses="{}" />
          </div>
        </li>
      </ol>
    </template>
  </main>
</template>

<style scoped>
/* As wide as the page: all sizes within follow it, as they follow a screen. */
.inner {
  aspect-ratio: 1240 / 760;
  container-type: size;
}
</style>
