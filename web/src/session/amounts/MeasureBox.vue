<script setup lang="ts">
/** The box of measures as pictures, in proportion: a tap takes one out or puts it back, and all is worked out anew. */
import { computed } from 'vue'
import { type Measure, countText, drawnLength, unitOf } from '@lea/core/amount'
import Amount from '../../parts/Amount.vue'
import MeasurePicture from '../../parts/pictures/MeasurePicture.vue'

const props = defineProps<{ measures: Measure[]; used: string[]; disabled: boolean }>()
const emit = defineEmits<{ toggle: [id: string] }>()
const inBox = computed(() => props.measures.filter((m) => m.count > 0).length)
const state = (m: Measure): string => {
  if (m.count === 0) return 'lost'
  if (props.used.includes(m.id)) return m.count > 1 ? `${m.count}, in use` : 'in use'
  return m.count > 1 ? `${m.count} in the box` : 'in the box'
}
</script>

<template>
  <section aria-labelledby="box-title">
    <h2 id="box-title" class="text-lg">
      {{ countText(inBox, 'measure') }} in the box
      <span class="font-sans text-sm font-normal text-soft">Tap one that is lost.</span>
    </h2>
    <p v-if="measures.length === 0" class="text-soft">
      The box is empty. Put measures in under
      <RouterLink class="underline" to="/cupboard">Cupboard</RouterLink>; until then everything is weighed.
    </p>
    <ul class="flex flex-wrap items-end gap-1.5">
      <li v-for="m in measures" :key="m.id">
        <button
          type="button"
          class="flex h-full flex-col items-center justify-end rounded-patch border-2 px-2 py-1 leading-tight"
          :class="
            m.count === 0
              ? 'border-dashed border-soft bg-transparent text-soft'
              : used.includes(m.id)
                ? 'border-teal bg-white'
                : 'border-line bg-white'
          "
          :aria-pressed="m.count > 0"
          :aria-label="`${m.name}: ${state(m)}`"
          :disabled="disabled"
          @click="emit('toggle', m.id)"
        >
          <MeasurePicture
            :size="m.size"
            :unit="m.unit"
            :name="m.name"
            :class="m.count === 0 ? 'opacity-40' : ''"
            :style="{ width: `${drawnLength(m) * 4.6}rem` }"
            aria-hidden="true"
          />
          <span class="text-sm font-semibold"><Amount :text="m.name" /></span>
          <span v-if="m.count !== 1" class="text-sm">{{ m.count === 0 ? 'lost' : `× ${m.count}` }}</span>
          <span v-if="unitOf(m.unit).system === 'us'" class="text-sm">US</span>
        </button>
      </li>
    </ul>
  </section>
</template>
