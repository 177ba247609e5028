/**
 * Which jobs and tools the words of a question name, and what a child of an age may do of them. Heat and raw meat are asked about whatever
 * the verb is: to stir hot caramel is to stir, and an adult's.
 */
import { formFor, isFor } from '../../craft/form'
import { toolName } from '../../craft/tools'
import { techniqueOf, TECHNIQUES, type Rung, type Technique } from '../../craft/techniques'
import { foodsStanding } from '../../food/food-names'
import { rawKindOf } from '../../food/foods'
import { formsInName, SOFTENED } from '../../food/by-age/forms'
import { hasWord } from '../../food/by-age/named'
import { normaliseLabel } from '../../food/label/text'
import { ADULT_TOOLS, HANDLES, JOB_WORDS, KNIFE_WORDS } from './advice-words'
import { HARMLESS_BY_HEAT } from '../states/harmless'
import { coolsIn, panIn, stillHot } from '../states/heat-words'
import type { Advice } from '../verdict'

type Knife = (typeof KNIFE_WORDS)[number]

const isHazard = (t: Technique): boolean =>
  t.hazard !== undefined || t.supervision.every((s) => s.code === 'A') || t.supervision[0]?.code === 'A'

/** Jobs that the words name; of how it is done, those that can hurt. */
export function jobsIn(what: string, as: string): Technique[] {
  const named = (text: string, asked: boolean): Technique[] => {
    const ids = JOB_WORDS.filter(
      ({ all, only }) =>
        (only === undefined || asked) &&
        all.every((words) => words.some((w) => (only === 'first' ? startsWith(text, w) : hasWord(text, w)))),
    ).map((j) => j.id)
    return TECHNIQUES.filter(
      (t) =>
        ids.includes(t.id) || (asked && (hasWord(text, t.id.replace(/-/g, ' ')) || hasWord(text, t.name))),
    )
  }
  // "Yeast extract spread" is a food, and nobody is asked to spread.
  const standing = foodsStanding(what).filter(({ name }) => name.includes(' '))
  const own = named(
    standing.reduce((text, { name }) => text.replaceAll(name, ' '), normaliseLabel(what)),
    true,
  )
  const how = named(as, false).filter((t) => isHazard(t) && !own.includes(t))
  return [...own, ...how]
}

const startsWith = (text: string, word: string): boolean => `${normaliseLabel(text)} `.startsWith(`${word} `)

/** Knives and the like that the words name. */
export const knivesIn = (text: string): Knife[] =>
  KNIFE_WORDS.filter((k) => k.words.some((w) => hasWord(text, w)))

const COOKED = /\b(?:cooked|roasted|leftover|left over|tinned|canned|smoked|ready to eat|fish fingers?)\b/i

/** Raw meat, poultry, fish or shellfish is named, and nothing says that it is cooked. */
export function rawMeatIn(text: string): boolean {
  if (
    /\braw\b/i.test(text) &&
    /\b(?:meat|mince|burgers?|meatballs?|sausage|poultry|fish|shellfish|kebabs?)\b/i.test(text)
  )
    return true
  if (COOKED.test(text)) return false
  if (/\b(?:burgers?|meatballs?|sausage ?meat|mince|koftas?|kebabs?|goujons?|fish ?cakes?)\b/i.test(text))
    return true
  return foodsStanding(text).some(({ food }) => {
    const kind = rawKindOf(food)
    return kind !== null && kind !== 'egg' && kind !== 'flour'
  })
}

/** What is asked of each job, and of the heat and the raw meat around it; the gravest of equals first. */
export function adviseJobs(
  jobs: readonly Technique[],
  months: number,
  text: string,
  tools: readonly Knife[],
): Advice[] {
  const all = new Set(jobs)
  const handles = HANDLES.test(text.trim())
  const touches = handles || jobs.some((t) => !HARMLESS_BY_HEAT.has(t.id))
  const add = (id: string): void => {
    const technique = techniqueOf(id)
    if (technique) all.add(technique)
  }
  const heat = stillHot(text) ?? (panIn(text) && !coolsIn(text) ? 'hot' : null)
  if (touches && heat !== null) add(heat === 'scalding' && !hasWord(text, 'hob') ? 'carry-hot' : 'use-hob')
  if ((handles || jobs.length > 0) && rawMeatIn(text)) add('handle-raw-meat')
  const foods = all.size > 0 ? foodsIn(text) : []
  const adultTool = ADULT_TOOLS.find((t) => t.words.some((w) => hasWord(text, w)))
  return [
    ...(adultTool ? [adviseAdultTool(adultTool)] : []),
    ...[...all]
      .sort((a, b) => Number(isHazard(b)) - Number(isHazard(a)))
      .map((job) => adviseJob(job, months, { text, tools, foods })),
  ]
}

const adviseAdultTool = (tool: (typeof ADULT_TOOLS)[number]): Advice => ({
  result: 'adult',
  until: null,
  do: 'An adult does it; children stand behind the line.',
  because: tool.because,
  source: 'makers’ manuals; common practice, from memory',
  matched: tool.id,
})

/** What the hands work on, as it is: cooked soft or grated it is no hard food. */
const foodsIn = (text: string): string[] =>
  formsInName(text)
    .flat()
    .some((f) => SOFTENED.has(f))
    ? []
    : foodsStanding(text).map(({ food }) => food.id)

const age = (months: number): string => (months % 12 === 0 ? `${months / 12} years` : `${months} months`)

interface Asked {
  text: string
  tools: readonly Knife[]
  /** What the hands work on. */
  foods: readonly string[]
}
function adviseJob(job: Technique, months: number, { text, tools, foods }: Asked): Advice {
  const base = { source: `${job.source} (from memory)`, matched: job.id }
  if (job.id === 'deep-fry')
    return { ...base, result: 'stop', until: null, do: 'Not with children in the room.', because: job.cue }
  const form = formFor(job, months, { foods })
  if (form.kind === 'adult') {
    const from = job.supervision.find((s) => s.code === 'A')?.below ?? null
    return {
      ...base,
      result: 'adult',
      until: from,
      do: 'An adult does it; children stand behind the line.',
      because: form.why,
    }
  }
  if (form.kind === 'not-yet') {
    const from = job.supervision.find((s) => s.code === 'N')?.below ?? null
    const neighbour = job.neighbour ? job.neighbour.job : `watch, or a gentler job; ${job.name} ${form.why}`
    return { ...base, result: 'change', until: from, do: neighbour, because: `${job.name}: ${form.why}` }
  }
  const knife = tools.map((t) => adviseTool(t, months)).find((a) => a.result !== 'ok')
  if (knife && job.hazard === 'blade')
    return {
      ...knife,
      do: `${form.says || 'a gentler tool'}, an adult beside`,
      matched: `${job.id}/${knife.matched ?? ''}`,
    }
  const rung = job.hazard === 'blade' && tools.length > 0 ? undefined : tooEarlyRung(job, months, text, foods)
  if (rung) {
    return {
      ...base,
      result: 'change',
      until: rung.fromMonths,
      do: `${form.says || 'a softer food or tool'}, an adult beside`,
      because: `${job.name} ${rung.says}: from ${age(rung.fromMonths)}`,
    }
  }
  const beside =
    form.code === 'B'
      ? `an adult beside, at most ${form.perAdult} to an adult`
      : `one adult at the table, at most ${form.perAdult} children`
  return {
    ...base,
    result: 'ok',
    until: null,
    do: `${form.says ? `${form.says}; ` : ''}${beside}. ${job.cue}`,
    because: `${job.name}: the usual form at this age`,
  }
}

/** Words of a rung that name neither its tool nor its food. */
const PLAIN = new Set(['cooked', 'soft', 'small', 'with', 'hand', 'piece', 'adult', 'full', 'first', 'over'])
const stem = (word: string): string => word.replace(/(es|s)$/, '')

/** A rung of the ladder whose tool or food the words name, and that comes later. */
function tooEarlyRung(
  job: Technique,
  months: number,
  text: string,
  foods: readonly string[],
): Rung | undefined {
  const words = new Set(
    normaliseLabel(text)
      .split(' ')
      .map(stem)
      .filter((w) => w.length > 3 && !PLAIN.has(w)),
  )
  const weight = ({ tool, was = '' }: Rung): number =>
    normaliseLabel(`${tool ? toolName(tool) : ''} ${was}`)
      .split(' ')
      .map(stem)
      .filter((w) => words.has(w)).length
  const ladder = job.ladder.filter((r) => foods.every((f) => isFor(r, f)))
  return [...ladder]
    .filter((r) => r.fromMonths > months && weight(r) > 0)
    .sort((a, b) => weight(b) - weight(a) || b.fromMonths - a.fromMonths)
    .find((r) => !ladder.some((o) => o.fromMonths <= months && weight(o) >= weight(r)))
}

/** A knife on its own. */
export function adviseTool(tool: Knife, months: number): Advice {
  const base = { source: 'common practice (knife ladder), from memory', matched: tool.id }
  if (tool.from === null)
    return {
      ...base,
      result: 'adult',
      until: null,
      do: 'An adult does it.',
      because: 'adult only at every age here',
    }
  if (months < tool.from)
    return {
      ...base,
      result: 'change',
      until: tool.from,
      do: 'a softer tool, an adult beside',
      because: `${tool.words[0] ?? tool.id}: from ${age(tool.from)}`,
    }
  return {
    ...base,
    result: 'ok',
    until: null,
    do: months < tool.overseen ? 'an adult beside' : 'one adult at the table',
    because: 'the usual tool at this age',
  }
}
