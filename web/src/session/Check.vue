<script setup lang="ts">
/** Lines down, children with a concern across; each meeting in words. */
import { computed } from 'vue'
import { allergenName, checkRows, MEETING_WORDS } from '@lea/core'
import Amount from '../parts/Amount.vue'
import { useSession } from '../stores/session'

const session = useSession()
const rows = computed(() => (session.plan ? checkRows(session.plan) : []))
const children = computed(() => [...new Set(session.plan?.checks.map((c) => c.child) ?? [])])
const lineOf = (id: string) => session.plan?.bowls[0]?.lines.find((l) => l.id === id)
const about = (id: string): string => (id.startsWith('diet:') ? id.slice(5) : allergenName(id))
const packets = computed(() => (session.stored?.decisions ?? []).filter((d) => d.kind === 'packet'))
const look = {
  lists: 'bg-paprika text-white font-bold',
  may: 'border-2 border-paprika text-paprika font-bold',
  ask: 'border-2 border-dashed border-ink font-bold',
  nothing: 'text-soft',
}
</script>

<template>
  <section v-if="session.plan" aria-label="Check" class="min-w-0">
    <p class="mb-3 max-w-3xl">
      Each line against each child’s concern. Lea knows typical recipes, not the packet in your hand: packets
      are read on the day, and care plans come first.
    </p>
    <p v-if="children.length === 0" class="patch p-4">
      Nobody in this session has an allergy or a diet on file. Ask again at the door.
    </p>
    <div v-else class="patch overflow-x-auto" tabindex="0" role="region" aria-label="Lines against children">
      <table class="w-full border-collapse text-sm">
        <thead>
          <tr>
            <th scope="col" class="sticky left-0 bg-white p-2 text-left">Line</th>
            <th v-for="c in children" :key="c" scope="col" class="p-2 text-left">{{ session.nameOf(c) }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.line" class="border-t border-line align-top">
            <th scope="row" class="sticky left-0 bg-white p-2 text-left">
              {{ row.name }}
              <span v-if="lineOf(row.line)?.swappedFrom" class="block text-xs font-normal text-soft"
                >instead of {{ lineOf(row.line)?.swappedFrom }}: <Amount :text="lineOf(row.line)?.text ?? ''"
              /></span>
            </th>
            <td v-for="c in children" :key="c" class="p-1.5">
              <span
                v-if="row.meetings[c]"
                class="block rounded-sm px-1.5 py-1 text-xs leading-tight"
                :class="look[row.meetings[c].meeting]"
              >
                {{ MEETING_WORDS[row.meetings[c].meeting]
                }}<span v-if="row.meetings[c].meeting !== 'nothing'" class="block font-normal">{{
                  about(row.meetings[c].about)
                }}</span></span
              >
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <h2 class="mb-1 mt-5 text-xl">Packets read</h2>
    <p v-if="packets.length === 0" class="text-soft">
      None yet for this session. A line that asks has its button in the Settle panel.
    </p>
    <ul v-else>
      <li v-for="p in packets" :key="p.food">
        <strong>{{ p.food.replace(/-/g, ' ') }}</strong>: read by
        {{ p.readBy.map((id) => session.nameOf(id)).join(' and ') }};
        {{
          p.lists.length > 0
            ? `lists ${p.lists.map(about).join(', ')}`
            : 'nothing found of what was looked for'
        }}{{ p.may.length > 0 ? `; may contain ${p.may.map(about).join(', ')}` : '' }}
      </li>
    </ul>
  </section>
</template>
