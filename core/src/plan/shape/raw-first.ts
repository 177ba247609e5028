/**
 * Produce before raw: what is eaten as it is comes to the table before raw meat, fish or egg does. Where a recipe has it the other way
 * round it is said, and the step can be moved where nothing stands against that.
 */
import { isHot, type Recipe, type RecipeStep } from '../../recipe/recipe'
import { isMeat, textOf, type StateLine } from '../../recipe/states/cooking'
import { stateLines, statesOf } from '../../recipe/states/hazards'
import { coolsIn, heatIn } from '../../recipe/states/heat-words'
import type { Adapted } from '../model/draft'
import { finding, type Finding } from '../model/finding'

/** Eating is no work with food. */
const NO_WORK = new Set(['taste', 'serve-self', 'lay-table', 'wash-hands', 'wipe-table'])

export function rawFirstFindings(draft: Adapted): Finding[] {
  const { recipe } = draft
  const lines = stateLines(draft.lines, draft.foods)
  const { cooking } = statesOf(recipe, lines)
  const rawAt = recipe.steps.findIndex((s) =>
    (cooking.at.get(s.id) ?? []).some((t) => t.touched.some((l) => isMeat(l.raw))),
  )
  const dirty = recipe.steps[rawAt]
  if (dirty === undefined || KEEPS_APART.test(`${textOf(dirty)} ${rawPreps(draft, lines)}`)) return []
  const never = new Set(cooking.neverCooked.map((l) => l.line))
  const asItIs = (l: StateLine): boolean =>
    l.raw === null && !never.has(l.line) && !isCookedFrom(recipe.steps.slice(rawAt + 1), l)
  return recipe.steps.slice(rawAt + 1).flatMap((step) => {
    const own = lines.filter((l) => step.uses.some((u) => u.line === l.line))
    const clean = own.filter(asItIs)
    if (clean.length === 0 || step.tasks.every((t) => NO_WORK.has(t.technique))) return []
    const names = [...new Set(clean.map((l) => l.name))]
    const may = mayMove(recipe, step, dirty)
    return [
      finding({
        rule: 'raw-first',
        pass: 'shape',
        grade: 'adult',
        subject: { step: step.id },
        touches: [],
        says: `${step.title}: ${names.join(' and ')} ${names.length > 1 ? 'are eaten as they are, and come' : 'is eaten as it is, and comes'} after raw ${rawWord(cooking.at.get(dirty.id) ?? [])} (${dirty.title}).`,
        because:
          'What raw meat, fish or poultry touched reaches everything that follows: hands, board, knife, cloth.',
        source: 'FSA; USDA (separate); Food Code 3-302, from memory',
        fixes: [
          ...(may
            ? [
                {
                  label: `Move this step before “${dirty.title}”`,
                  cost: 'the same work in a cleaner order',
                  action: {
                    do: 'decide' as const,
                    decision: { kind: 'move' as const, step: step.id, before: dirty.id },
                  },
                },
              ]
            : []),
          {
            label: 'Another board and knife, hands and table washed in between',
            cost: 'asked again at the table',
            action: { do: 'stand' },
          },
        ],
        dependsOn: [step.id, dirty.id, names],
      }),
    ]
  })
}

/** The recipe says itself that the raw food has its own board, and what is washed after it. */
const KEEPS_APART =
  /\b(?:own|separate|another|different|red|clean) (?:chopping )?boards?\b|\bwash(?:ed|es)? (?:\w+ ){0,4}(?:boards?|hands|kni(?:fe|ves)|everything)\b|\b(?:boards?|hands|kni(?:fe|ves)) (?:\w+ ){0,3}(?:are |is )?washed\b|\baway from the (?:table|children)\b/i
const rawPreps = ({ lines }: Adapted, states: readonly StateLine[]): string =>
  states
    .filter((l) => isMeat(l.raw))
    .flatMap((l) => lines.find((x) => x.line === l.line)?.prep ?? [])
    .join(' ')

/** A later heat takes it up, names it, or is a heat of everything that is there. */
const isCookedFrom = (steps: readonly RecipeStep[], line: StateLine): boolean =>
  steps.some(
    (s) =>
      s.tasks.some((t) => isHot(t.place) && t.place !== 'kettle') &&
      (s.uses.some((u) => u.line === line.line) || isNamedIn(line, s) || ALL_OF_IT.test(textOf(s))),
  )
const ALL_OF_IT =
  /\b(?:everything|it all|all of it|soup|broth|stew|curry|sauce|casserole|bake|pie|parcels?)\b/i
const isNamedIn = (line: StateLine, step: RecipeStep): boolean => {
  const words = textOf(step).toLowerCase()
  return line.food
    .replace(/^own:/, '')
    .split('-')
    .some((w) => w.length > 2 && words.includes(w.replace(/(?:es|s)$/, '')))
}

const rawWord = (tasks: readonly { touched: readonly StateLine[] }[]): string =>
  [...new Set(tasks.flatMap((t) => t.touched.filter((l) => isMeat(l.raw)).map((l) => l.name)))]
    .map((name) => name.replace(/^raw /, ''))
    .join(', ')

/**
 * A step goes before another where it takes up only what no step up to it took up, waits for nothing and is not about what is hot:
 * "scatter the herbs over the stew" stays where it is.
 */
function mayMove(recipe: Recipe, step: RecipeStep, before: RecipeStep): boolean {
  const [from, to] = [recipe.steps.indexOf(step), recipe.steps.indexOf(before)]
  const between = recipe.steps.slice(to, from)
  const text = textOf(step)
  return (
    !step.nextSitting &&
    between.every((s) => !s.nextSitting) &&
    step.tasks.every((t) => t.mode !== 'WAIT' && !isHot(t.place)) &&
    heatIn(text) === null &&
    !coolsIn(text) &&
    !JOINS_WHAT_IS_THERE.test(text) &&
    !between.some((s) => s.uses.some((u) => step.uses.some((v) => v.line === u.line)))
  )
}
const JOINS_WHAT_IS_THERE =
  /\b(?:into|onto|over|on top|in(?:to)? the (?:mix|mixture|pan|pot|bowl)|stir (?:in|through)|add|with the|them|it|everything|each|serve)\b/i
