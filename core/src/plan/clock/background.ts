import { isHot, type Ahead, type Recipe } from '../../recipe/recipe'
import type { PlanAdult } from '../model/request'
import { staysAt } from '../model/task-kinds'
import { clockAfter } from '../../amount/clock-time'
import type { Background, StepTime, Task } from '../model/task'

/** Minutes an oven takes to heat up. Source: common practice (measures.md G), from memory. */
const PREHEAT_MINUTES = 15
const SWITCH_SECONDS = 30

/**
 * Leads that common practice knows: charcoal wants up to an hour before it glows evenly, wooden sticks soak half an hour so that
 * they do not burn, a griddle five minutes. Source: common practice, from memory.
 */
const KNOWN: readonly { what: RegExp; says: string; minutes: number; seconds: number; heat?: true }[] = [
  { what: /charcoal|embers/i, says: 'Charcoal lit', minutes: 60, seconds: 600, heat: true },
  { what: /griddle|skillet/i, says: 'Griddle on', minutes: 5, seconds: 30, heat: true },
  { what: /wooden (stick|skewer)/i, says: 'Wooden sticks in water', minutes: 30, seconds: 60 },
]

/** Everything ahead of a recipe: what it says itself, and what its oven, fire and sticks need. */
export function preparationsOf(recipe: Recipe): Ahead[] {
  const own = recipe.ahead ?? []
  const oven = recipe.steps.find((s) => s.tasks.some((t) => t.place === 'oven'))
  const hot = recipe.steps.find((s) => s.tasks.some((t) => isHot(t.place)))
  const last = recipe.steps.at(-1)
  const known = KNOWN.flatMap((k): Ahead[] => {
    const step = (k.heat ? hot : undefined) ?? hot ?? last
    const there = recipe.equipment.some((e) => k.what.test(e))
    const { says, minutes, seconds, heat } = k
    return there && step ? [{ says, step: step.id, minutes, seconds, ...(heat && { heat }) }] : []
  })
  return [
    ...(oven
      ? [{ says: 'Oven on', step: oven.id, minutes: PREHEAT_MINUTES, seconds: SWITCH_SECONDS, heat: true }]
      : []),
    ...known,
    ...own,
  ].filter((a, i, all) => all.findIndex((b) => b.step === a.step && b.says === a.says) === i)
}

export function background(
  recipe: Recipe,
  schedule: readonly StepTime[],
  tasks: readonly Task[],
  adults: readonly PlanAdult[],
  startsAt: string,
): Background[] {
  return preparationsOf(recipe)
    .flatMap((ahead): Background[] => {
      const step = schedule.find((s) => s.step === ahead.step)
      if (!step) return []
      const inSitting = new Set(schedule.filter((s) => s.sitting === step.sitting).map((s) => s.step))
      const last = step.start - ahead.minutes * 60 - ahead.seconds
      const able = adults.filter((a) => !ahead.heat || a.leads.includes('heat'))
      const free = latestFree(
        last,
        ahead.seconds,
        able,
        tasks.filter((t) => inSitting.has(t.step)),
      )
      const start = free?.at ?? last
      return [
        {
          says: ahead.says,
          step: ahead.step,
          sitting: step.sitting,
          ...(free && { adult: free.adult }),
          start,
          seconds: ahead.seconds,
          ready: step.start,
          at: clockAfter(startsAt, Math.floor(start / 60) + 24 * 60),
        },
      ]
    })
    .sort((a, b) => a.sitting - b.sitting || a.start - b.start)
}

/** The latest moment, at the given one or before, at which one of these adults has their hands free so long. */
function latestFree(
  last: number,
  seconds: number,
  adults: readonly PlanAdult[],
  tasks: readonly Task[],
): { at: number; adult: string } | null {
  let best: { at: number; adult: string } | null = null
  for (const { id } of adults) {
    const busy = tasks.flatMap((t) =>
      t.adult === id && (t.mode !== 'WAIT' || staysAt(t)) && t.start !== undefined && t.end !== undefined
        ? [{ start: t.start, end: t.end }]
        : [],
    )
    let at = last
    for (let again = true; again;) {
      const hit = busy.find((b) => b.start < at + seconds && at < b.end)
      again = hit !== undefined
      if (hit) at = hit.start - seconds
    }
    if (!best || at > best.at) best = { at, adult: id }
  }
  return best
}
