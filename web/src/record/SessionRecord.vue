<script setup lang="ts">
/** What happened in one session. Only what was tapped; nothing is inferred from the plan. */
import { computed, onMounted, ref, shallowRef } from 'vue'
import { useRoute } from 'vue-router'
import { fillNames } from '@lea/core/plan'
import {
  type EventBody,
  INCIDENT_WORDS,
  KEPT_WORDS,
  type SessionRecord,
  TASTE_WORDS,
  THUMB_WORDS,
} from '@lea/core/session'
import { api, inWords } from '../shared/api'
import Mat from '../parts/mats/Mat.vue'
import WovenPatch from '../parts/pictures/WovenPatch.vue'
import Notice from '../parts/Notice.vue'
import PaperLinks from '../parts/PaperLinks.vue'
import EraseGuest from './EraseGuest.vue'
import GrowingStrip from './GrowingStrip.vue'
import OpenAgain from './OpenAgain.vue'
import Tasted from './Tasted.vue'
import { useMats } from '../parts/mats/useMats'
import { useAuthStore } from '../stores/auth'
import { useSettingStore } from '../stores/setting'
import { useTable } from '../stores/table/table'
import { dayText, timeText } from '../shared/dates'

const route = useRoute()
const auth = useAuthStore()
const settingStore = useSettingStore()
const table = useTable()
const { matOf } = useMats()
const record = shallowRef<SessionRecord | null>(null)
const guests = ref(new Map<string, string>())
const fault = ref('')
onMounted(load)
async function load(): Promise<void> {
  const id = String(route.params['id'])
  await settingStore.load()
  guests.value = new Map(
    settingStore.sessions.find((s) => s.id === id)?.guests.map((g) => [g.id, g.nickname]) ?? [],
  )
  try {
    record.value = await api<SessionRecord>('GET', `/record/sessions/${id}`)
  } catch (e) {
    fault.value = inWords(e)
  }
}
/** The owner's own tap: that it was read stands in the record. */
const readIncident = (incident: string): Promise<void> =>
  note({ kind: 'incident-seen', body: { incident, by: auth.person?.id ?? '' } })
const addLook = (body: { day: number; says?: string; mm?: number }): Promise<void> =>
  note({ kind: 'look', body })
async function note(event: EventBody): Promise<void> {
  const id = String(route.params['id'])
  try {
    await table.open(id)
    await table.add(event)
    await table.send()
    record.value = await api<SessionRecord>('GET', `/record/sessions/${id}`)
  } catch (e) {
    fault.value = inWords(e)
  } finally {
    table.close()
  }
}
const nameOf = (id: string): string =>
  settingStore.names.get(id) ?? guests.value.get(id) ?? 'someone no longer here'
const say = (text: string): string =>
  fillNames(text, new Map([...settingStore.names, ...guests.value]), 'someone no longer here')
const GATES = {
  hands: 'Hands washed',
  packets: 'Packets read',
  plans: 'Care plans known',
  stand: 'Adult in place',
}
const onRoster = computed(() => new Set(settingStore.children.map((c) => c.id)))
</script>

<template>
  <main id="main" class="mx-auto max-w-6xl px-5 py-4">
    <Notice v-if="fault" tone="fault"
      >{{ fault }} <RouterLink class="underline" to="/record">All records</RouterLink></Notice
    >
    <p v-else-if="!record" role="status">Opening the record …</p>
    <template v-else>
      <p><RouterLink class="underline" to="/record">Record</RouterLink></p>
      <WovenPatch :patch="record.patch" class="float-right ml-4 h-20 w-44" />
      <h1 class="text-3xl">{{ record.title }}</h1>
      <p class="mb-4 text-soft">
        {{ dayText(record.date) }}<template v-if="record.begun">, begun {{ timeText(record.begun) }}</template
        ><template v-if="record.finished">, closed {{ timeText(record.finished) }}</template>
        <span v-for="r in record.reopened" :key="r.at" class="block"
          >Opened again {{ timeText(r.at) }}{{ r.by ? ` by ${nameOf(r.by)}` : '' }}: {{ r.reason }}</span
        >
      </p>
      <div class="grid items-start gap-5 lg:grid-cols-[2fr_1fr]">
        <div class="grid gap-4">
          <div
            class="patch overflow-x-auto p-3"
            tabindex="0"
            role="region"
            aria-label="Children of this session"
          >
            <table class="w-full border-collapse text-left">
              <thead>
                <tr class="text-sm">
                  <th scope="col" class="p-1.5">Child</th>
                  <th scope="col" class="p-1.5">Turns</th>
                  <th scope="col" class="p-1.5">What the hands did</th>
                  <th scope="col" class="p-1.5">Taste</th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="c in record.children" :key="c.child" class="border-t border-line align-top">
                  <th scope="row" class="p-1.5">
                    <span class="flex items-center gap-2 font-semibold"
                      ><Mat :name="nameOf(c.child)" :mat="matOf(c.child)" beside />
                      <RouterLink
                        v-if="onRoster.has(c.child)"
                        class="underline"
                        :to="`/record/children/${c.child}`"
                        >{{ nameOf(c.child) }}</RouterLink><template v-else>{{
                        nameOf(c.child)
                      }}</template></span
                    >
                  </th>
                  <td class="numeral p-1.5 text-lg">{{ c.turns }}</td>
                  <td class="p-1.5 text-sm">
                    {{ c.techniques.join(', ') || 'nothing tapped'
                    }}<span v-if="c.took.length > 0" class="block">chose {{ c.took.join(', ') }}</span
                    ><span v-if="c.thumbs.length > 0" class="block">{{
                      c.thumbs.map((t) => `${t.name}: ${THUMB_WORDS[t.thumb]}`).join(', ')
                    }}</span>
                  </td>
                  <td class="p-1.5 text-sm">{{ c.taste ? TASTE_WORDS[c.taste] : '–' }}</td>
                </tr>
              </tbody>
            </table>
          </div>
          <GrowingStrip
            v-if="record.grows"
            v-bind="record.grows"
            :may="record.finished !== null"
            @look="addLook"
          />
          <Tasted v-for="t in record.tastings" :key="t.title" v-bind="t" :name-of="nameOf" />
        </div>
        <div class="grid gap-4">
          <RouterLink v-if="auth.isLeader()" class="btn btn-main" :to="`/session/${record.id}/family`"
            >Family sheet</RouterLink
          >
          <PaperLinks :id="record.id" />
          <OpenAgain v-if="record.finished && auth.isLeader()" :id="record.id" />
          <EraseGuest
            v-if="record.finished && auth.isOwner()"
            :id="record.id"
            :guests="guests"
            @erased="load"
          />
          <section v-if="record.memo.some((m) => m)" class="patch p-4">
            <h2 class="mb-1 text-lg">To remember</h2>
            <p v-for="m in record.memo.filter((x) => x)" :key="m" translate="no">{{ m }}</p>
          </section>
          <section class="patch p-4">
            <h2 class="mb-1 text-lg">Checked</h2>
            <p v-if="record.gates.length === 0" class="text-soft">No gate was passed.</p>
            <ul>
              <li v-for="g in record.gates" :key="g.event">
                {{ timeText(g.at) }} {{ GATES[g.gate] }}: {{ g.by.map(nameOf).join(' and ') }}
              </li>
            </ul>
            <template v-if="record.cleared.length > 0">
              <h3 class="mt-2 text-sm">Cleared by an adult</h3>
              <ul class="text-sm">
                <li v-for="c in record.cleared" :key="c.says">
                  {{ say(c.says) }} {{ nameOf(c.who) }}{{ c.at ? `, ${timeText(c.at)}` : '' }}: {{ c.why }}
                </li>
              </ul>
            </template>
          </section>
          <section v-if="record.temperatures.length > 0" class="patch p-4">
            <h2 class="mb-1 text-lg">Measured</h2>
            <p v-for="t in record.temperatures" :key="t.event">
              {{ timeText(t.at) }} {{ t.what }}: {{ t.celsius }} °C, held {{ t.held }} s, {{ nameOf(t.by)
              }}{{ t.from === 'typed' ? ', written by hand' : '' }}
            </p>
          </section>
          <section v-if="record.incidents.length > 0" class="patch p-4">
            <h2 class="mb-1 text-lg">Happened</h2>
            <div v-for="i in record.incidents" :key="i.event" class="border-t border-line py-1">
              <p>
                {{ timeText(i.at) }} <strong>{{ INCIDENT_WORDS[i.what] }}</strong>:
                {{ i.who.map(nameOf).join(', ') }}
              </p>
              <p v-if="i.text" translate="no">{{ i.text }}</p>
              <p>Done: {{ i.done }} ({{ nameOf(i.by) }})</p>
              <p v-if="i.seenBy" class="text-sm text-soft">Read by {{ nameOf(i.seenBy) }}</p>
              <button
                v-else-if="auth.isOwner()"
                type="button"
                class="btn mt-1"
                @click="readIncident(i.event)"
              >
                I have read it
              </button>
              <p v-else class="text-sm text-soft">The owner has not read it yet.</p>
            </div>
          </section>
          <section
            v-if="record.leftovers.length + record.scraps.length + record.tasteWords.length > 0"
            class="patch p-4"
          >
            <h2 class="mb-1 text-lg">After</h2>
            <p v-for="l in record.leftovers" :key="l.event">
              {{ l.amount || 'Some' }} left, {{ KEPT_WORDS[l.place] }}, eaten until {{ dayText(l.until) }}
            </p>
            <p v-for="(s, n) in record.scraps" :key="n">{{ s.what }}: {{ s.to }}</p>
            <p v-if="record.tasteWords.length > 0">They said: {{ record.tasteWords.join(', ') }}</p>
          </section>
          <section v-if="record.guesses.length + record.lookBacks.length > 0" class="patch p-4">
            <h2 class="mb-1 text-lg">Guessed and looked back at</h2>
            <div v-for="g in record.guesses" :key="g.guess" class="border-t border-line py-1">
              <p class="text-sm text-soft">{{ g.asked }}</p>
              <p v-for="b in g.by" :key="b.child">
                <strong>{{ nameOf(b.child) }}:</strong> {{ b.line }}
              </p>
            </div>
            <p v-for="(l, n) in record.lookBacks" :key="n" class="border-t border-line py-1">
              <span class="block text-sm text-soft">{{ l.asked }}</span>
              <strong v-if="l.child">{{ nameOf(l.child) }}: </strong>“{{ l.says }}”
            </p>
          </section>
          <section v-if="record.notes.length > 0" class="patch p-4">
            <h2 class="mb-1 text-lg">Notes</h2>
            <p v-for="n in record.notes" :key="n.at + n.text">
              <strong v-if="n.child">{{ nameOf(n.child) }}: </strong><span translate="no">{{ n.text }}</span>
            </p>
          </section>
        </div>
      </div>
    </template>
  </main>
</template>
