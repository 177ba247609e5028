<script setup lang="ts">
/** The kitchen's devices as they answer now, and the handles of the stand-ins to play with. */
import { onMounted, ref } from 'vue'
import type { DeviceMood } from '@lea/core/amount'
import { api, inWords } from '../../shared/api'
import Notice from '../../parts/Notice.vue'
import { standIn } from '../../parts/devices/scanner'
import ProbeBox from '../../parts/devices/ProbeBox.vue'
import ScaleBox from '../../parts/devices/ScaleBox.vue'
import StandInHandles from './StandInHandles.vue'

interface Play {
  load: number
  scale: DeviceMood
  core: number
  probe: DeviceMood
}
const CHICKEN = {
  food: 'chicken-breast',
  name: 'Chicken',
  kind: 'poultry',
  country: 'uk',
  after: '',
} as const
const play = ref<Play | null>(null)
const fault = ref('')
const letters = ref<string[]>([])
const code = ref('')
const scanned = ref('')

onMounted(async () => {
  try {
    play.value = (await api<{ play: Play | null }>('GET', '/devices/play')).play
    letters.value = (await api<{ letters: string[] }>('GET', '/post')).letters
  } catch (e) {
    fault.value = inWords(e)
  }
})
async function change(to: Partial<Play>): Promise<void> {
  fault.value = ''
  try {
    play.value = (await api<{ play: Play }>('PUT', '/devices/play', to)).play
  } catch (e) {
    fault.value = inWords(e)
  }
}
async function scan(): Promise<void> {
  const packet = await standIn.scan(code.value)
  scanned.value = packet
    ? `${packet.name}: “${packet.label}”`
    : `'${code.value}' is not known to the scanner: read the packet itself`
}
</script>

<template>
  <main id="main" class="mx-auto max-w-6xl px-5 py-4">
    <h1 class="text-3xl">Devices</h1>
    <p class="mb-3 text-soft">
      Lea ships stand-ins: simulated, on this machine, and marked so. Real ones take their place by an address
      (docs/serving.md).
    </p>
    <Notice v-if="fault" tone="fault" class="mb-3">{{ fault }}</Notice>
    <div class="grid items-start gap-4 md:grid-cols-2">
      <section class="patch p-4" aria-labelledby="dev-scale">
        <h2 id="dev-scale" class="text-xl">Kitchen scale<template v-if="play"> (simulated)</template></h2>
        <ScaleBox wanted="180 g" />
        <StandInHandles
          v-if="play"
          of="scale"
          :says="`On the pan: ${play.load} g`"
          :value="play.load"
          :least="0"
          :most="2000"
          :mood="play.scale"
          @give="(load) => change({ load })"
          @mood="(scale) => change({ scale })"
        />
      </section>
      <section class="patch p-4" aria-labelledby="dev-probe">
        <h2 id="dev-probe" class="text-xl">Probe thermometer<template v-if="play"> (simulated)</template></h2>
        <ProbeBox :probe="CHICKEN" looks-only />
        <StandInHandles
          v-if="play"
          of="probe"
          :says="`It is in something of ${play.core} °C`"
          :value="play.core"
          :least="-20"
          :most="100"
          :mood="play.probe"
          @give="(core) => change({ core })"
          @mood="(probe) => change({ probe })"
        />
      </section>
      <section class="patch p-4" aria-labelledby="dev-scanner">
        <h2 id="dev-scanner" class="text-xl">Packet scanner</h2>
        <p class="mb-2 text-sm text-soft">{{ standIn.name }}</p>
        <div class="flex flex-wrap items-end gap-2">
          <label class="font-semibold"
            >Code<select v-model="code" aria-label="Code" class="field mt-1 block font-normal">
              <option v-for="k in standIn.known()" :key="k.code" :value="k.code">{{ k.code }}</option>
              <option value="0000000000000">0000000000000</option>
            </select></label
          >
          <button type="button" class="btn" :disabled="!code" @click="scan">Scan</button>
        </div>
        <p v-if="scanned" role="status" class="mt-2">{{ scanned }}</p>
      </section>
      <section class="patch p-4" aria-labelledby="dev-mail">
        <h2 id="dev-mail" class="text-xl">Outbox</h2>
        <p class="text-sm text-soft">
          Nothing is sent: each letter is a message file, to be opened with a mail program.
        </p>
        <p v-if="letters.length === 0" class="mt-2">No letter yet.</p>
        <ul v-else class="mt-2">
          <li v-for="l in letters" :key="l">
            <a class="underline" :href="`/api/post/${l}`" download>{{ l }}</a>
          </li>
        </ul>
      </section>
    </div>
  </main>
</template>
