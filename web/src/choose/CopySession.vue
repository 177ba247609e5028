<script setup lang="ts">
/** A session once more: another day, another group. */
import { reactive, ref } from 'vue'
import { clockAfter, dayAfter, minutesBetween } from '@lea/core/amount'
import { type StoredSession, copySession } from '@lea/core/setting'
import { inWords } from '../shared/api'
import Chip from '../parts/Chip.vue'
import Notice from '../parts/Notice.vue'
import Sheet from '../parts/Sheet.vue'
import { useSettingStore } from '../stores/setting'

const props = defineProps<{ session: StoredSession; title: string }>()
const emit = defineEmits<{ close: []; made: [id: string] }>()
const settingStore = useSettingStore()
const known = new Set(settingStore.children.map((c) => c.id))
const to = reactive({
  date: dayAfter(props.session.date, 7),
  start: props.session.start,
  children: props.session.children.filter((id) => known.has(id)),
  adults: props.session.adults.filter((id) => settingStore.adults.some((a) => a.id === id)),
})
const fault = ref('')
const saving = ref(false)
const toggle = (list: string[], id: string): void => {
  const at = list.indexOf(id)
  if (at < 0) list.push(id)
  else list.splice(at, 1)
}
async function make(): Promise<void> {
  fault.value = ''
  saving.value = true
  try {
    // As long as the one it is a copy of.
    const { start, until } = props.session
    const { inputs, decisions } = copySession(props.session, {
      ...to,
      ...(until && { until: clockAfter(to.start, minutesBetween(start, until)) }),
    })
    emit('made', await settingStore.addSession(inputs, decisions))
  } catch (e) {
    fault.value = inWords(e)
  } finally {
    saving.value = false
  }
}
</script>

<template>
  <Sheet open :title="`${title}, once more`" @close="emit('close')">
    <form class="grid gap-4" @submit.prevent="make">
      <div class="grid gap-3 sm:grid-cols-2">
        <label class="font-semibold"
          >Day<input v-model="to.date" type="date" class="field mt-1 font-normal"
        /></label>
        <label class="font-semibold"
          >Start<input v-model="to.start" type="time" class="field mt-1 font-normal"
        /></label>
      </div>
      <fieldset>
        <legend class="mb-1 font-semibold">Who</legend>
        <div class="flex flex-wrap gap-1.5">
          <Chip
            v-for="c in settingStore.children"
            :key="c.id"
            :on="to.children.includes(c.id)"
            @click="toggle(to.children, c.id)"
          >
            {{ c.nickname }}
          </Chip>
        </div>
        <div class="mt-2 flex flex-wrap gap-1.5">
          <Chip
            v-for="a in settingStore.adults"
            :key="a.id"
            :on="to.adults.includes(a.id)"
            @click="toggle(to.adults, a.id)"
          >
            {{ a.name }}
          </Chip>
        </div>
      </fieldset>
      <p class="text-sm text-soft">
        Swaps and what was decided about the recipe go along. Packets are read again on the day, and written
        reasons are given again.
      </p>
      <Notice v-if="fault" tone="fault">{{ fault }}</Notice>
      <button type="submit" class="btn btn-main justify-self-start" :disabled="saving">Copy it</button>
    </form>
  </Sheet>
</template>
