<script setup lang="ts">
/** From the recipe to this group: how much, measured how, in which scoops, and the turns that come of it. */
import { countText } from '@lea/core/amount'
import { computed, ref } from 'vue'
import { MEASURING, MEASURING_WORDS } from '@lea/core/plan'
import { inWords } from '../../shared/api'
import AmountTable from './AmountTable.vue'
import Choice from '../../parts/Choice.vue'
import HowMuch from './HowMuch.vue'
import MeasureBox from './MeasureBox.vue'
import TurnRow from './TurnRow.vue'
import WhoTakes from './WhoTakes.vue'
import Notice from '../../parts/Notice.vue'
import { useAuthStore } from '../../stores/auth'
import { useSettingStore } from '../../stores/setting'
import { useSession } from '../../stores/session/session'

const session = useSession()
const settingStore = useSettingStore()
const auth = useAuthStore()
const fault = ref('')
const fixed = computed(() => session.frozen || !auth.isLeader())
const bowl = computed(() => session.plan?.bowls.find((b) => b.id === session.bowl))
const box = computed(() => settingStore.setting?.kit.measures ?? [])
const used = computed(() => [
  ...new Set(
    (session.plan?.tasks ?? []).flatMap((t) =>
      t.measured?.by === 'scoop' ? t.measured.parts.map((p) => p.measure) : [],
    ),
  ),
])
const recipe = computed(() => settingStore.recipe(session.stored?.recipe ?? ''))
const WAYS = MEASURING.map((value) => ({ value, text: MEASURING_WORDS[value] }))
const TURNS = [
  { value: 'fair' as const, text: 'even turns' },
  { value: 'quick' as const, text: 'few scoops' },
]

/** How it is measured now, in one line. */
const way = computed(() => {
  const now = session.plan?.measuring
  const turns = TURNS.find((t) => t.value === now?.scooping)?.text ?? ''
  return now ? `Measured ${MEASURING_WORDS[now.way]}, with ${turns}` : ''
})

async function toggle(id: string): Promise<void> {
  const kit = settingStore.setting?.kit
  if (!kit) return
  fault.value = ''
  try {
    await settingStore.saveKit({
      ...kit,
      measures: kit.measures.map((m) => (m.id === id ? { ...m, count: m.count > 0 ? 0 : 1 } : m)),
    })
    await session.recompute()
  } catch (e) {
    fault.value = inWords(e)
  }
}
</script>

<template>
  <section v-if="session.plan && bowl" aria-label="Amounts" class="min-w-0">
    <Notice v-if="fault" tone="fault" class="mb-3">{{ fault }}</Notice>
    <details class="mb-2">
      <summary class="min-h-8 cursor-pointer">
        <span class="font-semibold">{{ way }}</span>
      </summary>
      <div class="mt-1 flex flex-wrap gap-x-6 gap-y-2">
        <Choice
          label="Measured"
          :options="WAYS"
          :model-value="session.plan.measuring.way"
          :disabled="fixed"
          @update:model-value="(way) => session.choose({ kind: 'measuring', way })"
        />
        <Choice
          label="With"
          :options="TURNS"
          :model-value="session.plan.measuring.scooping"
          :disabled="fixed"
          @update:model-value="(way) => session.choose({ kind: 'scooping', way })"
        />
      </div>
    </details>
    <MeasureBox class="mb-4" :measures="box" :used="used" :disabled="fixed" @toggle="toggle" />
    <div v-if="session.plan.bowls.length > 1" class="mb-2 flex flex-wrap gap-2">
      <button
        v-for="b in session.plan.bowls"
        :key="b.id"
        type="button"
        class="rounded-patch border px-3 py-1 text-sm"
        :class="b.id === session.bowl ? 'border-ink bg-ink text-white' : 'border-line bg-white'"
        :aria-pressed="b.id === session.bowl"
        @click="session.bowl = b.id"
      >
        {{ b.name }}, {{ countText(b.children.length, 'child', 'children') }}
      </button>
    </div>
    <AmountTable :plan="session.plan" :bowl="session.bowl" :disabled="fixed" />
    <WhoTakes :plan="session.plan" :disabled="fixed" />
    <div class="mt-4 grid items-start gap-4 md:grid-cols-2">
      <section aria-labelledby="turns-title">
        <h2 id="turns-title" class="mb-2 text-lg">Turns</h2>
        <TurnRow :plan="session.plan" :bowl="session.bowl" />
      </section>
      <HowMuch :plan="session.plan" :recipe="recipe" :disabled="fixed" />
    </div>
  </section>
</template>
