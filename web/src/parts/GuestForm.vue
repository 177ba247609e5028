<script setup lang="ts">
/** A guest at the door: nickname, age and allergies in under twenty seconds. */
import { computedAsync } from '@vueuse/core'
import { computed, ref } from 'vue'
import { ALLERGENS, type Concern, allergenName } from '@lea/core/food'
import type { StoredGuest } from '@lea/core/setting'
import Sheet from './Sheet.vue'
import { todayText } from '../shared/dates'
import { checked, reader } from '../workers/reader'

const emit = defineEmits<{ add: [guest: StoredGuest]; close: [] }>()
const nickname = ref('')
const age = ref('')
const unit = ref<'years' | 'months'>('years')
const allergies = ref<string[]>([])
const other = ref('')
const fault = ref('')

const common = ALLERGENS.filter((a) => (a.uk14 || a.us9) && a.parent === null).map((a) => a.id)
const months = computed(() => Number(age.value) * (unit.value === 'years' ? 12 : 1))

function toggle(id: string): void {
  allergies.value = allergies.value.includes(id)
    ? allergies.value.filter((x) => x !== id)
    : [...allergies.value, id]
}

const words = (): string[] => other.value.split(',').map((t) => t.trim())
/** What Lea takes them for. */
const taken = computedAsync(async () => {
  const texts = await reader().concernTexts(await reader().named(words()))
  return texts.filter((t) => t !== '')
}, [])

async function add(): Promise<void> {
  fault.value = ''
  const named = await reader().named(words())
  // What is learned at the door is not yet confirmed by a plan: it is treated as strict.
  const concerns: Concern[] = [...allergies.value, ...named].map((allergen) => ({
    allergen,
    level: 'unknown',
  }))
  if (age.value === '') {
    fault.value = 'How old? In years, under two in months.'
    return
  }
  if (unit.value === 'years' && Number(age.value) < 2) {
    fault.value = 'Under two, give the age in months: it decides what may be eaten.'
    return
  }
  const guest: StoredGuest = {
    id: `guest-${Math.trunc(performance.timeOrigin + performance.now()).toString(36)}`,
    nickname: nickname.value.trim(),
    months: months.value,
    concerns,
    diets: [],
    languages: [],
    needs: [],
  }
  try {
    emit('add', await checked<StoredGuest>('guest', guest, todayText()))
  } catch (e) {
    fault.value = e instanceof Error ? e.message : String(e)
  }
}
</script>

<template>
  <Sheet open title="A guest" @close="emit('close')">
    <form class="grid gap-3" @submit.prevent="add">
      <div class="grid gap-3 sm:grid-cols-[2fr_1fr_1fr]">
        <label class="font-semibold"
          >Nickname<input v-model="nickname" class="field mt-1 font-normal" maxlength="40"
        /></label>
        <label class="font-semibold"
          >Age<input v-model="age" type="number" min="0" max="216" class="field mt-1 font-normal"
        /></label>
        <label class="font-semibold"
          >In
          <select v-model="unit" class="field mt-1 font-normal">
            <option value="years">years</option>
            <option value="months">months</option>
          </select></label
        >
      </div>
      <fieldset>
        <legend class="mb-1 font-semibold">Allergies, asked of whoever brings the child</legend>
        <div class="flex flex-wrap gap-1.5">
          <button
            v-for="id in common"
            :key="id"
            type="button"
            class="rounded-patch border px-2.5 py-1.5"
            :class="allergies.includes(id) ? 'border-ink bg-ink text-white' : 'border-line bg-white'"
            :aria-pressed="allergies.includes(id)"
            @click="toggle(id)"
          >
            {{ allergenName(id) }}
          </button>
        </div>
      </fieldset>
      <label class="font-semibold"
        >Anything else<input v-model="other" class="field mt-1 font-normal" placeholder="kiwi, strawberry"
      /></label>
      <ul v-if="taken.length > 0" class="text-sm" aria-live="polite">
        <li v-for="t in taken" :key="t">{{ t }}</li>
      </ul>
      <p v-if="fault" role="alert" class="font-semibold text-paprika">{{ fault }}</p>
      <button type="submit" class="btn btn-main justify-self-start">Add to the table</button>
    </form>
  </Sheet>
</template>
