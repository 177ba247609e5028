<script setup lang="ts">
/**
 * The children's screen: whose turn it is, what to do, how much so far, in pictures. It follows the table, takes no taps but the way
 * back, and shows nothing of anybody's health.
 */
import { X } from '@lucide/vue'
import { useNow, useTimeoutFn } from '@vueuse/core'
import { computed, onMounted, onUnmounted, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { matLook } from '@lea/core/craft'
import { looksBack, showMoments, showSeconds, waitLeft } from '@lea/core/session'
import { useMats } from '../../parts/mats/useMats'
import { useSession } from '../../stores/session/session'
import { useTable } from '../../stores/table/table'
import { useTableNow } from '../useTableNow'
import ShowOther from './ShowOther.vue'
import ShowTurn from './ShowTurn.vue'
import ShowWash from './ShowWash.vue'

const route = useRoute()
const session = useSession()
const table = useTable()
const { matOf } = useMats()
const id = computed(() => String(route.params['id']))
onMounted(async () => {
  await session.open(id.value)
  if (session.stored?.state !== 'planned')
    await table.open(id.value, () => void session.refresh(), session.join)
})
onUnmounted(() => table.close())

const { plan, step, turn, gates, shown, tasks, talk, saying: say } = useTableNow()
const blocked = computed(() => gates.value.length > 0)
const over = computed(() => looksBack(table.state))
const moments = computed(() =>
  plan.value
    ? showMoments(plan.value, step.value, talk.value, say.value, {
        turn: blocked.value ? null : (turn.value?.turn ?? null),
        blocked: blocked.value,
        guessed: Object.keys(table.state.guesses),
        over: over.value,
      })
    : [],
)
/** Moments of one place come one after the other and rest at the last: the turn, or the wait. */
const at = ref(0)
const moment = computed(() => moments.value[Math.min(at.value, moments.value.length - 1)] ?? null)
const seconds = computed(() => showSeconds(moment.value?.kind ?? 'ready') * 1000)
const onward = useTimeoutFn(() => {
  if (at.value < moments.value.length - 1) at.value += 1
}, seconds)
watch([() => say.value.key, over], () => (at.value = 0))
watch([() => say.value.key, at, () => moments.value.length], () => onward.start())
const next = computed(() =>
  tasks.value
    .flatMap((t) => t.turns)
    .filter((t) => !t.done)
    .slice(1, 3)
    .map((t) => t.who),
)
const border = computed(() =>
  !blocked.value && !over.value && turn.value ? matLook(matOf(turn.value.turn.who)).colour : undefined,
)
const now = useNow({ interval: 1000 })
/** What is left of the timer that runs, from 1 to 0; null where none does. */
const left = computed(() => waitLeft(table.state.timers, now.value.getTime() + table.behind))
</script>

<template>
  <main
    id="main"
    class="grid h-dvh grid-cols-[minmax(0,1fr)] border-[1.6rem] bg-white p-5"
    :style="{ borderColor: border ?? 'var(--color-line)' }"
    aria-label="For the children"
  >
    <h1 class="sr-only">For the children</h1>
    <RouterLink
      :to="`/session/${id}/cook`"
      class="absolute right-8 top-8 rounded-patch p-2 opacity-60"
      aria-label="Back to the leader’s view"
      ><X class="size-7" aria-hidden="true"
    /></RouterLink>
    <p v-if="!plan || !moment || !table.opened" role="status" class="sr-only">Setting the table …</p>
    <ShowWash v-else-if="moment.kind === 'wash'" :key="say.key" />
    <ShowTurn
      v-else-if="moment.kind === 'turn' && shown && turn"
      :moment="moment"
      :row="shown"
      :child="turn.turn.who"
      :next="next"
    />
    <ShowOther v-else-if="moment.kind !== 'turn'" :moment="moment" :left="left" />
  </main>
</template>
