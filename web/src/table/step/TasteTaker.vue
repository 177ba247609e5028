<script setup lang="ts">
/** Several tastes of one child, in its order: with eyes covered what it says that it was, and for each its thumb. */
import { Check, ThumbsDown, ThumbsUp } from '@lucide/vue'
import { computed, ref, watch } from 'vue'
import { THUMBS, THUMB_WORDS, type TableTasting, type TasteRow, type Thumb } from '@lea/core/session'
import Mat from '../../parts/mats/Mat.vue'
import { useMats } from '../../parts/mats/useMats'
import { useSession } from '../../stores/session/session'
import { useTable } from '../../stores/table/table'

const props = defineProps<{ tasting: TableTasting; turn: string | null }>()
const session = useSession()
const table = useTable()
const { matOf } = useMats()
const picked = ref<string | null>(null)
const active = computed(() => {
  const { children } = props.tasting
  return (
    children.find((c) => c.child === picked.value) ??
    children.find((c) => c.child === props.turn) ??
    children.find((c) => !c.done) ??
    children[0] ??
    null
  )
})
// Who is next at the table tastes next.
watch(
  () => props.turn,
  () => (picked.value = null),
)
async function put(child: string, row: TasteRow, thumb: Thumb): Promise<void> {
  picked.value = child
  const { line, food } = row
  await table.add({ kind: 'thumb', body: { tasting: props.tasting.step, child, line, food, thumb } })
}
async function say(child: string, line: string, event: Event): Promise<void> {
  picked.value = child
  const named = (event.target as HTMLSelectElement).value
  if (named === '') return
  await table.add({ kind: 'named-taste', body: { tasting: props.tasting.step, child, line, named } })
}
</script>

<template>
  <section class="mt-3 border-t border-line pt-3" aria-label="Tastes">
    <div class="flex flex-wrap gap-1.5" role="group" aria-label="Who tastes">
      <button
        v-for="c in tasting.children"
        :key="c.child"
        type="button"
        class="flex min-h-12 items-center gap-1 rounded-patch border-2 px-1.5"
        :class="c.child === active?.child ? 'border-indigo' : 'border-line'"
        :aria-pressed="c.child === active?.child"
        @click="picked = c.child"
      >
        <Mat :name="session.nameOf(c.child)" :mat="matOf(c.child)" beside />
        <Check v-if="c.done" class="size-5 text-moss" aria-hidden="true" />
        <span class="sr-only">{{ session.nameOf(c.child) }}{{ c.done ? ', all tasted' : '' }}</span>
      </button>
    </div>
    <template v-if="active">
      <p v-if="tasting.covered" class="mt-2 font-semibold">
        {{ session.nameOf(active.child) }}:
        {{ active.covered ? 'eyes covered, in this order' : 'eyes open, in this order' }}
      </p>
      <ol class="mt-1 grid gap-2">
        <li v-for="(r, i) in active.rows" :key="r.line">
          <div
            class="grid grid-cols-[1.25rem_1fr_auto] items-center gap-x-2"
            role="group"
            :aria-label="`${r.name}, ${session.nameOf(active.child)}`"
          >
            <span class="numeral text-xl text-soft">{{ i + 1 }}</span>
            <span class="min-w-0">
              <span class="block text-lg font-semibold leading-tight">{{ r.name }}</span>
              <select
                v-if="tasting.covered"
                class="field mt-0.5 min-h-10 !w-auto !py-0.5 text-sm"
                :value="r.named ?? ''"
                :aria-label="`What ${session.nameOf(active.child)} says that it was: ${i + 1}`"
                @change="say(active.child, r.line, $event)"
              >
                <option value="">It says …</option>
                <option v-for="c in active.cards" :key="c.line" :value="c.line">{{ c.name }}</option>
              </select>
            </span>
            <span class="flex gap-1.5">
              <button
                v-for="t in THUMBS"
                :key="t"
                type="button"
                class="btn btn-table !px-3"
                :aria-pressed="r.thumb === t"
                :aria-label="THUMB_WORDS[t]"
                :title="THUMB_WORDS[t]"
                :class="r.thumb === t ? '!border-ink !bg-ink !text-white' : ''"
                @click="put(active.child, r, t)"
              >
                <ThumbsDown v-if="t === 'down'" class="size-6" aria-hidden="true" />
                <ThumbsUp
                  v-else
                  class="size-6"
                  :class="t === 'level' ? 'rotate-90' : ''"
                  aria-hidden="true"
                />
              </button>
            </span>
          </div>
        </li>
      </ol>
    </template>
  </section>
</template>
