<script setup lang="ts">
/** The handles of one stand-in: what it is given, and how it is. */
import { DEVICE_MOODS, type DeviceMood } from '@lea/core'

defineProps<{ says: string; of: string; value: number; least: number; most: number; mood: DeviceMood }>()
const emit = defineEmits<{ give: [value: number]; mood: [mood: DeviceMood] }>()
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
  <div class="mt-2 flex flex-wrap gap-2" role="group" :aria-label="`How the ${of} is`">
    <button
      v-for="m in DEVICE_MOODS"
      :key="m"
      type="button"
      class="btn"
      :class="mood === m ? '!bg-ink !text-white' : ''"
      :aria-pressed="mood === m"
      @click="emit('mood', m)"
    >
      {{ m }}
    </button>
  </div>
</template>
