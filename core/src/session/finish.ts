/** After the last step: tokens to count, until when leftovers keep, and clearing up dealt fairly. */
import { dayAfter } from '../amount/days'
import type { Keeps } from '../recipe/recipe'
import type { Plan } from '../plan/model/plan'
import { MET, TASTES, type KeptPlace, type FoodMeeting, type Taste } from './event'
import type { TableState } from './replay'

/** Rows of a pictograph: one token for each child, in the order of the seats. */
export const tally = (plan: Plan, state: TableState): { taste: Taste; who: string[] }[] =>
  TASTES.map((taste) => ({
    taste,
    who: plan.children.filter((c) => state.tastes[c.id] === taste).map((c) => c.id),
  }))

/** Days in the fridge at 5 °C or below. Source: FSA (2 days; cooked rice 24 hours), from memory. */
const FRIDGE_DAYS = 2
const RICE_DAYS = 1
const FREEZER_DAYS = 30
/** Taken home: kept at 5 °C or below, eaten within 24 hours. Source: common practice. */
const HOME_DAYS = 1

/**
 * The day until which what is left is eaten. In the fridge the recipe may say less than the rule, never more; for the tin and the
 * freezer its own word stands.
 * @param made day of the session
 * @param keeps of the recipe
 */
export function leftoverUntil(
  plan: Pick<Plan, 'bowls'>,
  made: string,
  keeps: readonly Keeps[],
  place: KeptPlace,
): string {
  const own = (where: Keeps['where']): number | undefined => keeps.find((k) => k.where === where)?.days
  const rice = plan.bowls.some((b) =>
    b.lines.some((l) => l.food.startsWith('rice-') && l.food !== 'rice-flour'),
  )
  const fridge = Math.min(own('fridge') ?? FRIDGE_DAYS, rice ? RICE_DAYS : FRIDGE_DAYS)
  const days = {
    // Where the recipe does not say that it keeps in a tin, it is eaten today.
    room: own('room') ?? 0,
    fridge,
    freezer: own('freezer') ?? FREEZER_DAYS,
    home: Math.min(HOME_DAYS, Math.max(fridge, own('room') ?? 0)),
  }[place]
  return dayAfter(made, days)
}

/**
 * Where leftovers of this recipe may be kept: in a tin only where it says so; in the freezer not where it says how it keeps and names no
 * freezer.
 */
export function keptPlaces(keeps: readonly Keeps[]): KeptPlace[] {
  const says = (where: Keeps['where']): boolean => keeps.some((k) => k.where === where)
  const freezer: KeptPlace[] = keeps.length === 0 || says('freezer') ? ['freezer'] : []
  return ['fridge', ...freezer, ...(says('room') ? (['room'] as const) : []), 'home']
}

interface CleanJob {
  job: string
  fromMonths: number
  /** Wet hands. */
  wet?: true
}
/** Source: common practice (clearing up is part of the activity), from memory. Hot and sharp things are an adult's. */
const CLEAN_JOBS: CleanJob[] = [
  { job: 'collect the spoons and count them', fromMonths: 24 },
  { job: 'carry the empty bowls to the sink', fromMonths: 30 },
  { job: 'wipe the table, one half', fromMonths: 24, wet: true },
  { job: 'wipe the table, the other half', fromMonths: 24, wet: true },
  { job: 'wash the bowls', fromMonths: 36, wet: true },
  { job: 'dry the bowls', fromMonths: 30 },
  { job: 'put the measures back in the box', fromMonths: 36 },
  { job: 'sweep the floor', fromMonths: 42 },
  { job: 'hold the dustpan', fromMonths: 30 },
  { job: 'take the scraps to the compost, with an adult', fromMonths: 36 },
  { job: 'roll up the mats', fromMonths: 24 },
  { job: 'fold the aprons', fromMonths: 36 },
]

/**
 * Clearing up, one job for each child who can: those with the fewest jobs today choose first, so that the hands that did least at the
 * table do it now. A child without wet hands gets a dry job.
 * @param dry children who do not touch what is wet
 */
export function cleanUp(
  plan: Plan,
  state: TableState,
  dry: readonly string[] = [],
): { job: string; child: string; done: boolean }[] {
  const did = (child: string): number =>
    Object.values(state.turns).filter((t) => t.child === child && !t.skipped).length
  const order = [...plan.children].sort((a, b) => did(a.id) - did(b.id) || a.months - b.months)
  const free = [...CLEAN_JOBS]
  const dealt: { job: string; child: string }[] = []
  // The youngest of the fewest have the least choice: they choose before the older ones of as many.
  for (const child of order) {
    const at = free.findIndex((j) => child.months >= j.fromMonths && !(j.wet && dry.includes(child.id)))
    const [job] = at < 0 ? [] : free.splice(at, 1)
    if (job) dealt.push({ job: job.job, child: child.id })
  }
  return dealt.map((d) => ({ ...d, done: state.cleaned.some((c) => c.job === d.job) }))
}

/** Tapped again it is the next way; the first tap says `tasted`, which is noted most. */
export const nextMet = (how: FoodMeeting | undefined): FoodMeeting =>
  MET[(how ? MET.indexOf(how) + 1 : MET.indexOf('tasted')) % MET.length] ?? 'tasted'

/** Foods of the session that a child can meet, each once, and of how many children that is noted; water is none. */
export const foodsMet = (plan: Plan, state: TableState): { food: string; name: string; noted: number }[] => {
  const names = new Map(
    plan.bowls
      .flatMap((b) => b.lines)
      .filter((l) => l.food !== 'water')
      .map((l) => [l.food, l.name]),
  )
  const noted = (food: string): number => Object.values(state.met).filter((m) => m[food]).length
  return [...names].map(([food, name]) => ({ food, name, noted: noted(food) }))
}
