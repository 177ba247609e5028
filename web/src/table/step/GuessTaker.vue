<script setup lang="ts">
/** A guess is taken by tapping a mat and what it says; the next mat without one is ready then. */
import { computed, ref } from 'vue'
import type { TalkLine } from '@lea/core/learn'
import Mat from '../../parts/mats/Mat.vue'
import { useMats } from '../../parts/mats/useMats'
import { useSession } from '../../stores/session/session'
import { useTable } from '../../stores/table/table'

const props = defineProps<{ guess: NonNullable<TalkLine['guess']>; children: readonly string[] }>()
const session = useSession()
const table = useTable()
const { matOf } = useMats()
const by = computed(() => table.state.guesses[props.guess.id]?.by ?? {})
const picked = ref<string | null>(null)
const open = computed(() => props.children.filter((c) => by.value[c] === undefined))
const active = computed(() => picked.value ?? open.value[0] ?? null)
async function say(option: string): Promise<void> {
  const child = active.value
  if (child === null) return
  picked.value = null
  await table.add({ kind: 'guess', body: { guess: props.guess.id, child, says: option } })
}
</script>

<template>
  <div class="mt-1">
    <div class="flex flex-wrap gap-1.5" role="group" aria-label="Who guesses">
      <button
        v-for="c in children"
        :key="c"
        type="button"
        class="flex min-h-12 items-center gap-1 rounded-patch border-2 px-1.5"
        :class="c === active ? 'border-indigo' : 'border-line'"
        :aria-pressed="c === active"
        @click="picked = c"
      >
        <Mat :name="session.nameOf(c)" :mat="matOf(c)" beside />
        <span class="text-sm font-semibold">{{ by[c] ?? '' }}</span>
        <span class="sr-only">{{ session.nameOf(c) }}</span>
      </button>
    </div>
    <div class="mt-2 flex flex-wrap gap-2" role="group" aria-label="What it guesses">
      <button
        v-for="o in guess.options"
        :key="o"
        type="button"
        class="btn btn-table flex-1"
        :disabled="active === null"
        @click="say(o)"
      >
        {{ o }}
      </button>
    </div>
    <p v-if="active === null" class="mt-1 text-sm text-soft" role="status">
      Everybody has guessed. Looked at again when it is done.
    </p>
  </div>
</template>
