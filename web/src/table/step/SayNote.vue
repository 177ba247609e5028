<script setup lang="ts">
/** One tap: how the child answered. The same place takes it back. */
import { computed } from 'vue'
import { ANSWERS, ANSWER_WORDS, type Answered, type Prompt } from '@lea/core/learn'
import { useTable } from '../../stores/table/table'

const props = defineProps<{ child: string; prompt: Prompt; food?: string | undefined }>()
const table = useTable()
/** What was last noted of this child and target. */
const noted = computed(
  () =>
    table.state.talk.filter((t) => t.child === props.child && t.target === props.prompt.target).at(-1) ??
    null,
)
async function note(how: Answered): Promise<void> {
  const was = noted.value
  if (was) await table.add({ kind: 'undo', body: { event: was.event } })
  if (was?.how === how && was.level === props.prompt.level) return
  await table.add({
    kind: 'talk',
    body: {
      child: props.child,
      target: props.prompt.target,
      how,
      level: props.prompt.level,
      ...(props.food && { food: props.food }),
    },
  })
}
</script>

<template>
  <div class="mt-2 grid grid-cols-4 gap-2" role="group" aria-label="How it was answered">
    <button
      v-for="a in ANSWERS"
      :key="a"
      type="button"
      class="btn btn-table !px-0.5 text-sm !leading-tight"
      :class="noted?.how === a ? '!bg-indigo !text-white' : ''"
      :aria-pressed="noted?.how === a"
      @click="note(a)"
    >
      {{ ANSWER_WORDS[a] }}
    </button>
  </div>
</template>
