<script setup lang="ts">
/**
 * What to watch in this step. What children can see names the action and the food, not whose allergy it is: the names
 * are one tap away.
 */
import { computed, ref, watch } from 'vue'
import type { Plan } from '@lea/core/plan'
import { useSession } from '../../stores/session/session'
import { useTable } from '../../stores/table/table'
import { timeText } from '../../shared/dates'

const props = defineProps<{ plan: Plan; step: string; next: string; bowl: string }>()
const session = useSession()
const table = useTable()
const details = ref(false)
watch(
  () => props.step,
  () => {
    details.value = false
  },
)
const ofBowl = computed(() => props.plan.watch.filter((w) => w.bowl === undefined || w.bowl === props.bowl))
const ofWork = computed(() => ofBowl.value.filter((w) => w.about.kind === 'work'))
const here = computed(() => ofWork.value.filter((w) => w.step === props.step))
const personal = computed(() => ofBowl.value.filter((w) => w.step === props.step && w.about.kind === 'child'))
const next = computed(() => ofWork.value.find((w) => w.step === props.next && w.grade === 'adult'))
const packets = computed(() => table.state.gates.find((g) => g.gate === 'packets'))
</script>

<template>
  <section class="patch overflow-y-auto border-t-[6px] !border-t-slate p-3" aria-label="Watch" tabindex="0">
    <h2 class="text-slate">Watch</h2>
    <p
      v-for="w in here"
      :key="w.says"
      class="mt-1 text-lg leading-snug"
      :class="w.grade === 'adult' ? 'border-b-2 border-ochre' : ''"
    >
      {{ session.say(w.says) }}
    </p>
    <p v-if="here.length === 0" class="mt-1 text-lg">Nothing special here: eyes on the children.</p>
    <template v-if="personal.length > 0">
      <button
        type="button"
        class="btn btn-table mt-2 w-full"
        :aria-expanded="details"
        @click="details = !details"
      >
        {{ details ? 'Hide names' : `${personal.length} for an adult’s eyes` }}
      </button>
      <p v-for="w in details ? personal : []" :key="w.says" class="mt-1">{{ session.say(w.says) }}</p>
    </template>
    <p v-if="packets" class="mt-2 text-sm text-soft">
      Packets read by {{ packets.by.map((b) => session.nameOf(b)).join(' and ') }},
      {{ timeText(packets.at) }}.
    </p>
    <p v-for="r in plan.ownRules ?? []" :key="r" class="mt-1 text-sm">{{ r }}</p>
    <p v-if="next" class="mt-1 text-sm text-soft">Next: {{ session.say(next.says) }}</p>
  </section>
</template>
