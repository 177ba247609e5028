/**
 * What a printed recipe leaves unsaid and hands do all the same: measuring a line where it first goes in, the preparation that a line names
 * ("grated", "quartered"), cracking eggs, washing hands. Common practice, from memory.
 */
import { unitOf } from '../../../amount/units'
import { isUnknown, rawKindOf, type Food, type FoodBook } from '../../../food/foods'
import type { RecipeLine, RecipeStep, RecipeTask } from '../../recipe'
import { stateLines, statesOf } from '../../states/hazards'
import { idFor } from '../ids'

/** As many as the schema takes. */
export const MOST = { steps: 40, tasks: 12 }

export interface Preparing {
  lines: readonly RecipeLine[]
  foods: FoodBook
}

const isEgg = (food: Food): boolean => /^egg-(?:hen|duck|quail|yolk|white)$/.test(food.id)
const lineOf = ({ lines }: Preparing, id: string): RecipeLine | undefined => lines.find((l) => l.id === id)
export const isPreparedByAdult = (prep: string | undefined): boolean =>
  /\badult|grown|by the leader\b/i.test(prep ?? '')
const isLiquid = (food: Food, line: RecipeLine): boolean =>
  !isUnknown(food) &&
  (food.group === 'water' ||
    /milk|oil$|-drink$|juice|stock|vinegar|syrup|honey|sauce|cream$|water|passata|extract|essence/.test(
      food.id,
    ) ||
    ((line.role === 'liquid' || line.role === 'acid-liquid') &&
      !/ricotta|cheese|yoghurt|custard|quark|fraiche|butter/.test(food.id)))
/** Too coarse for a scoop: it is weighed. */
const isCoarse = (food: Food): boolean =>
  isUnknown(food) ||
  ['vegetable', 'fruit', 'protein'].includes(food.group ?? '') ||
  /pastry|bread(?!crumbs)/.test(food.id)

const isMeasured = (line: RecipeLine): boolean =>
  line.byEye === undefined && unitOf(line.unit).dimension !== 'count'

/** A line is measured once, in the step that first takes it up, before the first job of that step. */
export function putMeasuringIn(steps: readonly RecipeStep[], making: Preparing): void {
  const done = new Set<string>()
  for (const step of steps) {
    const fresh = step.uses.flatMap((u) => (done.has(u.line) ? [] : (lineOf(making, u.line) ?? [])))
    fresh.forEach((l) => done.add(l.id))
    // What is hot or raw is an adult's to measure; the rest is not, for being in the same step.
    const lines = fresh.filter(isMeasured)
    for (const some of [
      lines.filter((l) => isAdults(l, making)),
      lines.filter((l) => !isAdults(l, making)),
    ]) {
      const poured = some.filter((l) => isLiquid(making.foods.of(l.food), l))
      const rest = some.filter((l) => !poured.includes(l))
      measure(step, poured, ['pour-liquid', 'level-scoop'], 'pour-liquid', making)
      const coarse = rest.every(
        (l) => unitOf(l.unit).dimension === 'mass' && isCoarse(making.foods.of(l.food)),
      )
      measure(
        step,
        rest,
        ['level-scoop', 'weigh-scale', 'pour-dry'],
        coarse ? 'weigh-scale' : 'level-scoop',
        making,
      )
    }
    dropIdle(step)
  }
}

function measure(
  step: RecipeStep,
  lines: readonly RecipeLine[],
  takes: readonly string[],
  usual: string,
  making: Preparing,
): void {
  if (lines.length === 0) return
  const adult = lines.some((l) => isAdults(l, making))
  const ids = lines.map((l) => l.id)
  const there = step.tasks.find(
    (t) => t.mode === 'TURNS' && !t.measures && takes.includes(t.technique) && t.turns === undefined,
  )
  if (there) {
    const technique = there.technique === 'level-scoop' && usual !== 'level-scoop' ? usual : there.technique
    Object.assign(there, {
      measures: true,
      lines: ids,
      technique,
      ...(adult && { mode: 'ADULT', seconds: 30 * lines.length }),
    })
    return
  }
  if (step.tasks.length >= MOST.tasks) return
  const at = step.tasks.findIndex((t) => !t.measures && t.technique !== 'wash-hands')
  const task: RecipeTask = {
    technique: usual,
    mode: adult ? 'ADULT' : 'TURNS',
    seconds: adult ? 30 * lines.length : 25,
    measures: true,
    lines: ids,
  }
  step.tasks.splice(Math.max(0, at), 0, task)
}
const isAdults = (l: RecipeLine, { foods }: Preparing): boolean =>
  isPreparedByAdult(l.prep) ||
  /\bboil|\bhot\b|just[- ]boiled/i.test(l.prep ?? '') ||
  isRawMeat(foods.of(l.food))
/** Meat, poultry, fish and shellfish that are raw. */
export const isRawMeat = (food: Food): boolean => {
  const kind = rawKindOf(food)
  return kind !== null && kind !== 'egg' && kind !== 'flour'
}

/** "Add it to the bowl": tipping in what was measured elsewhere is no job of its own beside another one. */
function dropIdle(step: RecipeStep): void {
  const idle = (t: RecipeTask): boolean => t.technique === 'level-scoop' && !t.measures && t.mode === 'TURNS'
  if (step.tasks.some((t) => !idle(t))) step.tasks = step.tasks.filter((t) => !idle(t))
}

/** Eggs come out of their shell before anything is done with them. */
export function putEggsIn(steps: readonly RecipeStep[], making: Preparing): void {
  const done = new Set<string>()
  if (steps.some((s) => s.tasks.some((t) => t.technique === 'crack-egg') && s.uses.length === 0)) return
  for (const step of steps) {
    const eggs = step.uses.flatMap((u) => {
      const line = lineOf(making, u.line)
      return line && !done.has(line.id) && isEgg(making.foods.of(line.food)) ? [line] : []
    })
    if (eggs.length === 0) continue
    eggs.forEach((l) => done.add(l.id))
    const has = (...ids: string[]): boolean => step.tasks.some((t) => ids.includes(t.technique))
    if (
      has('crack-egg', 'separate-egg') ||
      eggs.some((l) => /\bboil(?:ed|ing)?\b/.test(l.prep ?? '')) ||
      boiledWhole(step)
    )
      continue
    const separate = eggs.some((l) => /yolk|white/.test(l.food))
    const beaten = eggs.some((l) => /beaten|whisked/i.test(l.prep ?? '')) && !has('whisk', 'stir')
    const tasks: RecipeTask[] = [
      { technique: separate ? 'separate-egg' : 'crack-egg', mode: 'ADULT', seconds: separate ? 60 : 45 },
      ...(beaten ? [{ technique: 'whisk', mode: 'TURNS' as const, seconds: 20 }] : []),
    ]
    if (step.tasks.length + tasks.length > MOST.tasks) continue
    const at = step.tasks.findIndex((t) => !t.measures && t.technique !== 'wash-hands')
    step.tasks.splice(Math.max(0, at), 0, ...tasks)
  }
}
const boiledWhole = (step: RecipeStep): boolean =>
  /\bboil (?:the |\d+ )?eggs?\b|hard[- ]boil/i.test(step.says ?? '')

/** Hands are washed before food is touched, said or not. */
export function putWashingIn(steps: RecipeStep[]): void {
  if (
    steps.length === 0 ||
    steps.length >= MOST.steps ||
    steps.some((s) => s.tasks.some((t) => t.technique === 'wash-hands'))
  )
    return
  steps.unshift({
    id: idFor('wash-hands', 'wash', steps),
    title: 'Wash hands',
    picture: 'soap',
    uses: [],
    tasks: [{ technique: 'wash-hands', mode: 'EACH', seconds: 60, place: 'sink' }],
    says: 'Wet, soap, twenty seconds, rinse, dry.',
  })
}

/** Where a step is hot, what is cold is measured before it, at the table: the adult at the heat tips it in. */
export function putMeasuringApart(steps: RecipeStep[], making: Preparing): void {
  const lines = stateLines(
    making.lines.map((l) => ({ ...l, line: l.id, name: making.foods.of(l.food).name })),
    making.foods,
  )
  const states = statesOf({ steps }, lines)
  for (const step of [...steps]) {
    const hot = step.tasks.filter(
      (t) => t.measures && t.mode === 'TURNS' && states.at(step.id, t.technique).heat !== null,
    )
    const ids = hot.flatMap((t) => t.lines ?? [])
    if (ids.length === 0 || steps.length >= MOST.steps || step.tasks.length === hot.length) continue
    const names = ids.map((id) => making.foods.of(lineOf(making, id)?.food ?? '').name)
    step.tasks = step.tasks.filter((t) => !hot.includes(t))
    const uses = step.uses.filter((u) => ids.includes(u.line))
    step.uses = step.uses.filter((u) => !ids.includes(u.line))
    steps.splice(steps.indexOf(step), 0, {
      id: idFor(`${step.id.slice(0, 40)}-measured`, 'measured', steps),
      title: (names.length === 1 ? `Measure the ${names[0] ?? ''}` : 'Measure what goes in').slice(0, 60),
      picture: 'bowl',
      uses,
      tasks: hot,
      readies: step.id,
      says: `At the table, into a bowl: ${names.join(', ')}.`.slice(0, 300),
    })
  }
}
