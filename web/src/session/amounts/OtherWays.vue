<script setup lang="ts">
/** Other ways to measure one line: chosen here, pinned in the plan; and the same whole made four ways, to compare. */
import { Shuffle } from '@lucide/vue'
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import { ref, shallowRef } from 'vue'
import type { Alternative, Alternatives, AmountRow } from '@lea/core/plan'
import Amount from '../../parts/Amount.vue'
import { useSession } from '../../stores/session/session'
import PlainStrip from './PlainStrip.vue'

const props = defineProps<{ row: AmountRow; disabled: boolean }>()
const session = useSession()
const ways = shallowRef<Alternatives | null>(null)
const looking = ref(false)

async function look(): Promise<void> {
  looking.value = true
  ways.value = props.row.task ? await session.waysOf(props.row.task) : null
  looking.value = false
}
/** The same line in another group of the same size is measured the same way. */
const tasksAlike = (): string[] =>
  (session.plan?.tasks ?? []).flatMap((t) => {
    const line = session.plan?.bowls.find((b) => b.id === t.bowl)?.lines.find((l) => l.id === t.uses[0])
    const mine = session.plan?.tasks.find((x) => x.id === props.row.task)
    const [own, its] = [props.row.line, line].map((l) => l?.each?.amount ?? l?.amount)
    const same = line?.id === props.row.line.id && own === its
    return same && t.measured && t.step === mine?.step ? [t.id] : []
  })
async function pin(way: Alternative, close: () => void): Promise<void> {
  await session.chooseAll(tasksAlike().map((task) => ({ kind: 'scoops', task, ways: way.ways })))
  close()
}
async function unpin(close: () => void): Promise<void> {
  await session.takeBack(...tasksAlike().map((task) => ({ kind: 'scoops', task, ways: {} }) as const), {
    kind: 'measure',
    line: props.row.line.line,
    measure: '',
  })
  close()
}
</script>

<template>
  <Popover class="relative">
    <PopoverButton
      class="grid size-9 place-items-center rounded-patch border border-ink bg-white"
      title="Other ways"
      :aria-label="`Other ways to measure ${row.line.name}`"
      @click="look"
      ><Shuffle class="size-4" aria-hidden="true"
    /></PopoverButton>
    <PopoverPanel
      v-slot="{ close }"
      class="patch absolute right-0 z-10 mt-1 max-h-[28rem] w-[min(26rem,85vw)] overflow-y-auto border-ink p-3 shadow-lg"
    >
      <p v-if="looking" role="status">Looking through the box …</p>
      <p v-else-if="!ways">This line is not scooped from the box.</p>
      <template v-else>
        <p class="text-sm">
          <template v-if="ways.exact > 0"
            >{{ ways.exact }} exact {{ ways.exact === 1 ? 'way' : 'ways' }} to make
            <Amount :text="row.makes" /> with this box.</template
          >
          <template v-else>No exact way with this box. Near enough for this ingredient:</template>
        </p>
        <p v-if="ways.list.length === 0" class="mt-1 text-sm font-semibold">None: it is weighed.</p>
        <ul class="mt-2 grid gap-1.5">
          <li v-for="w in ways.list" :key="w.text">
            <button
              type="button"
              class="w-full rounded-patch border px-2.5 py-1.5 text-left"
              :class="w.chosen ? 'border-2 border-teal' : 'border-line hover:border-ink'"
              :aria-pressed="w.chosen"
              :disabled="disabled"
              @click="pin(w, close)"
            >
              <span class="flex flex-wrap justify-between gap-x-3">
                <span class="font-semibold"><Amount :text="w.text" /></span>
                <span class="text-sm text-soft"
                  >{{ w.turns }}<template v-if="w.off"> · {{ w.off }}</template></span
                >
              </span>
              <PlainStrip bare :shares="w.shares" :marks="w.marks" :label="w.text" />
            </button>
          </li>
        </ul>
        <button v-if="row.pinned && !disabled" type="button" class="btn mt-2" @click="unpin(close)">
          Let Lea choose again
        </button>
        <template v-if="ways.fourWays.length > 1">
          <h3 class="mt-3 text-sm">The same whole, {{ ways.fourWays.length }} ways</h3>
          <div v-for="w in ways.fourWays" :key="w.text" class="mt-1">
            <p class="text-xs"><Amount :text="w.text" /></p>
            <PlainStrip :shares="w.shares" :marks="w.marks" :label="w.text" />
          </div>
        </template>
      </template>
    </PopoverPanel>
  </Popover>
</template>
