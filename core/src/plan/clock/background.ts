import { HEAT_PLACES, placeNamed } from '../../recipe/heat-places'
import { isHot, type Ahead, type Recipe } from '../../recipe/recipe'
import type { PlanAdult } from '../model/request'
import { staysAt } from '../model/task-kinds'
import { clockAfter } from '../../amount/clock-time'
import type { Background, StepTime, Task } from '../model/task'

const SWITCH_SECONDS = 30
/** Charcoal wants laying and lighting. Source: common practice, from memory. */
const LIGHT_SECONDS = 600
/** Wooden sticks soak half an hour so that they do not burn. Source: common practice, from memory. */
const SOAK_MINUTES = 30

/** Everything ahead of a recipe: what it says itself, and what its hot places and its wooden sticks need. */
export function preparationsOf(recipe: Recipe): Ahead[] {
  const own = recipe.ahead ?? []
  const places = recipe.equipment.flatMap((e) => placeNamed(e) ?? [])
  const hot = recipe.steps.find((s) => s.tasks.some((t) => isHot(t.place)))
  const heated = HEAT_PLACES.flatMap((place): Ahead[] => {
    const at = recipe.steps.find((s) => s.tasks.some((t) => t.place === place.id))
    // "Griddle" among the things, and a hob in the steps: it is the pan that is heated.
    const step = at ?? (places.includes(place) && place.id !== 'kettle' ? hot : undefined)
    if (!step || place.lead === undefined) return []
    const seconds = place.id === 'fire' ? LIGHT_SECONDS : SWITCH_SECONDS
    return [{ says: place.lead, step: step.id, minutes: place.leadMinutes, seconds, heat: true }]
  })
  const sticks = recipe.equipment.some((e) => /wooden (?:stick|skewer)/i.test(e))
  const last = hot ?? recipe.steps.at(-1)
  return [
    ...heated,
    ...(sticks && last
      ? [{ says: 'Wooden sticks in water', step: last.id, minutes: SOAK_MINUTES, seconds: 60 }]
      : []),
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
  const given: Background[] = []
  for (const ahead of preparationsOf(recipe)) {
    const step = schedule.find((s) => s.step === ahead.step)
    if (!step) continue
    const inSitting = new Set(schedule.filter((s) => s.sitting === step.sitting).map((s) => s.step))
    const last = step.start - ahead.minutes * 60 - ahead.seconds
    const able = adults.filter((a) => !ahead.heat || a.leads.includes('heat'))
    const busy = [
      ...tasks.filter((t) => inSitting.has(t.step) && (t.mode !== 'WAIT' || staysAt(t))),
      ...given
        .filter((b) => b.sitting === step.sitting)
        .map((b) => ({ adult: b.adult, start: b.start, end: b.start + b.seconds })),
    ]
    const free = latestFree(last, ahead.seconds, able, busy)
    const start = free?.at ?? last
    given.push({
      says: ahead.says,
      step: ahead.step,
      sitting: step.sitting,
      ...(free && { adult: free.adult }),
      start,
      seconds: ahead.seconds,
      ready: step.start,
      at: clockAfter(startsAt, Math.floor(start / 60) + 24 * 60),
    })
  }
  return given.sort((a, b) => a.sitting - b.sitting || a.start - b.start)
}

/** The latest moment, at the given one or before, at which one of these adults has their hands free so long. */
function latestFree(
  last: number,
  seconds: number,
  adults: readonly PlanAdult[],
  work: readonly { adult?: string | undefined; start?: number; end?: number }[],
): { at: number; adult: string } | null {
  let best: { at: number; adult: string } | null = null
  for (const { id } of adults) {
    const busy = work.flatMap((t) =>
      t.adult === id && t.start !== undefined && t.end !== undefined ? [{ start: t.start, end: t.end }] : [],
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
