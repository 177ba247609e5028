<script setup lang="ts">
/** What a child takes is tapped: its mat, then what it wants. Only what it may be offered is there to tap. */
import { Check } from '@lucide/vue'
import { computed, ref, watch } from 'vue'
import { type TableChoice, tookWith } from '@lea/core/session'
import Mat from '../../parts/mats/Mat.vue'
import { useMats } from '../../parts/mats/useMats'
import { useSession } from '../../stores/session/session'
import { useTable } from '../../stores/table/table'

const props = defineProps<{ choice: TableChoice; turn: string | null }>()
const session = useSession()
const table = useTable()
const { matOf } = useMats()
const picked = ref<string | null>(null)
const open = computed(() => props.choice.children.filter((c) => c.took === null))
const active = computed(() => {
  const { children } = props.choice
  return (
    children.find((c) => c.child === picked.value) ??
    open.value.find((c) => c.child === props.turn) ??
    open.value[0] ??
    children[0] ??
    null
  )
})
// Who is next at the table is asked next.
watch(
  () => props.turn,
  () => (picked.value = null),
)
const offered = computed(() => props.choice.foods.filter((f) => active.value?.may.includes(f.line)))
async function take(lines: string[]): Promise<void> {
  const child = active.value?.child
  if (child === undefined) return
  picked.value = child
  await table.add({ kind: 'took', body: { choice: props.choice.id, child, lines } })
}
</script>

<template>
  <section class="mt-3 border-t border-line pt-3" :aria-label="`Choose: ${choice.what}`">
    <div class="flex flex-wrap gap-1.5" role="group" aria-label="Who chooses">
      <button
        v-for="c in choice.children"
        :key="c.child"
        type="button"
        class="flex min-h-12 items-center gap-1 rounded-patch border-2 px-1.5"
        :class="c.child === active?.child ? 'border-indigo' : 'border-line'"
        :aria-pressed="c.child === active?.child"
        @click="picked = c.child"
      >
        <Mat :name="session.nameOf(c.child)" :mat="matOf(c.child)" beside />
        <span class="numeral text-lg">{{ c.took === null ? '' : c.took.length }}</span>
        <span class="sr-only"
          >{{ session.nameOf(c.child) }}{{ c.took === null ? ', not asked yet' : ' taken' }}</span
        >
      </button>
    </div>
    <div
      v-if="active"
      class="mt-2 flex flex-wrap gap-2"
      role="group"
      :aria-label="`${session.nameOf(active.child)} takes`"
    >
      <button
        v-for="f in offered"
        :key="f.line"
        type="button"
        class="btn btn-table"
        :aria-pressed="active.took?.includes(f.line) ?? false"
        :class="active.took?.includes(f.line) ? '!border-ink !bg-ink !text-white' : ''"
        @click="take(tookWith(active.took ?? [], f.line, choice.take))"
      >
        <Check v-if="active.took?.includes(f.line)" class="size-5" aria-hidden="true" />{{ f.name }}
      </button>
      <button
        type="button"
        class="btn btn-table"
        :aria-pressed="active.took?.length === 0"
        :class="active.took?.length === 0 ? '!border-ink !bg-ink !text-white' : ''"
        @click="take([])"
      >
        None
      </button>
    </div>
  </section>
</template>
