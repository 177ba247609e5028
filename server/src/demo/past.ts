/** A past session of the demo: settled as a careful leader would, and cooked turn by turn, all through core. */
import { randomUUID } from 'node:crypto'
import { HOWS } from '@lea/core/craft'
import { ANSWERS } from '@lea/core/learn'
import {
  type Decision,
  type Finding,
  type Plan,
  type PlanRequest,
  compile,
  decide,
  openStops,
} from '@lea/core/plan'
import { type EventBody, TASTES, type TableEvent, openGates, replay } from '@lea/core/session'
import type { StoredSession } from '@lea/core/setting'

/** Settles stop after stop: a change first, then the packet read, a written reason last. */
export function settled(request: PlanRequest): { plan: Plan; decisions: Decision[] } {
  let decisions: Decision[] = []
  const readBy = request.adults.slice(0, 2).map((a) => a.id)
  if (readBy.length === 1) readBy.push(readBy[0] ?? '')
  for (let round = 0; round < 60; round++) {
    const plan = compile({ ...request, decisions })
    const stop = openStops(plan)[0]
    if (!stop) return { plan, decisions }
    decisions = decide(decisions, firstFix(stop, decisions, readBy, request))
  }
  throw new Error(`the demo session '${request.recipe.title}' does not settle`)
}

function firstFix(
  stop: Finding,
  made: readonly Decision[],
  readBy: string[],
  request: PlanRequest,
): Decision {
  for (const { action } of stop.fixes) {
    if (
      action.do === 'decide' &&
      !made.some((d) => 'line' in d && 'line' in action.decision && d.line === action.decision.line)
    ) {
      return action.decision
    }
    if (action.do === 'read-packet') {
      const at = `${request.session.date}T${request.session.start}:00Z`
      return { kind: 'packet', food: action.food, lists: [], may: [], lookedFor: action.lookFor, readBy, at }
    }
  }
  return {
    kind: 'clear',
    finding: stop.id,
    cause: stop.cause,
    who: readBy[0] ?? '',
    why: 'Agreed with the family that morning; an own portion without it was made first and covered.',
    at: `${request.session.date}T${request.session.start}:00Z`,
  }
}

/** The events of a whole session: gates, steps, turns, tastes, a note and the three lines. */
export function cooked(plan: Plan, session: StoredSession, memo: string[]): TableEvent[] {
  const events: TableEvent[] = []
  const begin = Date.parse(`${session.date}T${session.start}:00Z`)
  const adults = session.adults
  const add = (seconds: number, event: EventBody): void => {
    const at = new Date(begin + seconds * 1000).toISOString()
    events.push({ id: randomUUID(), device: 'demo', lamport: events.length + 1, at, ...event })
  }
  add(0, { kind: 'begin', body: {} })
  for (const step of plan.schedule) {
    for (const need of openGates(plan, replay(events), step.step)) {
      if (need.gate === 'arrival') continue
      if (need.gate === 'core') {
        for (const { food, name } of need.probes)
          add(step.start, {
            kind: 'temperature',
            body: { what: name, food, celsius: 76.5, held: 40, by: adults[0] ?? '', from: 'probe' },
          })
        continue
      }
      const by = need.gate === 'packets' ? adults.slice(0, 2) : adults.slice(0, 1)
      add(step.start, {
        kind: 'gate',
        body: {
          gate: need.gate,
          by,
          ...(need.gate === 'stand' && { step: step.step }),
          ...(need.gate === 'packets' && { foods: need.foods }),
          ...(need.gate === 'plans' && { children: need.children }),
        },
      })
    }
    add(step.start, { kind: 'step', body: { step: step.step } })
    for (const turn of plan.turns) {
      const task = plan.tasks.find((t) => t.id === turn.task)
      if (task?.step === step.step)
        add(turn.end, { kind: 'turn', body: { turn: turn.id, child: turn.child } })
    }
  }
  const end = plan.totals.seconds
  plan.children.forEach(({ id }, i) => {
    const taste = TASTES[(i * 7 + plan.recipe.title.length) % TASTES.length] ?? 'tried'
    add(end, { kind: 'taste', body: { child: id, taste } })
  })
  // One technique of each child, as somebody saw it.
  plan.children.forEach(({ id }, i) => {
    const own = plan.turns.filter((t) => t.child === id)
    const technique = plan.tasks.find((t) => t.id === own[i % Math.max(1, own.length)]?.task)?.technique
    const how = HOWS[(i * 5 + plan.recipe.title.length) % 3]
    if (technique && how) add(end, { kind: 'skill', body: { child: id, technique, how } })
  })
  // What was noted of the questions: most are answered, some with help, some another day.
  plan.talk
    .flatMap((t) => t.asks ?? [])
    .forEach((ask, i) => {
      const how = ANSWERS[(i * 3 + plan.recipe.title.length) % ANSWERS.length]
      if (ask.child && ask.target && how)
        add(end, {
          kind: 'talk',
          body: { child: ask.child, target: ask.target, how, level: ask.level, food: plan.recipe.title },
        })
    })
  const quiet = plan.children[plan.recipe.title.length % plan.children.length]
  if (quiet) add(end, { kind: 'note', body: { text: 'Counted aloud without help.', child: quiet.id } })
  add(end, { kind: 'memo', body: { lines: memo } })
  add(end, { kind: 'finish', body: {} })
  return events
}
