<script setup lang="ts">
/** Before anybody eats: what was raw is measured in its middle. A cold reading is kept, and does not let it through. */
import { computed, ref } from 'vue'
import type { GateNeed } from '@lea/core/session'
import Picks from '../../parts/Picks.vue'
import ProbeBox from '../../parts/devices/ProbeBox.vue'
import { useSession } from '../../stores/session/session'
import { useTable } from '../../stores/table/table'

defineProps<{ need: Extract<GateNeed, { gate: 'core' }> }>()
const session = useSession()
const table = useTable()
const by = ref('')
const missing = ref(false)
const adults = computed(() => (session.stored?.adults ?? []).map((id) => ({ id, word: session.nameOf(id) })))

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
    <Picks label="Who holds the probe" :options="adults" :picked="[by]" @pick="(id) => (by = id)" />
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
