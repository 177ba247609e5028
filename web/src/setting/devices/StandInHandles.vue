<script setup lang="ts">
/** The handles of one stand-in: what it is given, and how it is. */
import { DEVICE_MOODS, type DeviceMood } from '@lea/core/amount'
import Picks from '../../parts/Picks.vue'

defineProps<{ says: string; of: string; value: number; least: number; most: number; mood: DeviceMood }>()
const emit = defineEmits<{ give: [value: number]; mood: [mood: DeviceMood] }>()
const MOODS = DEVICE_MOODS.map((id) => ({ id, word: id }))
</script>

<template>
  <label class="mt-3 block font-semibold"
    >{{ says
    }}<input
      type="range"
      :min="least"
      :max="most"
      step="1"
      class="mt-1 block w-full"
      :value="value"
      @change="emit('give', Number(($event.target as HTMLInputElement).value))"
  /></label>
  <Picks
    class="mt-2"
    :label="`How the ${of} is`"
    :options="MOODS"
    :picked="[mood]"
    @pick="(m) => emit('mood', m as DeviceMood)"
  />
</template>
