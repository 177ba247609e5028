<script setup lang="ts">
/** The first page: the next session large, then the days to come, then the past; an empty house begins with three steps. */
import { countText, freeDays } from '@lea/core/amount'
import { Copy } from '@lucide/vue'
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { growsNow } from '@lea/core/session'
import type { StoredSession } from '@lea/core/setting'
import Notice from '../parts/Notice.vue'
import { useAuthStore } from '../stores/auth'
import { useSettingStore } from '../stores/setting'
import { startPool } from '../workers/pool'
import { useUpcoming } from '../stores/upcoming'
import { dayText, todayText } from '../shared/dates'
import CopySession from '../choose/CopySession.vue'
import WovenPatch from '../parts/pictures/WovenPatch.vue'
import FirstSteps from './FirstSteps.vue'
import GrowingNow from './GrowingNow.vue'
import NextSession from './NextSession.vue'

startPool(['beside'])
const auth = useAuthStore()
const settingStore = useSettingStore()
const upcoming = useUpcoming()
const router = useRouter()
const copying = ref<StoredSession | null>(null)
/** The zone of this device, so that the calendar shows the hours as they are meant here. */
const zone = Intl.DateTimeFormat().resolvedOptions().timeZone

onMounted(() => settingStore.load())

const days = (list: readonly StoredSession[]): [string, StoredSession[]][] => {
  const map = new Map<string, StoredSession[]>()
  for (const s of list) map.set(s.date, [...(map.get(s.date) ?? []), s])
  return [...map]
}
/** What is at the table now comes before what is next. */
const first = computed(() => upcoming.ahead.find((s) => s.state === 'cooking') ?? upcoming.ahead[0])
const ahead = computed(() => days(upcoming.ahead.filter((s) => s !== first.value)))
const behind = computed(() => {
  const here = new Set(upcoming.ahead.map((s) => s.id))
  const list = settingStore.sessions.filter((s) => !here.has(s.id))
  return days([...list].sort((a, b) => (a.date < b.date ? 1 : -1)).slice(0, 12))
})
/** Days to come without a session, a tap from their shelf. */
const free = computed(() =>
  auth.isLeader()
    ? freeDays(
        todayText(),
        settingStore.setting?.rules.kind,
        settingStore.sessions.map((s) => s.date),
      ).slice(0, 3)
    : [],
)
/** What was sown and is still looked at. */
const growing = computed(() =>
  growsNow(
    settingStore.sessions.flatMap((s) => {
      const recipe = s.state === 'planned' ? undefined : settingStore.recipe(s.recipe)
      return recipe?.grows ? [{ session: s.id, title: recipe.title, date: s.date, grows: recipe.grows }] : []
    }),
    todayText(),
    settingStore.setting?.rules.kind,
  ),
)
/** The session that was closed last: its sheet for the families is a tap away. */
const lastClosed = computed(() => behind.value.flatMap(([, l]) => l).find((s) => s.state === 'finished'))
const titleOf = (s: StoredSession): string => settingStore.recipe(s.recipe)?.title ?? 'a recipe that is gone'
const count = (s: StoredSession): string => {
  const n = s.children.length + s.guests.length
  return `${countText(n, 'child', 'children')}, ${countText(s.adults.length, 'adult')}`
}
const left = (s: StoredSession): string =>
  s.state === 'cooking'
    ? 'At the table now'
    : upcoming.faultOf(s.id) || (upcoming.cardOf(s.id)?.short ?? 'Weaving …')

async function made(id: string): Promise<void> {
  copying.value = null
  await router.push(`/session/${id}/${settingStore.setting?.rules.kind === 'library' ? 'who' : 'weave'}`)
}
</script>

<template>
  <main id="main" class="mx-auto max-w-5xl px-5 py-4">
    <div class="mb-4 flex flex-wrap items-center justify-between gap-x-4 gap-y-2">
      <h1 class="text-3xl">Today</h1>
      <span v-if="auth.isLeader()" class="flex flex-wrap gap-2">
        <a class="btn" :href="`/api/calendar.ics?zone=${encodeURIComponent(zone)}`" download
          >Save as a calendar</a
        >
        <span class="contents" @pointerover="startPool()" @focusin="startPool()">
          <RouterLink class="btn" to="/today/term">Plan several weeks</RouterLink>
          <RouterLink class="btn" to="/today/new">New session</RouterLink>
        </span>
      </span>
    </div>
    <Notice v-if="settingStore.fault" tone="fault">
      {{ settingStore.fault }}
      <button type="button" class="underline" @click="settingStore.load()">Try again</button>
    </Notice>
    <p v-else-if="!settingStore.loaded" role="status">Opening the day …</p>
    <template v-else>
      <FirstSteps v-if="settingStore.sessions.length === 0 && auth.isLeader()" />
      <NextSession
        v-if="first"
        :key="first.id"
        :session="first"
        :title="titleOf(first)"
        :people="count(first)"
        :card="upcoming.cardOf(first.id)"
        :fault="upcoming.faultOf(first.id)"
        @copy="copying = first"
      />
      <Notice v-else-if="settingStore.sessions.length > 0 || !auth.isLeader()" class="mb-8">
        No session is planned.
        <RouterLink v-if="auth.isLeader()" class="underline" to="/today/new">Plan one</RouterLink>
        <template v-else>Ask your leader.</template>
      </Notice>
      <GrowingNow v-if="growing.length > 0" :rows="growing" />
      <section
        v-if="ahead.length > 0 || (first && free.length > 0)"
        aria-labelledby="ahead"
        class="mb-8"
        @pointerover="startPool()"
      >
        <div class="mb-2 flex flex-wrap items-baseline gap-x-4 gap-y-1">
          <h2 id="ahead" class="text-xl">Coming up</h2>
          <p v-if="free.length > 0" class="flex flex-wrap gap-x-3 text-soft">
            Plan
            <RouterLink v-for="d in free" :key="d" class="underline" :to="`/today/new?date=${d}`">{{
              dayText(d)
            }}</RouterLink>
          </p>
        </div>
        <ol>
          <li
            v-for="[day, list] in ahead"
            :key="day"
            class="grid gap-2 border-t border-ink py-3 sm:grid-cols-[12rem_1fr]"
          >
            <h3 class="text-lg">{{ dayText(day) }}</h3>
            <ul class="grid gap-2">
              <li v-for="s in list" :key="s.id" class="flex items-stretch gap-2">
                <RouterLink
                  :to="`/session/${s.id}/${s.state === 'cooking' ? 'cook' : 'weave'}`"
                  class="patch flex flex-1 flex-wrap items-center gap-x-4 gap-y-1 p-3 hover:bg-[#eef3f0]"
                >
                  <WovenPatch
                    v-if="upcoming.cardOf(s.id)"
                    :patch="upcoming.cardOf(s.id)!.patch"
                    class="h-12 w-24 shrink-0"
                  />
                  <span class="min-w-0 flex-[1_1_13rem]">
                    <span class="numeral mr-3 text-lg">{{ s.start }}</span>
                    <span class="font-title text-xl font-bold">{{ titleOf(s) }}</span>
                    <span class="block text-soft">{{ count(s) }}</span>
                  </span>
                  <span
                    class="ml-auto whitespace-nowrap rounded-sm border px-2 py-0.5 text-sm"
                    :class="
                      (upcoming.cardOf(s.id)?.mustFix ?? 0) > 0
                        ? 'border-paprika font-bold text-paprika'
                        : 'border-line'
                    "
                    >{{ left(s) }}</span
                  >
                </RouterLink>
                <button
                  v-if="auth.isLeader()"
                  type="button"
                  class="btn self-start"
                  :aria-label="`Copy ${titleOf(s)}, ${dayText(s.date)}`"
                  @click="copying = s"
                >
                  <Copy class="size-4" aria-hidden="true" />
                </button>
              </li>
            </ul>
          </li>
        </ol>
      </section>
      <section v-if="behind.length > 0" aria-labelledby="behind">
        <h2 id="behind" class="mb-2 text-xl">Past sessions</h2>
        <ol>
          <li
            v-for="[day, list] in behind"
            :key="day"
            class="grid gap-2 border-t border-line py-2 sm:grid-cols-[14rem_1fr]"
          >
            <h3 class="font-sans text-base font-normal">{{ dayText(day) }}</h3>
            <ul>
              <li v-for="s in list" :key="s.id" class="flex flex-wrap items-center gap-x-4">
                <RouterLink
                  :to="s.state === 'finished' ? `/record/sessions/${s.id}` : `/session/${s.id}/weave`"
                  class="flex flex-wrap gap-x-4 underline-offset-4 hover:underline"
                >
                  <span class="numeral">{{ s.start }}</span><span class="font-semibold">{{ titleOf(s) }}</span
                  ><span class="text-soft">{{ count(s) }}</span>
                  <span v-if="s.state !== 'finished'" class="text-soft">{{
                    s.state === 'planned' ? 'was not cooked' : 'was not closed'
                  }}</span>
                </RouterLink>
                <RouterLink
                  v-if="s === lastClosed && auth.isLeader()"
                  class="text-sm underline"
                  :to="`/session/${s.id}/family`"
                  >Family sheet</RouterLink
                >
                <button
                  v-if="auth.isLeader()"
                  type="button"
                  class="text-sm text-soft underline"
                  :aria-label="`Make ${titleOf(s)} of ${dayText(s.date)} again`"
                  @click="copying = s"
                >
                  Make it again
                </button>
              </li>
            </ul>
          </li>
        </ol>
      </section>
    </template>
    <CopySession
      v-if="copying"
      :session="copying"
      :title="titleOf(copying)"
      @close="copying = null"
      @made="made"
    />
  </main>
</template>
