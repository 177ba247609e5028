<script setup lang="ts">
/** Before anybody eats: what was raw is measured in its middle. A cold reading is kept, and does not let it through. */
import { ref } from 'vue'
import type { GateNeed } from '@lea/core'
import ProbeBox from '../devices/ProbeBox.vue'
import { useSession } from '../stores/session'
import { useTable } from '../stores/table'

defineProps<{ need: Extract<GateNeed, { gate: 'core' }> }>()
const session = useSession()
const table = useTable()
const by = ref('')
const missing = ref(false)

async function take(
  probe: { food: string; name: string },
  reading: { celsius: number; held: number },
  from: 'probe' | 'typed',
): Promise<void> {
  missing.value = by.value === ''
  if (missing.value) return
  await table.add({
    kind: 'temperature',
    body: { what: probe.name, food: probe.food, ...reading, by: by.value, from },
  })
}
</script>

<template>
  <div class="grid content-start gap-3">
    <h1 class="text-3xl">{{ need.says }}</h1>
    <div class="flex flex-wrap gap-2" role="group" aria-label="Who holds the probe">
      <button
        v-for="a in session.stored?.adults ?? []"
        :key="a"
        type="button"
        class="btn btn-table"
        :class="by === a ? '!bg-ink !text-white' : ''"
        :aria-pressed="by === a"
        @click="by = a"
      >
        {{ session.nameOf(a) }}
      </button>
    </div>
    <p v-if="missing" role="alert" class="font-semibold">
      Who holds the probe? Tap the name, then take the reading.
    </p>
    <ProbeBox v-for="p in need.probes" :key="p.food" :probe="p" @take="(r, from) => take(p, r, from)" />
    <ul v-if="table.state.temperatures.length > 0" class="text-soft" aria-label="Readings so far">
      <li v-for="t in table.state.temperatures" :key="t.event">
        {{ t.what }}: {{ t.celsius }} °C, held {{ t.held }} s, {{ session.nameOf(t.by) }}
      </li>
    </ul>
  </div>
</template>
