<script setup lang="ts">
/** Something happened: what, who, what was done. The owner sees it until it was read. */
import { computed, ref } from 'vue'
import { INCIDENTS, INCIDENT_WORDS, type Incident } from '@lea/core/session'
import Picks from '../../parts/Picks.vue'
import Sheet from '../../parts/Sheet.vue'
import { useSession } from '../../stores/session/session'
import { useTable } from '../../stores/table/table'

const emit = defineEmits<{ close: [] }>()
const session = useSession()
const table = useTable()
const what = ref<Incident | ''>('')
const who = ref<string[]>([])
const by = ref('')
const text = ref('')
const done = ref('')
const kinds = INCIDENTS.map((id) => ({ id, word: INCIDENT_WORDS[id] }))
const named = (ids: readonly string[]) => ids.map((id) => ({ id, word: session.nameOf(id) }))
const people = computed(() => [...session.present, ...(session.stored?.adults ?? [])])
const missing = computed(() =>
  [
    what.value ? '' : 'what happened',
    who.value.length > 0 ? '' : 'who',
    done.value.trim() ? '' : 'what was done',
    by.value ? '' : 'who writes it',
  ].filter(Boolean),
)
function pick(id: string): void {
  who.value = who.value.includes(id) ? who.value.filter((x) => x !== id) : [...who.value, id]
}
async function keep(): Promise<void> {
  if (!what.value || missing.value.length > 0) return
  await table.add({
    kind: 'incident',
    body: {
      what: what.value,
      who: [...who.value],
      text: text.value.trim(),
      done: done.value.trim(),
      by: by.value,
    },
  })
  emit('close')
}
</script>

<template>
  <Sheet open title="Something happened" wide @close="emit('close')">
    <p class="mb-2">
      First the child, then this. It is kept with the time, and the owner sees it until it was read.
    </p>
    <p class="mb-1 font-semibold">What</p>
    <Picks
      class="mb-3"
      label="What"
      :options="kinds"
      :picked="[what]"
      @pick="(id) => (what = id as Incident)"
    />
    <p class="mb-1 font-semibold">Who</p>
    <Picks class="mb-3" label="Who" :options="named(people)" :picked="who" @pick="pick" />
    <label class="mb-3 block font-semibold"
      >How it came about<input v-model="text" class="field mt-1 font-normal" maxlength="1000"
    /></label>
    <label class="mb-3 block font-semibold"
      >What was done<input v-model="done" class="field mt-1 font-normal" maxlength="1000"
    /></label>
    <p class="mb-1 font-semibold">Written by</p>
    <Picks
      class="mb-3"
      label="Written by"
      :options="named(session.stored?.adults ?? [])"
      :picked="[by]"
      @pick="(id) => (by = id)"
    />
    <p v-if="missing.length > 0" role="status" class="mb-2">Still missing: {{ missing.join(', ') }}.</p>
    <button type="button" class="btn btn-main btn-table" :disabled="missing.length > 0" @click="keep">
      Save it
    </button>
  </Sheet>
</template>
