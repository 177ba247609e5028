<script setup lang="ts">
/** Two adults read one packet and say what stands on it, word by word that matters at this table. */
import { computed, reactive, ref } from 'vue'
import { ALLERGENS, allergenName, type Plan } from '@lea/core'
import Sheet from '../parts/Sheet.vue'
import { useHouse } from '../stores/house'
import { useSession } from '../stores/session'

const props = defineProps<{ food: string; lookFor: string[]; plan: Plan }>()
const emit = defineEmits<{ close: [] }>()
const house = useHouse()
const session = useSession()

const before = (session.stored?.decisions ?? []).find((d) => d.kind === 'packet' && d.food === props.food)
const regulated = ALLERGENS.filter((a) => (a.uk14 || a.us9) && a.parent === null).map((a) => a.id)
/** What this table must look for first; then the rest of the regulated list, so that a later child is covered too. */
const asked = computed(() => {
  const here = props.plan.checks
    .filter((c) => !c.about.startsWith('diet:') || props.lookFor.includes(c.about))
    .map((c) => c.about)
  return [...new Set([...props.lookFor, ...here, ...regulated])]
})
const found = reactive<Record<string, 'lists' | 'may' | ''>>({})
if (before?.kind === 'packet') {
  for (const id of before.lists) found[id] = 'lists'
  for (const id of before.may) found[id] = 'may'
}
const first = ref('')
const second = ref('')
const fault = ref('')
const adults = computed(() => (session.stored?.adults ?? []).map((id) => ({ id, name: session.nameOf(id) })))
const wordOf = (id: string): string => (id.startsWith('diet:') ? `not ${id.slice(5)}` : allergenName(id))
const foodWord = computed(() => house.foods.of(props.food).name)

async function sign(): Promise<void> {
  if (!first.value || !second.value) {
    fault.value = 'Two adults sign; an adult alone reads it twice and signs twice.'
    return
  }
  const of = (meeting: string): string[] => asked.value.filter((id) => found[id] === meeting)
  await session.choose({
    kind: 'packet',
    food: props.food,
    lists: of('lists'),
    may: of('may'),
    lookedFor: asked.value,
    readBy: [first.value, second.value],
    at: new Date().toISOString(),
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
              @change="found[id] = found[id] === 'lists' ? '' : 'lists'"
            />lists</label
          >
          <label v-if="!id.startsWith('diet:')" class="flex items-center gap-1 font-normal"
            ><input
              type="checkbox"
              class="size-5"
              :checked="found[id] === 'may'"
              :aria-label="`${wordOf(id)}: may contain`"
              @change="found[id] = found[id] === 'may' ? '' : 'may'"
            />may</label
          >
        </div>
      </div>
    </fieldset>
    <div class="mb-3 grid gap-3 sm:grid-cols-2">
      <label class="font-semibold"
        >Read aloud by
        <select v-model="first" class="field mt-1 font-normal">
          <option value="" disabled>choose</option>
          <option v-for="a in adults" :key="a.id" :value="a.id">{{ a.name }}</option>
        </select></label
      >
      <label class="font-semibold"
        >Read along by
        <select v-model="second" class="field mt-1 font-normal">
          <option value="" disabled>choose</option>
          <option v-for="a in adults" :key="a.id" :value="a.id">
            {{ a.id === first ? `${a.name}, a second time` : a.name }}
          </option>
        </select></label
      >
    </div>
    <p v-if="fault" role="alert" class="mb-2 font-semibold text-paprika">{{ fault }}</p>
    <button type="button" class="btn btn-main" @click="sign">We read it today</button>
  </Sheet>
</template>
