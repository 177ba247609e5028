<script setup lang="ts">
/** The packet register: every real package with its words, when it was read and by whom; out of date when the words change. */
import { computedAsync } from '@vueuse/core'
import { computed, ref } from 'vue'
import { type StoredPacket, allergenName, packetStanding } from '@lea/core/food'
import { digest } from '@lea/core/plan'
import { inWords } from '../shared/api'
import Notice from '../parts/Notice.vue'
import Sheet from '../parts/Sheet.vue'
import { useAuthStore } from '../stores/auth'
import { useSettingStore } from '../stores/setting'
import { dayText, todayText } from '../shared/dates'
import LabelText from '../parts/packets/LabelText.vue'
import PacketForm from '../parts/packets/PacketForm.vue'
import { useFoods } from '../parts/useFoods'
import { reader } from '../workers/reader'
import SignPair from '../parts/packets/SignPair.vue'

const settingStore = useSettingStore()
const auth = useAuthStore()
const foods = useFoods()
const editing = ref<StoredPacket | 'new' | null>(null)
const signing = ref<StoredPacket | null>(null)
const first = ref('')
const second = ref('')
const fault = ref('')
/** What the words of each packet say, by its words: read in the worker. */
const readings = computedAsync(async () => {
  const labels = settingStore.packets.map((p) => p.label)
  const words = await reader().packetWords(labels)
  return new Map(labels.map((label, i) => [label, words[i]]))
}, new Map<string, never>())
const rows = computed(() =>
  settingStore.packets.map((packet) => ({
    packet,
    words: readings.value.get(packet.label),
    standing: packetStanding(packet, digest, todayText()),
  })),
)
const adults = computed(() => settingStore.adults.map((a) => ({ id: a.id, name: a.name })))
const LOOK = {
  unread: 'border-2 border-dashed border-ink font-bold',
  changed: 'border-2 border-paprika text-paprika font-bold',
  earlier: 'border border-line',
  today: 'border border-ink bg-ink text-white',
}
function standingText({ packet, standing }: (typeof rows.value)[number]): string {
  const by = (packet.reading?.readBy ?? [])
    .map((id) => settingStore.names.get(id) ?? 'someone no longer here')
    .join(' and ')
  if (standing === 'unread') return 'not read yet'
  if (standing === 'changed') return 'out of date: the words have changed since it was read'
  return `read ${standing === 'today' ? 'today' : dayText(packet.reading?.at.slice(0, 10) ?? '')} by ${by}`
}
function startSigning(packet: StoredPacket): void {
  signing.value = packet
  first.value = ''
  second.value = ''
  fault.value = ''
}
async function sign(): Promise<void> {
  if (!signing.value) return
  if (!first.value || !second.value) {
    fault.value = 'Two adults sign; an adult alone reads it twice and signs twice.'
    return
  }
  try {
    await settingStore.signPacket(signing.value, [first.value, second.value])
    signing.value = null
  } catch (e) {
    fault.value = inWords(e)
  }
}
async function remove(packet: StoredPacket): Promise<void> {
  try {
    await settingStore.removePacket(packet.id)
  } catch (e) {
    fault.value = inWords(e)
  }
}
</script>

<template>
  <section aria-labelledby="packets">
    <div class="mb-2 flex flex-wrap items-end gap-3">
      <h2 id="packets" class="text-xl">Packets: {{ rows.length }}</h2>
      <button v-if="auth.isLeader()" type="button" class="btn ml-auto" @click="editing = 'new'">
        Add a packet
      </button>
    </div>
    <p class="mb-2 text-sm text-soft">
      Recipes of packets change without notice: each one on the table is read again on the day, by two adults.
    </p>
    <Notice v-if="fault && !signing" tone="fault">{{ fault }}</Notice>
    <Notice v-if="rows.length === 0"
      >No packet yet. Add one: scan, type or paste its words, and Lea marks what matters.</Notice
    >
    <ul class="grid gap-2">
      <li v-for="row in rows" :key="row.packet.id" class="patch p-3">
        <div class="flex flex-wrap items-center gap-2">
          <strong class="min-w-0 [overflow-wrap:anywhere]">{{ row.packet.name }}</strong>
          <span class="text-sm text-soft">{{ foods.of(row.packet.food).name }}</span>
          <span v-if="row.packet.simulated" class="rounded-sm border border-dashed border-ink px-1 text-xs"
            >simulated</span
          >
          <span class="ml-auto rounded-sm px-1.5 py-0.5 text-sm" :class="LOOK[row.standing]">{{
            standingText(row)
          }}</span>
        </div>
        <p class="mt-1 text-sm">
          <template v-if="!row.words">reading its words …</template>
          <template v-else-if="row.words.lists.length > 0"
            ><strong>lists</strong> {{ row.words.lists.map(allergenName).join(', ') }}</template
          >
          <template v-else>no allergen word found on this text</template>
          <template v-if="row.words && row.words.may.length > 0">
            · <strong>may contain</strong> {{ row.words.may.map(allergenName).join(', ') }}</template
          >
          <template v-if="row.words && row.words.open.length > 0">
            · <strong>ask about</strong> <bdi>{{ row.words.open.join('; ') }}</bdi></template
          >
        </p>
        <div v-if="auth.isLeader()" class="mt-2 flex flex-wrap gap-2">
          <button
            type="button"
            class="btn"
            :aria-label="`Words of ${row.packet.name}`"
            @click="editing = row.packet"
          >
            Words
          </button>
          <button
            type="button"
            class="btn"
            :aria-label="`Read ${row.packet.name}`"
            @click="startSigning(row.packet)"
          >
            We read it
          </button>
          <button
            type="button"
            class="btn"
            :aria-label="`Remove ${row.packet.name}`"
            @click="remove(row.packet)"
          >
            Remove
          </button>
        </div>
      </li>
    </ul>
    <PacketForm
      v-if="editing"
      :packet="editing === 'new' ? null : editing"
      @close="editing = null"
      @saved="editing = null"
    />
    <Sheet v-if="signing" open wide :title="signing.name" @close="signing = null">
      <p class="mb-3">One reads the whole label aloud from the packet, the other follows along here.</p>
      <div class="patch mb-3 p-3"><LabelText :text="signing.label" /></div>
      <SignPair v-model:first="first" v-model:second="second" :adults="adults" />
      <p v-if="fault" role="alert" class="mt-2 font-semibold text-paprika">{{ fault }}</p>
      <button type="button" class="btn btn-main mt-3" @click="sign">We read it today</button>
    </Sheet>
  </section>
</template>
