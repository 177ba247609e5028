/**
 * How hot it is at each job of a recipe: what the words of its own clause say, what was hot before and has not cooled, what a line brings
 * ("boiling water"). Safe order: hot until something says that it is not. Common practice for the words, from memory.
 */
import type { RecipeStep, RecipeTask } from '../recipe'
import { isHeat, textOf, type StateLine } from './cooking'
import { coolsIn, heatIn, stillHot } from './heat-words'
import { HARMLESS_BY_HEAT } from './harmless'

export type HeatLevel = 'scalding' | 'hot'
/** Deep oil: nobody but the adult is in the room. */
export const isDeepOil = (step: RecipeStep): boolean =>
  step.tasks.some((t) => t.technique === 'deep-fry') ||
  /\bdeep[ -]?fr(?:y|ies|ied|ying)\b|\boil for deep\b/i.test(textOf(step))

/** A wait so long at a table lets a dish cool to what hands bear; a fridge does. Common practice. */
const COOLING_S = 600
const cools = (task: RecipeTask): boolean =>
  task.mode === 'WAIT' &&
  !isHeat(task) &&
  (task.place === 'fridge' ||
    task.place === 'freezer' ||
    task.seconds >= COOLING_S ||
    task.technique === 'taste')

const VESSEL = /\b(?:bowls?|boards?|jars?|trays?|plates?|beakers?|cups?|sieve|mugs?|box|cases)\b/i
/** Something is put to what is there: "stir in the cheese"; "whisk the eggs" is a work of its own. */
const JOINS = /\b(?:in|into|add|pour|over|onto|to|with|on top|through|tip)\b/i
const BACK_TO_HOT = /\b(?:pans?|pots?|soup|broth|stew|sauce|kettle|oven|hob|hot|griddle|grill)\b/i
/** Jobs at which something hot runs and splashes. */
const LIQUID = new Set(['pour-liquid', 'rinse-drain-cold', 'fill-cases', 'serve-self'])
/** Eaten, not worked with: what reaches a child is tested by an adult (hygiene notes), and is not taken away. */
const EATING = new Set(['taste', 'serve-self', 'lay-table'])

interface Said {
  /** The clauses that name what the task does. */
  own: string
  /** The text up to and with the last of them. */
  before: string
}

/** Where a step's words speak of a task; null where they do not. A title says again what the first clause says. */
function spokenOf(task: RecipeTask, text: string): Said | null {
  const verb =
    VERB_STEMS[task.technique] ?? new RegExp(`\\b${(task.technique.split('-')[0] ?? '').slice(0, 5)}`, 'i')
  const clauses = text.split(
    /(?<=[.;:,!?])\s+|\s(?=(?:then|and then|until|while(?! (?:it|they|still|hot|warm)\b))\s)/,
  )
  const own = clauses.filter((c) => verb.test(c))
  if (own.length === 0) return null
  const last = clauses.lastIndexOf(own.at(-1) ?? '')
  return { own: own.join(' '), before: clauses.slice(0, last + 1).join(' ') }
}
const VERB_STEMS: Record<string, RegExp> = {
  'pour-liquid': /\b(?:pour|tip|add)/i,
  'pour-dry': /\b(?:pour|tip|add|scoop|shake)/i,
  'level-scoop': /\b(?:scoop|spoon|level|measure|add)/i,
  'cut-soft-table-knife': /\b(?:cut|slice|chop|halve)/i,
  'bridge-cut': /\b(?:cut|slice|chop|halve)/i,
  'claw-cut': /\b(?:cut|slice|chop)/i,
  'peel-hand': /\bpeel/i,
  'peel-peeler': /\bpeel/i,
  'toss-coat': /\b(?:toss|coat|turn)/i,
  'fill-cases': /\b(?:fill|spoon|ladle|put|divide)/i,
  'wash-produce': /\b(?:wash|scrub|rinse|rub)/i,
  stir: /\b(?:stir|mix|combine|beat)/i,
  whisk: /\b(?:whisk|beat)/i,
  'serve-self': /\b(?:serve|help|choose|ladle)/i,
  'snip-scissors': /\bsnip/i,
  'rinse-drain-cold': /\b(?:rinse|drain)/i,
  'brush-glaze': /\b(?:brush|glaze)/i,
}

const worse = (a: HeatLevel | null, b: HeatLevel | null): HeatLevel | null =>
  a === 'scalding' || b === 'scalding' ? 'scalding' : (a ?? b)

/** Above this water begins to scald. Source: HSE on hot water outlets, 44 °C, from memory; a degree less, to be sure. */
const SCALDS_FROM = 43
/** It is warmed to the hand and no further: milk for yeast, "to 37 °C". */
const isLukewarm = (step: RecipeStep): boolean =>
  heatIn(textOf(step)) === null &&
  step.tasks.some((t) => isHeat(t) && t.celsius !== undefined && t.celsius <= SCALDS_FROM) &&
  step.tasks.every((t) => !isHeat(t) || t.celsius === undefined || t.celsius <= SCALDS_FROM)

/** The text names the line's food by its last word: "through the pasta". */
const saysName = ({ name }: StateLine, text: string): boolean => {
  const last = (name.split(' ').at(-1) ?? name).toLowerCase().replace(/(?:es|s)$/, '')
  return last.length > 3 && text.toLowerCase().includes(last)
}

/** By step, one for each of its tasks. */
export function heatOf(
  steps: readonly RecipeStep[],
  lines: readonly StateLine[],
): Map<string, (HeatLevel | null)[]> {
  const out = new Map<string, (HeatLevel | null)[]>()
  /** Something hot stands there, and whether the work is at it or at another vessel. */
  let carried: HeatLevel | null = null
  let elsewhere = false
  /** What the last heat was for. */
  let heatedLines: StateLine[] = []
  for (const step of steps) {
    const text = textOf(step)
    // What was made ready for it goes in here.
    const parts = [step, ...steps.filter((s) => s.readies === step.id)]
    const used = lines.filter((l) => parts.some((p) => p.uses.some((u) => u.line === l.line)))
    const brought = used.reduce<HeatLevel | null>(
      (h, l) => worse(h, stillHot(`${l.name}, ${l.prep ?? ''}`)),
      null,
    )
    // It stands at the table beside what is hot, and neither cools it nor takes part in it.
    if (step.readies !== undefined && steps.some((s) => s.id === step.readies)) {
      const level = worse(brought, heatIn(text))
      out.set(
        step.id,
        step.tasks.map((t) => (t.mode === 'ADULT' || t.mode === 'WAIT' ? null : level)),
      )
      continue
    }
    const own = heatIn(text)
    if (
      own !== null ||
      used.length === 0 ||
      BACK_TO_HOT.test(text) ||
      heatedLines.some((l) => saysName(l, text))
    )
      elsewhere = false
    else if (
      carried !== null &&
      (VESSEL.test(text) || !JOINS.test(text) || step.tasks.every((t) => HARMLESS_BY_HEAT.has(t.technique)))
    )
      elsewhere = true
    const firstCool = step.tasks.findIndex(cools)
    const levels = step.tasks.map((task, i): HeatLevel | null =>
      isHeat(task) || task.mode === 'WAIT' || task.mode === 'ADULT'
        ? null
        : levelAt({
            task,
            text,
            own,
            brought,
            heatedHere: step.tasks.slice(0, i).some(isHeat) && !isLukewarm(step),
            cooled: firstCool >= 0 && firstCool < i,
            carried: elsewhere ? null : carried,
          }),
    )
    out.set(step.id, levels)
    // What it is when the step ends.
    const heated = step.tasks.some(isHeat) && !isLukewarm(step)
    const end = worse(stillHot(text), brought)
    if (heated) heatedLines = lines.filter((l) => used.includes(l) || saysName(l, text))
    if (heated) carried = worse(end, 'hot')
    else if (end !== null) carried = end
    if (firstCool >= 0 || (!heated && end === null && coolsIn(text))) carried = null
  }
  return out
}

interface At {
  task: RecipeTask
  text: string
  own: HeatLevel | null
  brought: HeatLevel | null
  heatedHere: boolean
  cooled: boolean
  carried: HeatLevel | null
}

function levelAt({ task, text, own, brought, heatedHere, cooled, carried }: At): HeatLevel | null {
  const at = spokenOf(task, text)
  if (HARMLESS_BY_HEAT.has(task.technique)) return at && !cooled ? heatIn(at.own) : null
  // A measure of something hot is hot, whatever the step says of cooling later.
  if (task.measures && brought !== null) return brought
  if (cooled) return at ? heatIn(at.own) : null
  const said = at ? worse(stillHot(at.before), heatIn(at.own)) : own
  if (EATING.has(task.technique)) return at ? heatIn(at.own) : null
  if (said !== null) return worse(said, task.measures ? null : brought)
  if (at && coolsIn(at.before)) return null
  if (!at && own === null && coolsIn(text)) return null
  // What boiled a step ago scalds as a liquid; what has been drained or stirred since is hot.
  const before = carried === 'scalding' && !LIQUID.has(task.technique) ? 'hot' : carried
  return worse(heatedHere ? 'hot' : before, task.measures ? null : brought)
}
