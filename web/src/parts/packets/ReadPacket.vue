<script setup lang="ts">
/** Two adults read one packet and say what stands on it, word by word that matters at this table. */
import { computed, reactive, ref, shallowRef, watch } from 'vue'
import {
  ALLERGENS,
  type PacketAnswer,
  type StoredPacket,
  type WordAnswer,
  concernName,
  dietOfKey,
  packetFault,
  packetReading,
} from '@lea/core/food'
import type { Plan } from '@lea/core/plan'
import { inWords } from '../../shared/api'
import { inTime, reader } from '../../workers/reader'
import { useFoods } from '../useFoods'
import LabelText from './LabelText.vue'
import PacketForm from './PacketForm.vue'
import SignPair from './SignPair.vue'
import Sheet from '../Sheet.vue'
import { useSettingStore } from '../../stores/setting'
import { useSession } from '../../stores/session/session'

const props = defineProps<{ food: string; lookFor: string[]; plan: Plan }>()
const emit = defineEmits<{ close: [] }>()
const settingStore = useSettingStore()
const session = useSession()

const before = (session.stored?.decisions ?? []).find((d) => d.kind === 'packet' && d.food === props.food)
const regulated = ALLERGENS.filter((a) => (a.uk14 || a.us9) && a.parent === null).map((a) => a.id)
/** What children at this table avoid. */
const here = computed(() => props.plan.checks.map((c) => c.about))
/** What this table must look for first; then the rest of the regulated list, so that a later child is covered too. */
const asked = computed(() => {
  const concerns = here.value.filter((c) => dietOfKey(c) === null || props.lookFor.includes(c))
  return [...new Set([...props.lookFor, ...concerns, ...regulated])]
})
const found = reactive<Record<string, PacketAnswer | undefined>>({})
if (before?.kind === 'packet') {
  for (const id of before.lists) found[id] = 'lists'
  for (const id of before.may) found[id] = 'may'
}
const first = ref('')
const second = ref('')
const fault = ref('')
const adults = computed(() => (session.stored?.adults ?? []).map((id) => ({ id, name: session.nameOf(id) })))
const isDiet = (id: string): boolean => dietOfKey(id) !== null
const wordOf = (id: string): string =>
  `${isDiet(id) ? 'not ' : ''}${concernName(id, settingStore.setting?.rules.diets)}`
const foods = useFoods()
const foodWord = computed(() => foods.value.of(props.food).name)

/** The packet of the register that is in the hand, where it is there. */
const mine = computed(() => settingStore.packets.filter((p) => p.food === props.food))
const packetId = ref(before?.kind === 'packet' ? (before.packet ?? '') : '')
const packet = computed(() => mine.value.find((p) => p.id === packetId.value) ?? null)
/** What was read in the words of the packet; nothing is signed before that is so, or where it could not be. */
interface LabelRead {
  label: string
  lists: string[]
  may: string[]
  /** What nobody may pass over: words of cards that Lea does not understand, and open words of this packet. */
  questions: Awaited<ReturnType<ReturnType<typeof reader>['packetQuestions']>>
}
const labelRead = shallowRef<LabelRead | null>(null)
const readFault = ref('')
const label = computed(() => packet.value?.label ?? '')
/** A reading is under way: of other words, or because others came to the table. */
const reading = ref(true)
const isRead = computed(() => !reading.value && labelRead.value?.label === label.value)
const questions = computed(() => labelRead.value?.questions ?? { concerns: [], words: [] })
let readings = 0
/** The words by which the rows below were ticked; of no packet at first. */
let ticked = ''
async function readLabel(): Promise<void> {
  readings += 1
  const mine = readings
  const text = label.value
  readFault.value = ''
  reading.value = true
  try {
    const [words] = text === '' ? [] : await inTime(reader().packetWords([text]))
    const asks = await inTime(reader().packetQuestions(text, asked.value, here.value))
    if (mine !== readings) return
    const other = ticked !== text
    ticked = text
    labelRead.value = { label: text, lists: words?.lists ?? [], may: words?.may ?? [], questions: asks }
    if (other) take()
    reading.value = false
  } catch (e) {
    if (mine === readings) readFault.value = `The words could not be read. ${inWords(e)}`
  }
}
const settledWords = reactive<Record<string, WordAnswer | undefined>>({})
const adding = ref(false)
function take(): void {
  for (const id of Object.keys(settledWords)) settledWords[id] = undefined
  for (const id of asked.value.filter((x) => dietOfKey(x) === null)) found[id] = undefined
  for (const id of labelRead.value?.may ?? []) found[id] = 'may'
  for (const id of labelRead.value?.lists ?? []) found[id] = 'lists'
}
/** A row is ticked, or its tick is taken back. */
const tick = (id: string, what: PacketAnswer): void => {
  found[id] = found[id] === what ? undefined : what
}
const mustAnswer = (id: string): boolean => questions.value.concerns.includes(id)
watch([label, asked, here], () => void readLabel(), { immediate: true })
function added(made: StoredPacket): void {
  adding.value = false
  packetId.value = made.id
}

async function sign(): Promise<void> {
  if (!isRead.value) return
  if (!first.value || !second.value) {
    fault.value = 'Two adults sign; an adult alone reads it twice and signs twice.'
    return
  }
  const answers = { found, words: settledWords }
  fault.value = packetFault(questions.value, answers)
  if (fault.value) return
  // A whole text was read for everything that Lea knows; a list of ticks only for what was ticked through.
  const all = packet.value ? [...new Set([...asked.value, ...ALLERGENS.map((a) => a.id)])] : asked.value
  const { lists, may, lookedFor, open } = packetReading(all, questions.value, answers)
  try {
    if (packet.value) await settingStore.signPacket(packet.value, [first.value, second.value])
  } catch (e) {
    fault.value = inWords(e)
    return
  }
  await session.choose({
    kind: 'packet',
    food: props.food,
    lists,
    may,
    lookedFor: packet.value ? lookedFor.filter((id) => !isDiet(id) || props.lookFor.includes(id)) : lookedFor,
    readBy: [first.value, second.value],
    at: new Date().toISOString(),
    ...(packet.value && { packet: packet.value.id, text: packet.value.label }),
    ...(open.length > 0 && { open }),
  })
  emit('close')
}
</script>

<template>
  <Sheet open wide :title="`The packet of ${foodWord}`" @close="emit('close')">
    <p class="mb-3">
      One reads the whole label aloud, the other follows along. Tick what it <strong>lists</strong> and what
      it <strong>may contain</strong>. Lea cannot see the packet: it believes you.
    </p>
    <div class="mb-3 flex flex-wrap items-end gap-3">
      <label class="font-semibold"
        >The packet in your hand
        <select v-model="packetId" class="field mt-1 font-normal">
          <option value="">
            {{ mine.length > 0 ? 'not one of these: tick below' : 'none in the register: tick below' }}
          </option>
          <option v-for="p in mine" :key="p.id" :value="p.id">{{ p.name }}</option>
        </select></label
      >
      <button type="button" class="btn" @click="adding = true">Put in its words</button>
    </div>
    <section v-if="packet" class="patch mb-3 p-3" aria-label="What Lea reads on it">
      <LabelText :text="packet.label" />
      <fieldset v-if="questions.words.length > 0" class="mt-3">
        <legend class="font-bold">Each of these words needs an answer</legend>
        <p class="text-sm text-soft">
          Ask the maker or the family. What nobody knows yet stays open, and with it the food.
        </p>
        <ul>
          <li
            v-for="w in questions.words"
            :key="w.word"
            class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line py-1"
          >
            <span class="min-w-40 flex-1"
              ><bdi class="font-semibold">“{{ w.word }}”</bdi>
              <span v-if="w.here" class="font-semibold text-paprika">
                · may hide what a child here avoids</span
              ><span class="block text-sm text-soft">{{ w.why }}</span></span
            >
            <label class="flex items-center gap-1"
              ><input
                v-model="settledWords[w.word]"
                type="radio"
                class="size-5"
                :name="`word-${w.word}`"
                value="asked"
              />asked: holds none of what is avoided here</label
            >
            <label class="flex items-center gap-1"
              ><input
                v-model="settledWords[w.word]"
                type="radio"
                class="size-5"
                :name="`word-${w.word}`"
                value="open"
              />not known yet</label
            >
          </li>
        </ul>
      </fieldset>
    </section>
    <fieldset class="mb-4">
      <legend class="sr-only">What stands on the packet</legend>
      <div class="grid gap-x-6 sm:grid-cols-2">
        <div
          v-for="id in asked"
          :key="id"
          class="flex items-center gap-2 border-b border-line py-1"
          :class="lookFor.includes(id) ? 'font-bold' : ''"
        >
          <span class="flex-1"
            >{{ wordOf(id) }}<span v-if="lookFor.includes(id)" class="text-paprika"> · look here</span></span
          >
          <label class="flex items-center gap-1 font-normal"
            ><input
              type="checkbox"
              class="size-5"
              :checked="found[id] === 'lists'"
              :aria-label="`${wordOf(id)}: lists it`"
              @change="tick(id, 'lists')"
            />lists</label
          >
          <label v-if="!isDiet(id)" class="flex items-center gap-1 font-normal"
            ><input
              type="checkbox"
              class="size-5"
              :checked="found[id] === 'may'"
              :aria-label="`${wordOf(id)}: may contain`"
              @change="tick(id, 'may')"
            />may</label
          >
          <label v-if="mustAnswer(id)" class="flex items-center gap-1 font-normal"
            ><input
              type="checkbox"
              class="size-5"
              :checked="found[id] === 'not'"
              :aria-label="`${wordOf(id)}: looked, not there`"
              @change="tick(id, 'not')"
            />looked, not there</label
          >
        </div>
      </div>
    </fieldset>
    <SignPair v-model:first="first" v-model:second="second" class="mb-3" :adults="adults" />
    <p v-if="fault" role="alert" class="mb-2 font-semibold text-paprika">{{ fault }}</p>
    <p v-if="readFault" role="alert" class="mb-2 font-semibold text-paprika">
      {{ readFault }} <button type="button" class="underline" @click="readLabel">Try again</button>
    </p>
    <p v-else-if="!isRead" role="status" class="mb-2 text-soft">Reading the words …</p>
    <button type="button" class="btn btn-main" :disabled="!isRead" @click="sign">We read it today</button>
    <PacketForm v-if="adding" :packet="null" :food="food" @close="adding = false" @saved="added" />
  </Sheet>
</template>
