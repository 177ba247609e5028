<script setup lang="ts">
/** A packet of the register: which food it is, its name, its words; from the scanner stand-in, typed or pasted. */
import { computed, ref, watch } from 'vue'
import { type StoredPacket, foodsNamed, resolveFood } from '@lea/core/food'
import { inWords } from '../../shared/api'
import Notice from '../Notice.vue'
import Sheet from '../Sheet.vue'
import { standIn } from '../devices/scanner'
import { useSettingStore } from '../../stores/setting'
import { checked } from '../../workers/reader'
import { todayText } from '../../shared/dates'
import { useFoods } from '../useFoods'
import LabelText from './LabelText.vue'

const props = defineProps<{ packet: StoredPacket | null; food?: string }>()
const emit = defineEmits<{ close: []; saved: [packet: StoredPacket] }>()
const settingStore = useSettingStore()
const foods = useFoods()
const nameOfFood = (id: string): string => (id ? foods.value.of(id).name : '')
const name = ref(props.packet?.name ?? '')
const food = ref(nameOfFood(props.packet?.food ?? props.food ?? ''))
const label = ref(props.packet?.label ?? '')
const code = ref(props.packet?.code ?? '')
const simulated = ref(props.packet?.simulated ?? false)
const fault = ref('')
const saving = ref(false)
const resolved = computed(() => resolveFood(food.value, foods.value))
/** Foods that the words may mean: an offer, and never taken for it. */
const near = computed(() => (resolved.value ? [] : foodsNamed(food.value, foods.value)))
const picked = ref('')

async function scan(): Promise<void> {
  fault.value = ''
  const found = await standIn.scan(code.value)
  if (!found) {
    fault.value = `No packet has the code ‘${code.value}’. Type its words instead.`
    return
  }
  name.value = found.name
  food.value = nameOfFood(found.food)
  label.value = found.label
  simulated.value = true
}
watch(picked, (value) => {
  if (!value) return
  code.value = value
  void scan()
})

async function save(): Promise<void> {
  fault.value = ''
  saving.value = true
  try {
    const id =
      resolved.value?.id ??
      `own:${food.value
        .trim()
        .toLowerCase()
        .replace(/[^a-z0-9]+/g, '-')}`
    const input = await checked(
      'packet',
      {
        food: food.value.trim() ? id : '',
        name: name.value,
        label: label.value,
        ...(code.value && { code: code.value }),
        simulated: simulated.value,
      },
      todayText(),
    )
    emit('saved', await settingStore.savePacket(input, props.packet?.id))
  } catch (e) {
    fault.value = inWords(e)
  } finally {
    saving.value = false
  }
}
</script>

<template>
  <Sheet open wide :title="packet ? packet.name : 'A packet'" @close="emit('close')">
    <form class="grid gap-3" novalidate @submit.prevent="save">
      <fieldset
        class="grid items-end gap-2 rounded-patch border border-dashed border-ink p-3 sm:grid-cols-[1fr_1fr_auto]"
      >
        <legend class="px-1 text-sm font-semibold">{{ standIn.name }}</legend>
        <label class="text-sm font-semibold"
          >Pick a code<select v-model="picked" class="field mt-1 font-normal">
            <option value="">choose …</option>
            <option v-for="k in standIn.known()" :key="k.code" :value="k.code">
              {{ k.code }} · {{ k.name }}
            </option>
          </select></label
        >
        <label class="text-sm font-semibold"
          >Or type it<input v-model="code" class="field mt-1 font-normal" maxlength="40"
        /></label>
        <button type="button" class="btn" @click="scan">Scan</button>
        <p class="text-sm text-soft sm:col-span-3">
          Its packets are invented{{ settingStore.setting?.demo ? '' : ' and never count as read here' }}. A
          packet in your hand: type or paste its words below.
        </p>
      </fieldset>
      <div class="grid gap-3 sm:grid-cols-2">
        <label class="font-semibold"
          >Name on the packet<input v-model="name" class="field mt-1 font-normal" maxlength="120"
        /></label>
        <label class="font-semibold"
          >It is<input
            v-model="food"
            class="field mt-1 font-normal"
            list="packet-foods"
            placeholder="plain flour"
            maxlength="60"
          />
          <span class="text-sm font-normal text-soft">{{
            food.trim() === ''
              ? 'which food of Lea’s it is'
              : resolved
                ? `taken as ${resolved.name}`
                : 'Lea does not know this food: kept as its own'
          }}</span></label
        >
        <p v-if="near.length > 0" class="flex flex-wrap items-center gap-2 text-sm sm:col-span-2">
          Is it one of these?
          <button
            v-for="f in near"
            :key="f.id"
            type="button"
            class="rounded-patch border border-line bg-white px-2.5 py-1"
            @click="food = f.name"
          >
            {{ f.name }}
          </button>
        </p>
        <datalist id="packet-foods">
          <option v-for="f in foods.all" :key="f.id" :value="f.name" />
        </datalist>
      </div>
      <label class="font-semibold"
        >All words of the label<textarea
          v-model="label"
          class="field mt-1 font-normal"
          rows="5"
          maxlength="6000"
          dir="auto"
        />
      </label>
      <section v-if="label.trim()" class="patch p-3" aria-label="What Lea reads on it">
        <LabelText :text="label" />
      </section>
      <p v-if="packet?.reading" class="text-sm text-soft">
        Changing the words makes the reading out of date.
      </p>
      <Notice v-if="fault" tone="fault">{{ fault }} Nothing you wrote is lost.</Notice>
      <button type="submit" class="btn btn-main justify-self-start" :disabled="saving">
        Save this packet
      </button>
    </form>
  </Sheet>
</template>
