<script setup lang="ts">
/** What was sown, look by look: its dates, what was seen, how high it stood. */
import { computed, ref } from 'vue'
import { dueLook, heightText, type LookRow } from '@lea/core/session'
import { dayText, todayText } from '../shared/dates'

const props = defineProps<{ what: string; measured: boolean; looks: LookRow[]; may: boolean }>()
const emit = defineEmits<{ look: [body: { day: number; says?: string; mm?: number }] }>()
const says = ref('')
const mm = ref('')
const due = computed(() => dueLook(props.looks, todayText()))
function note(): void {
  if (!due.value) return
  const high = Math.round(Number(mm.value))
  emit('look', {
    day: due.value.day,
    ...(says.value.trim() !== '' && { says: says.value.trim() }),
    ...(mm.value !== '' && Number.isFinite(high) && high >= 0 && { mm: high }),
  })
  says.value = ''
  mm.value = ''
}
</script>

<template>
  <section class="patch p-4" aria-labelledby="growing">
    <h2 id="growing" class="mb-1 text-lg">What grows: {{ what }}</h2>
    <ol>
      <li v-for="l in looks" :key="l.day" class="border-t border-line py-1">
        <p>
          <span class="numeral">Day {{ l.day }}</span
          >, {{ dayText(l.date) }}
          <span v-if="!l.seen" class="block text-soft">{{ l.says }}</span>
        </p>
        <p v-if="l.seen" class="font-semibold">
          <span v-if="l.seen.says" class="block" translate="no">{{ l.seen.says }}</span>
          {{ heightText(looks, l.day) || (l.seen.says ? '' : 'Looked at') }}
        </p>
      </li>
    </ol>
    <form v-if="may && due" class="mt-2 grid gap-2" @submit.prevent="note">
      <p class="font-semibold">Day {{ due.day }}: {{ due.says }}</p>
      <label class="text-sm">What they saw<input v-model="says" class="field mt-1" maxlength="300" /> </label>
      <label v-if="measured" class="text-sm"
        >How high, in mm<input v-model="mm" class="field mt-1 !w-28" type="number" min="0" max="3000" />
      </label>
      <button class="btn btn-main justify-self-start">We looked</button>
    </form>
  </section>
</template>
