<script setup lang="ts">
/** One line as it will be said: of what sort, to whom, why; easier rungs, another in its place, or kept. */
import { Pin, PinOff, RefreshCw } from '@lucide/vue'
import { computed, ref } from 'vue'
import type { TalkRow } from '@lea/core/session'
import Amount from '../../parts/Amount.vue'
import Mat from '../../parts/mats/Mat.vue'
import LineKindIcon from '../../parts/pictures/LineKindIcon.vue'
import { useMats } from '../../parts/mats/useMats'
import { useAuthStore } from '../../stores/auth'
import { useSession } from '../../stores/session/session'
import { SUPPORT_LEVEL_WORDS } from '../../parts/level-words'

const props = defineProps<{ row: TalkRow; step: string | null }>()
const session = useSession()
const auth = useAuthStore()
const { matOf } = useMats()
const open = ref(false)
const decisions = computed(() => session.stored?.decisions ?? [])
const canChange = computed(() => auth.isLeader() && !session.frozen && props.step !== null)
const isAsk = computed(() => props.row.kind === 'question' && props.row.id !== 'own')
const pinned = computed(() =>
  decisions.value.find((d) =>
    isAsk.value
      ? d.kind === 'ask' && d.step === props.step && d.child === props.row.child
      : d.kind === 'line' && d.use === 'keep' && d.line === props.row.id && d.step === props.step,
  ),
)
const own = computed(() =>
  decisions.value.find((d) => d.kind === 'own-prompt' && d.step === props.step && d.says === props.row.says),
)
/** The song, and what is done every time, is not changed for another. */
const fixed = computed(() => props.row.kind === 'routine' || own.value !== undefined)
function togglePin(): void {
  const { step, row } = props
  if (step === null) return
  if (pinned.value) void session.takeBack(pinned.value)
  else if (isAsk.value && row.child) void session.choose({ kind: 'ask', step, child: row.child })
  else void session.choose({ kind: 'line', step, line: row.id, use: 'keep' })
}
function change(): void {
  if (props.step !== null)
    void session.choose({ kind: 'line', step: props.step, line: props.row.id, use: 'not' })
}
</script>

<template>
  <li class="border-t border-line py-1.5">
    <div class="flex flex-wrap items-start gap-x-2 gap-y-1">
      <LineKindIcon :kind="row.kind" class="pt-0.5" />
      <span class="flex items-center gap-1.5 pt-0.5 text-sm font-semibold" :class="row.child ? 'w-24' : ''">
        <template v-if="row.child">
          <Mat :name="session.nameOf(row.child)" :mat="matOf(row.child)" />
          <span aria-hidden="true" class="truncate">{{ session.nameOf(row.child) }}</span>
        </template>
        <span v-else class="sr-only">everybody</span>
      </span>
      <span class="min-w-0 flex-1 basis-56">
        <bdi
          v-if="row.home"
          :lang="row.home.language"
          :dir="row.home.rightToLeft ? 'rtl' : 'ltr'"
          class="mr-2 text-lg font-bold"
          >{{ row.home.word }}</bdi
        >
        <bdi v-if="row.home?.roman" dir="ltr" class="mr-2 text-sm text-soft">{{ row.home.roman }}</bdi>
        <Amount :text="row.says" />
        <span v-if="row.answer" class="text-sm text-soft"> (<Amount :text="row.answer" />)</span>
        <span v-if="row.why" class="block text-xs text-soft">{{ row.why }}</span>
      </span>
      <span class="no-print flex gap-1">
        <button
          v-if="row.rungs && row.rungs.length > 1"
          type="button"
          class="btn !min-h-9 !border !px-2 text-sm"
          :aria-expanded="open"
          @click="open = !open"
        >
          {{ open ? 'Fewer' : 'Easier' }}
        </button>
        <template v-if="canChange && !fixed">
          <button
            type="button"
            class="btn !min-h-9 !border !px-2"
            title="another in its place"
            @click="change"
          >
            <RefreshCw class="size-4" aria-hidden="true" />
            <span class="sr-only">Another instead of: {{ row.says }}</span>
          </button>
          <button
            v-if="!isAsk || row.child"
            type="button"
            class="btn !min-h-9 !border !px-2"
            title="keep it"
            :aria-pressed="pinned !== undefined"
            @click="togglePin"
          >
            <component :is="pinned ? PinOff : Pin" class="size-4" aria-hidden="true" />
            <span class="sr-only">{{ pinned ? 'Let go of' : 'Keep' }}: {{ row.says }}</span>
          </button>
        </template>
        <button
          v-if="canChange && own"
          type="button"
          class="btn !min-h-9 !px-2 text-sm"
          @click="session.takeBack(own)"
        >
          Take out
        </button>
      </span>
    </div>
    <dl v-if="open" class="mt-1 grid grid-cols-[8rem_1fr] gap-x-3 gap-y-0.5 pl-8 text-sm">
      <template v-for="p in row.rungs" :key="p.level">
        <dt :class="p.says === row.says ? 'font-bold text-indigo' : 'text-soft'">
          {{ SUPPORT_LEVEL_WORDS[p.level] }}
        </dt>
        <dd><Amount :text="p.says" /></dd>
      </template>
    </dl>
  </li>
</template>
