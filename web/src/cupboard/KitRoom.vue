<script setup lang="ts">
/** What the room has: places to cook, a scale, and the trays of the oven. */
import type { Kit } from '@lea/core/plan'
import { ROOM_THINGS } from '@lea/core/recipe'
import { kitSchema } from '@lea/core/schema'
import { useAuthStore } from '../stores/auth'

const props = defineProps<{ kit: Kit }>()
const emit = defineEmits<{ keep: [kit: Kit]; fault: [says: string] }>()
const auth = useAuthStore()
const toggle = (thing: string): void => {
  const has = props.kit.equipment.includes(thing)
  const equipment = has ? props.kit.equipment.filter((e) => e !== thing) : [...props.kit.equipment, thing]
  emit('keep', { ...props.kit, equipment })
}
function setPlaces(what: 'trays' | 'sinkPlaces', text: string): void {
  try {
    emit(
      'keep',
      kitSchema.validateSync({ ...props.kit, [what]: text.trim() === '' ? undefined : Number(text) }),
    )
  } catch (e) {
    emit('fault', e instanceof Error ? e.message : String(e))
  }
}
</script>

<template>
  <fieldset :disabled="!auth.isLeader()">
    <legend class="mb-1 text-xl font-bold">In the room</legend>
    <div class="flex flex-wrap gap-x-5 gap-y-2">
      <label v-for="t in ROOM_THINGS" :key="t.id" class="flex items-center gap-2"
        ><input
          type="checkbox"
          class="size-6"
          :checked="kit.equipment.includes(t.id)"
          @change="toggle(t.id)"
        />{{ t.name }}</label
      >
    </div>
    <label v-if="kit.equipment.includes('sink')" class="mt-2 flex items-center gap-2"
      >Children at the sink at once
      <input
        class="field !w-16"
        inputmode="numeric"
        :value="kit.sinkPlaces ?? 2"
        @change="setPlaces('sinkPlaces', ($event.target as HTMLInputElement).value)"
    /></label>
    <label v-if="kit.equipment.includes('oven')" class="mt-2 flex items-center gap-2"
      >Trays in the oven at once
      <input
        class="field !w-16"
        inputmode="numeric"
        :value="kit.trays ?? 1"
        @change="setPlaces('trays', ($event.target as HTMLInputElement).value)"
    /></label>
  </fieldset>
</template>
