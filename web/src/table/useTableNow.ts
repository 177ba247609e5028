/** Where the table is now: the step, its tasks, whose turn, and what stands before it. */
import { computed } from 'vue'
import { type SayNow, gatesNow, nextTurn, sayNow, tableTasks, timersOf, whoWaits } from '@lea/core/session'
import { useSession } from '../stores/session/session'
import { useTable } from '../stores/table/table'

const NOTHING: SayNow = { key: '', child: null, lines: [], countTo: 0 }

export function useTableNow() {
  const session = useSession()
  const table = useTable()
  const plan = computed(() => session.plan)
  const step = computed(() => table.state.step ?? plan.value?.schedule[0]?.step ?? '')
  const index = computed(() => plan.value?.schedule.findIndex((s) => s.step === step.value) ?? -1)
  const time = computed(() => plan.value?.schedule[index.value])
  const bowl = computed(() => plan.value?.bowls.find((b) => b.id === session.bowl) ?? plan.value?.bowls[0])
  const tasks = computed(() =>
    plan.value
      ? tableTasks(plan.value, table.state, step.value).filter((t) => t.task.bowl === bowl.value?.id)
      : [],
  )
  const turn = computed(() => nextTurn(tasks.value))
  const gates = computed(() =>
    plan.value ? gatesNow(plan.value, table.state, step.value, turn.value, session.atWork) : [],
  )
  const shown = computed(
    () => turn.value?.task ?? tasks.value.filter((t) => t.turns.length > 0).at(-1) ?? tasks.value[0] ?? null,
  )
  const following = computed(() => {
    const open = tasks.value.flatMap((t) => t.turns).filter((t) => !t.done)
    return gates.value.length > 0 ? [] : open.slice(1, 3).map((t) => session.nameOf(t.who))
  })
  const waiting = computed(() =>
    plan.value && bowl.value && gates.value.length === 0
      ? whoWaits(plan.value, bowl.value.id, step.value, turn.value?.turn ?? null)
      : [],
  )
  const talk = computed(() => plan.value?.talk.find((t) => t.step === step.value) ?? null)
  const timers = computed(() =>
    plan.value && bowl.value ? timersOf(plan.value, step.value, bowl.value.id) : [],
  )
  /** Languages at home of those who sit here. */
  const speakers = computed(() =>
    (session.request()?.children ?? []).map((c) => ({ child: c.id, languages: c.languages })),
  )
  const saying = computed(() =>
    plan.value
      ? sayNow(
          plan.value,
          talk.value,
          bowl.value?.id ?? '',
          turn.value,
          speakers.value,
          gates.value.length > 0,
        )
      : NOTHING,
  )
  const isLast = computed(() => index.value === (plan.value?.schedule.length ?? 0) - 1)
  return {
    plan,
    step,
    index,
    time,
    bowl,
    tasks,
    turn,
    gates,
    shown,
    following,
    waiting,
    talk,
    timers,
    isLast,
    saying,
  }
}
