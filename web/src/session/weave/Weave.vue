<script setup lang="ts">
/** The weave: steps are the columns, five threads are the rows; arrow keys walk the grid. */
import { Eye, Hand, Hash, MessageCircle, CupSoda } from '@lucide/vue'
import { computed, nextTick, ref, watch } from 'vue'
import { countText } from '@lea/core/amount'
import { ribbon, weave } from '@lea/core/plan'
import { useSession } from '../../stores/session/session'
import Picture from '../../parts/pictures/Picture.vue'
import CountCell from './CountCell.vue'
import HandsCell from './HandsCell.vue'
import MeasureCell from './MeasureCell.vue'
import SayCell from './SayCell.vue'
import WatchCell from './WatchCell.vue'

const session = useSession()
const THREADS = [
  { id: 'hands', name: 'Hands', icon: Hand, color: 'text-beet', stitch: 'solid' },
  { id: 'measure', name: 'Measure', icon: CupSoda, color: 'text-teal', stitch: 'dash' },
  { id: 'count', name: 'Count', icon: Hash, color: 'text-moss', stitch: 'dot' },
  { id: 'say', name: 'Say', icon: MessageCircle, color: 'text-indigo', stitch: 'chain' },
  { id: 'watch', name: 'Watch', icon: Eye, color: 'text-slate', stitch: 'cross' },
] as const

const columns = computed(() => (session.plan ? weave(session.plan, session.bowl) : []))
const bars = computed(() => (session.plan ? ribbon(session.plan) : []))
const open = ref('')
const cell = ref({ row: 0, column: 1 })
const grid = ref<HTMLElement | null>(null)

watch(
  columns,
  (list) => {
    if (!list.some((c) => c.step === open.value)) open.value = (list[1] ?? list[0])?.step ?? ''
  },
  { immediate: true },
)
const template = computed(
  () =>
    `6.6rem ${columns.value.map((c) => (c.step === open.value ? 'minmax(18rem, 3.4fr)' : 'minmax(5.4rem, 1fr)')).join(' ')}`,
)

async function walk(event: KeyboardEvent): Promise<void> {
  // A list or a button within a cell has its own keys.
  if (!['gridcell', 'columnheader'].includes((event.target as HTMLElement).role ?? '')) return
  const moves: Record<string, [number, number]> = {
    ArrowRight: [0, 1],
    ArrowLeft: [0, -1],
    ArrowDown: [1, 0],
    ArrowUp: [-1, 0],
  }
  const move = moves[event.key]
  const to = { ...cell.value }
  if (move) {
    to.row = Math.min(THREADS.length, Math.max(0, to.row + move[0]))
    to.column = Math.min(columns.value.length - 1, Math.max(0, to.column + move[1]))
  } else if (event.key === 'Home') to.column = 0
  else if (event.key === 'End') to.column = columns.value.length - 1
  else if (event.key === 'Enter') {
    open.value = columns.value[to.column]?.step ?? ''
    return
  } else return
  event.preventDefault()
  cell.value = to
  await nextTick()
  grid.value?.querySelector<HTMLElement>(`[data-cell="${to.row}-${to.column}"]`)?.focus()
}
const tab = (row: number, column: number): number =>
  cell.value.row === row && cell.value.column === column ? 0 : -1
</script>

<template>
  <section v-if="session.plan" aria-label="The weave" class="min-w-0">
    <div
      v-if="session.plan.bowls.length > 1"
      class="mb-2 flex flex-wrap items-center gap-2"
      role="group"
      aria-label="Bowl"
    >
      <button
        v-for="b in session.plan.bowls"
        :key="b.id"
        type="button"
        class="rounded-patch border px-3 py-1 text-sm"
        :class="b.id === session.bowl ? 'border-ink bg-ink text-white' : 'border-line bg-white'"
        :aria-pressed="b.id === session.bowl"
        @click="session.bowl = b.id"
      >
        {{ b.name
        }}<template v-if="session.plan.bowls.length < 4">
          · {{ b.children.map((c) => session.nameOf(c)).join(', ') }}</template
        ><template v-else>, {{ countText(b.children.length, 'child', 'children') }}</template>
      </button>
    </div>
    <div class="overflow-x-auto pb-2" tabindex="-1">
      <div class="ml-[6.9rem] flex min-w-[40rem] text-xs" aria-label="Clock" role="list">
        <div
          v-for="b in bars"
          :key="b.step"
          role="listitem"
          class="-ml-px min-h-7 overflow-hidden whitespace-nowrap border border-ink px-1.5 py-1 first:ml-0"
          :class="b.passive ? 'hatched' : 'bg-white'"
          :style="{ flex: `${b.share} 1 2.6rem` }"
        >
          {{ b.at }}<template v-if="b.label"> · {{ b.label }}</template>
        </div>
        <div class="py-1 pl-2 font-semibold" role="listitem">
          ends {{ session.plan.totals.endsAt
          }}<template v-if="session.stored?.until"> · families {{ session.stored.until }}</template>
        </div>
      </div>
      <div
        ref="grid"
        role="grid"
        :aria-label="`Steps and threads of ${session.plan.recipe.title}`"
        class="relative mt-1 grid min-w-[40rem] gap-x-1.5 gap-y-1"
        :style="{ gridTemplateColumns: template }"
        @keydown="walk"
      >
        <div role="row" class="contents">
          <div role="columnheader"><span class="sr-only">Thread</span></div>
          <div
            v-for="(c, i) in columns"
            :key="c.step"
            role="columnheader"
            :tabindex="tab(0, i)"
            :data-cell="`0-${i}`"
            class="rounded-t-patch border-l border-ink"
            :class="c.step === open ? 'bg-ink text-white' : ''"
            @focus="cell = { row: 0, column: i }"
          >
            <button
              type="button"
              tabindex="-1"
              class="flex w-full items-center gap-1.5 px-1.5 py-1 text-left"
              :aria-expanded="c.step === open"
              @click="open = c.step"
            >
              <Picture v-if="c.step === open" :name="c.picture" class="size-8 shrink-0" />
              <span class="min-w-0"
                ><span
                  class="block font-title font-bold leading-tight"
                  :class="c.step === open ? 'text-base' : 'text-[0.82rem]'"
                  >{{ c.title }}</span
                ><span class="flex items-center gap-1 text-xs"
                  ><Picture v-if="c.step !== open" :name="c.picture" class="size-4 shrink-0" />{{
                    c.length
                  }}</span
                ></span
              >
            </button>
          </div>
        </div>
        <div v-for="(thread, row) in THREADS" :key="thread.id" role="row" class="contents">
          <div
            role="rowheader"
            class="relative flex items-center gap-1.5 font-semibold"
            :class="thread.color"
          >
            <span class="thread" :class="`stitch-${thread.stitch}`" aria-hidden="true" />
            <span class="relative flex items-center gap-1.5 bg-porcelain pr-2"
              ><component :is="thread.icon" class="size-5" aria-hidden="true" />{{ thread.name }}</span
            >
          </div>
          <div
            v-for="(c, i) in columns"
            :key="c.step"
            role="gridcell"
            :tabindex="tab(row + 1, i)"
            :data-cell="`${row + 1}-${i}`"
            class="patch relative z-[1] min-h-10 min-w-0 p-1.5 text-sm leading-tight [overflow-wrap:anywhere]"
            :class="c.step === open ? '!border-2 !border-ink' : ''"
            @focus="cell = { row: row + 1, column: i }"
          >
            <HandsCell v-if="thread.id === 'hands'" :column="c" :wide="c.step === open" />
            <MeasureCell v-else-if="thread.id === 'measure'" :column="c" :wide="c.step === open" />
            <CountCell v-else-if="thread.id === 'count'" :column="c" :wide="c.step === open" />
            <SayCell v-else-if="thread.id === 'say'" :column="c" :wide="c.step === open" />
            <WatchCell v-else :column="c" :wide="c.step === open" />
          </div>
        </div>
      </div>
    </div>
    <p class="mt-1 text-xs text-soft">Arrow keys walk the weave; Enter opens a step.</p>
  </section>
</template>

<style scoped>
.hatched {
  background: repeating-linear-gradient(45deg, #dfe8e3 0 6px, #fff 6px 12px);
}
.thread {
  position: absolute;
  top: 50%;
  left: 0;
  width: 100vw;
  z-index: 0;
  border-top: 3px solid currentColor;
  opacity: 0.55;
}
[role='grid'] {
  overflow: hidden;
}
.stitch-dash {
  border-top-style: dashed;
}
.stitch-dot {
  border-top-style: dotted;
}
.stitch-chain {
  border-top: 5px double currentColor;
}
.stitch-cross {
  border: 0;
  height: 6px;
  background: repeating-linear-gradient(90deg, currentColor 0 2px, transparent 2px 9px);
}
</style>
