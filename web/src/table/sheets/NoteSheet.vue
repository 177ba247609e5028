<script setup lang="ts">
import { computed, ref } from 'vue'
import { HOWS, HOW_WORDS, type How, techniqueOf } from '@lea/core/craft'
import type { Task } from '@lea/core/plan'
import Sheet from '../../parts/Sheet.vue'
import { useSession } from '../../stores/session/session'
import { useTable } from '../../stores/table/table'

const props = defineProps<{ children: string[]; task?: Task | undefined; about?: string }>()
const emit = defineEmits<{ close: []; incident: [] }>()
const session = useSession()
const table = useTable()
const QUICK = {
  'Numbers and words': ['Counted aloud', 'Compared', 'New word', 'Told it in order'],
  'How it was': ['Did it alone', 'Helped another', 'Waited well', 'Tired', 'Upset', 'Glad'],
  Later: ['Look here later'],
}
const child = ref(props.about ?? '')
const text = ref('')

const technique = computed(() => (props.task ? techniqueOf(props.task.technique) : undefined))
async function saw(how: How): Promise<void> {
  if (!technique.value || !child.value) return
  await table.add({ kind: 'skill', body: { child: child.value, technique: technique.value.id, how } })
  emit('close')
}
async function keep(words: string): Promise<void> {
  const note = words.trim().slice(0, 500)
  if (note === '') return
  await table.add({ kind: 'note', body: { text: note, ...(child.value && { child: child.value }) } })
  emit('close')
}
</script>

<template>
  <Sheet open title="A note" @close="emit('close')">
    <p class="mb-1 font-semibold">About</p>
    <div class="mb-3 flex flex-wrap gap-2">
      <button
        type="button"
        class="btn btn-table"
        :aria-pressed="child === ''"
        :class="child === '' ? '!bg-ink !text-white' : ''"
        @click="child = ''"
      >
        Everybody
      </button>
      <button
        v-for="c in children"
        :key="c"
        type="button"
        class="btn btn-table"
        :class="child === c ? '!bg-ink !text-white' : ''"
        :aria-pressed="child === c"
        @click="child = c"
      >
        {{ session.nameOf(c) }}
      </button>
    </div>
    <template v-for="(words, group) in QUICK" :key="group">
      <p class="text-sm">{{ group }}</p>
      <div class="mb-2 flex flex-wrap gap-2">
        <button v-for="q in words" :key="q" type="button" class="btn btn-table" @click="keep(q)">
          {{ q }}
        </button>
      </div>
    </template>
    <fieldset v-if="technique && child" class="mb-3">
      <legend class="mb-1 font-semibold">{{ session.nameOf(child) }}, {{ technique.name }}:</legend>
      <div class="flex flex-wrap gap-2">
        <button v-for="h in HOWS" :key="h" type="button" class="btn btn-table" @click="saw(h)">
          {{ HOW_WORDS[h] }}
        </button>
      </div>
    </fieldset>
    <label class="font-semibold"
      >In your words<input v-model="text" class="field mt-1 font-normal" maxlength="500"
    /></label>
    <button type="button" class="btn btn-main mt-3" :disabled="text.trim() === ''" @click="keep(text)">
      Save the note
    </button>
    <button type="button" class="btn ml-2 mt-3" @click="emit('incident')">Something happened …</button>
  </Sheet>
</template>
