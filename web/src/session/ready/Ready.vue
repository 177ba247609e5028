<script setup lang="ts">
/** Shopping in packs with its cost, kit, and what to do ahead. */
import { computed } from 'vue'
import PaperLinks from '../../parts/PaperLinks.vue'
import CostPanel from './CostPanel.vue'
import KitList from './KitList.vue'
import ShoppingList from './ShoppingList.vue'
import { canSeal, hasCode } from '../../offline-cache/device-lock'
import { useAuthStore } from '../../stores/auth'
import { useSettingStore } from '../../stores/setting'
import { useSession } from '../../stores/session/session'

const session = useSession()
const settingStore = useSettingStore()
const auth = useAuthStore()
const fixed = computed(() => session.frozen || !auth.isLeader())
const recipeId = computed(() => session.stored?.recipe ?? '')
const toGet = computed(() => session.plan?.shopping.filter((s) => !s.enough) ?? [])
const got = computed(() => toGet.value.filter((s) => s.got).length)
const print = (): void => window.print()
</script>

<template>
  <section v-if="session.plan" aria-label="Ready" class="grid min-w-0 content-start gap-4">
    <div class="patch min-w-0 p-4">
      <div class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h2 class="text-xl">Shopping list</h2>
        <span class="text-sm text-soft">{{ got }} of {{ toGet.length }} got</span>
        <span v-if="!session.madeUp" class="no-print ml-auto flex flex-wrap gap-2">
          <RouterLink class="btn" :to="`/session/${session.plan.session}/run`">Run sheet</RouterLink>
          <RouterLink class="btn" :to="`/session/${session.plan.session}/cards`">Job cards</RouterLink>
          <RouterLink class="btn" :to="`/session/${session.plan.session}/pictures`">Pictures</RouterLink>
          <button type="button" class="btn" @click="print">Print</button>
          <a class="btn" :href="`/api/sessions/${session.plan.session}/shopping.csv`" download>CSV</a>
        </span>
      </div>
      <div class="overflow-x-auto" tabindex="0" role="region" aria-label="Shopping list">
        <ShoppingList :plan="session.plan" :disabled="fixed" />
      </div>
    </div>
    <div class="patch min-w-0 p-4">
      <h2 class="mb-1 text-xl">Before you start</h2>
      <ul class="grid gap-x-6 md:grid-cols-2">
        <li v-for="a in session.plan.ahead" :key="a.says" class="border-t border-line py-1">
          <span class="numeral mr-1">{{ a.when }}</span> {{ session.say(a.says) }}
        </li>
      </ul>
    </div>
    <KitList class="min-w-0" :plan="session.plan" :disabled="fixed" />
    <CostPanel
      :plan="session.plan"
      :recipe="settingStore.recipe(recipeId)"
      :recipe-id="recipeId"
      :disabled="fixed"
    />
    <PaperLinks v-if="!session.madeUp" :id="session.plan.session" class="no-print" />
    <p v-if="canSeal() && !hasCode" class="no-print text-sm">
      If the network fails, an open page goes on; to open Lea again without it this device needs
      <RouterLink class="underline" to="/me">a code of its own</RouterLink>.
    </p>
    <details v-if="!session.madeUp" class="no-print text-sm text-soft">
      <summary class="min-h-6 cursor-pointer py-0.5">For technicians</summary>
      <a class="underline" :href="`/api/sessions/${session.plan.session}/request`" download
        >This plan for technicians</a
      >
      (JSON, without names, for <code>./lea calc plan</code>)
    </details>
  </section>
</template>
