<script setup lang="ts">
import { countText } from '@lea/core/amount'
import { computed, ref, watch, watchEffect } from 'vue'
import { watchDebounced } from '@vueuse/core'
import { useRoute, useRouter } from 'vue-router'
import Notice from '../parts/Notice.vue'
import { settleView } from '@lea/core/plan'
import { MADE_UP } from '@lea/core/setting'
import { useAuthStore } from '../stores/auth'
import { useSettingStore } from '../stores/setting'
import { useSession } from '../stores/session/session'
import { useUpcoming } from '../stores/upcoming'
import { dayText } from '../shared/dates'
import { useFeed } from '../shared/feed'
import { PAGE_ID } from '../shared/page-id'
import { startPool } from '../workers/pool'
import Conflicts from './Conflicts.vue'
import MadeUp from './MadeUp.vue'
import Settle from './weave/Settle.vue'

startPool(['front', 'beside'])
const route = useRoute()
const router = useRouter()
const auth = useAuthStore()
const settingStore = useSettingStore()
const session = useSession()
const refusal = ref('')

const id = computed(() => String(route.params['id']))
const feed = useFeed()
watch(
  id,
  async (next) => {
    await session.open(next)
    // What others change of this session is on this screen within a moment, as at a table.
    // What the setting keeps was asked for a moment ago, as the page opened.
    let before = false
    if (id.value === next && !session.madeUp)
      feed.open(`/api/sessions/${next}/live?page=${PAGE_ID}`, (says) => {
        const asked = says === 'session' || says === 'ask' ? session.refresh() : Promise.resolve()
        if (says === 'setting' || (says === 'ask' && before)) void asked.then(session.refreshSetting)
        before = true
      })
  },
  { immediate: true },
)

// What the bar above says of this session follows what is fixed here.
const upcoming = useUpcoming()
watchDebounced(
  () => (session.madeUp ? null : session.plan),
  (plan) => plan && void upcoming.take(plan),
  { debounce: 700 },
)

const title = computed(() =>
  session.stored ? (settingStore.recipe(session.stored.recipe)?.title ?? 'A recipe that is gone') : '',
)
const view = computed(() => (typeof route.meta['title'] === 'string' ? route.meta['title'] : ''))
watchEffect(() => {
  if (title.value) document.title = `${title.value}: ${view.value} · Lea`
})
const toFix = computed(() => {
  const view = session.plan && settleView(session.plan, session.stored?.state !== 'planned')
  return view && view.mustFix.length > 0 ? view.title : ''
})
const noRecipe = computed(
  () =>
    id.value === MADE_UP &&
    settingStore.loaded &&
    settingStore.recipes.every((r) => r.recipe.steps.length === 0),
)
const views = ['weave', 'who', 'check', 'amounts', 'jobs', 'talk', 'ready']
const people = computed(() => {
  const s = session.stored
  if (!s) return ''
  const n = s.children.length + s.guests.length
  return `${countText(n, 'child', 'children')}, ${countText(s.adults.length, 'adult', 'adults')}`
})

async function cook(): Promise<void> {
  refusal.value = ''
  if (session.stored?.state === 'planned') {
    const says = await session.cook()
    if (says) {
      refusal.value = says
      return
    }
  }
  await router.push(`/session/${id.value}/${session.stored?.state === 'finished' ? 'finish' : 'cook'}`)
}
</script>

<template>
  <main id="main" class="px-5 py-3">
    <a
      v-if="session.plan"
      href="#settle-title"
      class="sr-only focus:not-sr-only focus:absolute focus:z-30 focus:bg-white focus:p-2"
      >To what must be fixed</a
    >
    <Notice v-if="(session.planFault || settingStore.fault) && !session.stored" tone="fault">
      {{ session.planFault || settingStore.fault }}
      <RouterLink class="underline" to="/today">Back to Today</RouterLink>
    </Notice>
    <Notice v-else-if="noRecipe">
      There is no recipe to try. <RouterLink class="underline" to="/recipes">Read one in</RouterLink> first.
    </Notice>
    <p v-else-if="!session.stored" role="status">Laying out the session …</p>
    <template v-else>
      <div class="mb-2 flex flex-wrap items-end gap-x-6 gap-y-1">
        <div>
          <h1 class="text-3xl leading-tight">{{ title }}</h1>
          <p class="text-soft">
            {{ dayText(session.stored.date) }}, {{ session.stored.start
            }}<template v-if="session.plan"> to {{ session.plan.totals.endsAt }}</template> · {{ people }}
            <span v-if="session.stored.state !== 'planned'"> · frozen: cooking has begun</span>
          </p>
        </div>
        <nav aria-label="Views of the session" class="ml-auto flex flex-wrap items-center gap-1">
          <RouterLink
            v-for="v in views"
            :key="v"
            :to="`/session/${id}/${v}`"
            class="rounded-patch border-2 border-transparent px-3 py-1.5 font-semibold capitalize"
            active-class="!border-ink bg-white"
            >{{ v === 'weave' ? 'plan' : v }}</RouterLink
          >
          <button
            v-if="!session.madeUp"
            type="button"
            class="btn btn-main ml-2"
            :disabled="
              session.stored.state === 'planned' &&
              (!session.plan || session.stops.length > 0 || !auth.isLeader())
            "
            :aria-describedby="session.stops.length > 0 ? 'settle-title settle-says' : undefined"
            @click="cook"
          >
            {{ session.stored.state === 'finished' ? 'Finish' : 'Cook' }}
          </button>
        </nav>
      </div>
      <!-- On a small screen what must be fixed stands below the view. -->
      <a
        v-if="toFix"
        href="#settle-title"
        class="mb-2 block border-l-4 border-paprika py-1 pl-3 font-semibold text-paprika underline lg:hidden"
        >{{ toFix }}</a
      >
      <Notice v-if="refusal" tone="fault" class="mb-3">{{ refusal }}</Notice>
      <MadeUp v-if="session.madeUp" />
      <Conflicts />
      <Notice v-if="session.saveFault" tone="fault" class="mb-3">{{ session.saveFault }}</Notice>
      <Notice v-if="session.planFault" tone="fault" class="mb-3">
        No plan yet: {{ session.planFault }}.
        <RouterLink class="underline" :to="`/session/${id}/who`">Choose who comes</RouterLink>
      </Notice>
      <div
        class="grid items-start gap-5"
        :class="session.planFault && !session.plan ? '' : 'lg:grid-cols-[minmax(0,1fr)_15rem]'"
      >
        <RouterView />
        <Settle v-if="session.plan" :plan="session.plan" />
      </div>
    </template>
  </main>
</template>
