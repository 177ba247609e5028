/**
 * All that is said in a session, slot by slot in its order: as they arrive, at the tap, reading, as a step begins, in each turn,
 * in each wait, at the tasting, looking back. Derived from the plan; no line comes twice at one bowl but routines.
 */
import type { TalkLine, Moment } from '../../learn/line/line'
import { scoopsBefore } from '../../plan/model/task-kinds'
import type { Plan } from '../../plan/model/plan'
import type { StepTalk } from '../../plan/model/step-talk'
import type { Task, Turn } from '../../plan/model/task'
import { arriving, beginning, finishing, reading } from './around'
import { Beside } from './beside'
import type { Hearing, Slot, Speaker } from './hearing'
import { Said } from './said'
import { turnLines } from './turn-lines'
import { waitLines } from './wait-lines'

/** So many lines are kept for "another". */
const OTHERS = 4

/** @param speakers languages at home, where they are known */
export function scriptOf(plan: Plan, speakers: readonly Speaker[] = []): Slot[] {
  return plan.bowls.flatMap((bowl) => bowlScript(plan, bowl.id, speakers))
}

function bowlScript(plan: Plan, bowl: string, speakers: readonly Speaker[]): Slot[] {
  const crew = plan.bowls.find((b) => b.id === bowl)?.children ?? []
  const months = crew.flatMap((id) => plan.children.find((c) => c.id === id)?.months ?? [])
  const hearing: Hearing = { plan, bowl, crew, months, speakers }
  const said = new Said(plan)
  const beside = new Beside(hearing)
  const slots: Slot[] = []
  const add = (slot: Omit<Slot, 'key' | 'bowl' | 'lines'>, lines: readonly TalkLine[], first = 1): void => {
    const chosen = said.choose(lines, slot.step, first, OTHERS)
    if (chosen.length > 0)
      slots.push({
        ...slot,
        key: `${bowl} ${slot.step ?? ''} ${slot.turn ?? slot.moment}`,
        bowl,
        lines: chosen,
      })
  }
  add({ moment: 'arrive', step: null, child: null }, arriving(hearing, beside), 3)
  for (const time of plan.schedule) {
    const talk = plan.talk.find((t) => t.step === time.step)
    if (!talk) continue
    if (time === plan.schedule[0])
      add({ moment: 'read', step: time.step, child: null }, reading(hearing, talk), 2)
    const tasks = plan.tasks.filter((t) => t.step === time.step && t.bowl === bowl)
    add({ moment: 'begin', step: time.step, child: null }, beginning(hearing, time, talk, beside), 4)
    for (const task of tasks)
      for (const slot of taskSlots(hearing, talk, task, beside)) add(slot.slot, slot.lines, slot.first)
  }
  add({ moment: 'look-back', step: null, child: null }, finishing(hearing), 3)
  return slots
}

interface Draft {
  slot: Omit<Slot, 'key' | 'bowl' | 'lines'>
  lines: TalkLine[]
  first: number
}

function taskSlots(hearing: Hearing, talk: StepTalk, task: Task, beside: Beside): Draft[] {
  const { plan } = hearing
  const { step } = task
  if (task.mode === 'WAIT' || task.mode === 'ADULT')
    return [
      {
        slot: { moment: 'wait', step, child: null, turn: task.id },
        lines: waitLines(hearing, talk, task, beside),
        first: 2,
      },
    ]
  const turns = plan.turns.filter((t) => t.task === task.id)
  return turns.map((turn, i) => turnSlot(hearing, talk, task, turn, i, i === turns.length - 1))
}

/** @param last of the task: after it there is nobody to hand on to */
const turnSlot = (
  hearing: Hearing,
  talk: StepTalk,
  task: Task,
  turn: Turn,
  i: number,
  last: boolean,
): Draft => ({
  slot: { moment: momentOf(task), step: task.step, child: turn.child, turn: turn.id },
  lines: turnLines(hearing, talk, task, {
    child: turn.child,
    i,
    k: scoopsBefore(task, turn, i),
    key: turn.id,
    last,
  }),
  first: 1,
})

const momentOf = (task: Task): Moment =>
  task.technique === 'wash-hands' ? 'wash' : task.technique === 'taste' ? 'taste' : 'turn'
