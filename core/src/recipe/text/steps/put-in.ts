/**
 * What a printed recipe leaves unsaid and hands do all the same: measuring a line where it first goes in, the preparation that a line names
 * ("grated", "quartered"), cracking eggs, washing hands. Common practice, from memory.
 */
import { unitOf } from '../../../amount/units'
import { isUnknown, rawKindOf, type Food, type FoodBook } from '../../../food/foods'
import type { RecipeLine, RecipeStep, RecipeTask } from '../../recipe'
import { idFor } from '../ids'

const MOST = { steps: 40, tasks: 12 }

interface Making {
  lines: readonly RecipeLine[]
  foods: FoodBook
}

const isEgg = (food: Food): boolean => /^egg-(?:hen|duck|quail|yolk|white)$/.test(food.id)
const lineOf = ({ lines }: Making, id: string): RecipeLine | undefined => lines.find((l) => l.id === id)
const by = (prep: string | undefined): boolean => /\badult|grown|by the leader\b/i.test(prep ?? '')
const isLiquid = (food: Food, line: RecipeLine): boolean =>
  !isUnknown(food) &&
  (food.group === 'water' ||
    /milk|oil$|-drink$|juice|stock|vinegar|syrup|honey|sauce|cream$|water|passata|extract|essence/.test(
      food.id,
    ) ||
    line.role === 'liquid' ||
    line.role === 'acid-liquid')
/** Too coarse for a scoop: it is weighed. */
const isCoarse = (food: Food): boolean =>
  isUnknown(food) ||
  ['vegetable', 'fruit', 'protein'].includes(food.group ?? '') ||
  /pastry|bread(?!crumbs)/.test(food.id)

const isMeasured = (line: RecipeLine): boolean =>
  line.byEye === undefined && unitOf(line.unit).dimension !== 'count'

/** A line is measured once, in the step that first takes it up, before the first job of that step. */
export function putMeasuringIn(steps: readonly RecipeStep[], making: Making): void {
  const done = new Set<string>()
  for (const step of steps) {
    const fresh = step.uses.flatMap((u) => (done.has(u.line) ? [] : (lineOf(making, u.line) ?? [])))
    fresh.forEach((l) => done.add(l.id))
    const lines = fresh.filter(isMeasured)
    const poured = lines.filter((l) => isLiquid(making.foods.of(l.food), l))
    const rest = lines.filter((l) => !poured.includes(l))
    measure(step, poured, ['pour-liquid', 'level-scoop'], 'pour-liquid', making)
    measure(
      step,
      rest,
      ['level-scoop', 'weigh-scale', 'pour-dry'],
      rest.every((l) => unitOf(l.unit).dimension === 'mass' && isCoarse(making.foods.of(l.food)))
        ? 'weigh-scale'
        : 'level-scoop',
      making,
    )
    dropIdle(step)
  }
}

function measure(
  step: RecipeStep,
  lines: readonly RecipeLine[],
  takes: readonly string[],
  usual: string,
  making: Making,
): void {
  if (lines.length === 0) return
  const adult = lines.some(
    (l) =>
      by(l.prep) || /\bboil|\bhot\b|just[- ]boiled/i.test(l.prep ?? '') || isRaw(making.foods.of(l.food)),
  )
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
const isRaw = (food: Food): boolean => {
  const kind = rawKindOf(food)
  return kind !== null && kind !== 'egg' && kind !== 'flour'
}

/** "Add it to the bowl": tipping in what was measured elsewhere is no job of its own beside another one. */
function dropIdle(step: RecipeStep): void {
  const idle = (t: RecipeTask): boolean => t.technique === 'level-scoop' && !t.measures && t.mode === 'TURNS'
  if (step.tasks.some((t) => !idle(t))) step.tasks = step.tasks.filter((t) => !idle(t))
}

/** Eggs come out of their shell before anything is done with them. */
export function putEggsIn(steps: readonly RecipeStep[], making: Making): void {
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

const isProduce = (f: Food): boolean =>
  !isUnknown(f) &&
  (f.group === 'vegetable' || f.group === 'fruit') &&
  !/-tin$|dried|frozen|puree|juice|sauce|passata/.test(f.id)
const isCheese = (f: Food): boolean =>
  /cheddar|mozzarella|feta|gruyere|halloumi|edam|gouda|leicester|monterey|manchego|paneer|parmesan/.test(f.id)
/** Preparation that is work of hands, by the words of a line. */
const PREP: [RegExp, string, (food: Food) => boolean, string][] = [
  [
    /\bpeeled\b/i,
    'peel-peeler',
    (f) => isProduce(f) && !/onion|garlic|banana|satsuma|orange/.test(f.id),
    'Peel',
  ],
  [/\bcored\b/i, 'core', isProduce, 'Core'],
  [/\bgrated\b/i, 'grate', (f) => isProduce(f) || isCheese(f) || /chocolate/.test(f.id), 'Grate'],
  [/\bshredded\b/i, 'grate', isCheese, 'Grate'],
  [
    /\b(?:chopped|sliced|diced|cubed|halved|quartered|quarters|shredded|sticks|strips|cut)\b/i,
    'bridge-cut',
    (f) => (isProduce(f) || isCheese(f)) && !/garlic|frozen|berries/.test(f.id),
    'Cut',
  ],
  [/\bcrushed\b/i, 'crush-pestle', (f) => f.id === 'garlic', 'Crush'],
  [/\bmashed\b/i, 'mash', isProduce, 'Mash'],
  [/\bsnipped\b/i, 'snip-scissors', () => true, 'Snip'],
  [/\btorn\b/i, 'tear', () => true, 'Tear'],
  [/\bcrumbled\b/i, 'tear', isCheese, 'Crumble'],
  [
    /\b(?:drained|rinsed)\b/i,
    'rinse-drain-cold',
    (f) => /-tin$|chickpeas|beans|lentils|sweetcorn|tuna|salmon-tin/.test(f.id),
    'Drain',
  ],
]
/** It comes so out of the packet. */
const BOUGHT = /\b(?:ready|pre)[- ]?(?:grated|chopped|sliced|cut|peeled)\b|\bfrozen\b/i

/** A job of preparation that the list names and the telling does not, as a step before the one that takes the line up. */
export function putPreparationIn(steps: RecipeStep[], making: Making): void {
  for (const line of making.lines) {
    const prep = line.prep ?? ''
    if (prep === '' || BOUGHT.test(prep) || (unitOf(line.unit).id === 'tin' && !/drained|rinsed/i.test(prep)))
      continue
    const food = making.foods.of(line.food)
    const user = steps.find((s) => s.uses.some((u) => u.line === line.id))
    if (!user) continue
    const jobs = PREP.filter(
      ([words, technique, fits]) => words.test(prep) && fits(food) && !isTold(steps, line, technique, food),
    )
    if (jobs.length === 0) continue
    place(steps, user, line, jobs, food, prep)
  }
}

/** The telling does it itself: at this line, or at a step that names its food or its kind. */
function isTold(steps: readonly RecipeStep[], line: RecipeLine, technique: string, food: Food): boolean {
  const name = isUnknown(food) ? food.name : (food.name.split(' ').at(-1) ?? food.name)
  const words = new RegExp(`\\b${name.replace(/[^\p{L} ]/gu, '').slice(0, 6)}|\\bveg|\\bfruit\\b`, 'iu')
  const same = (t: RecipeTask): boolean =>
    t.technique === technique ||
    (technique === 'bridge-cut' && ['cut-soft-table-knife', 'snip-scissors'].includes(t.technique))
  return steps.some(
    (s) => s.tasks.some(same) && (s.uses.some((u) => u.line === line.id) || words.test(s.says ?? '')),
  )
}

function place(
  steps: RecipeStep[],
  user: RecipeStep,
  line: RecipeLine,
  jobs: readonly (typeof PREP)[number][],
  food: Food,
  prep: string,
): void {
  const adult = by(prep) || isRaw(food)
  const tasks = jobs.map(([, technique]): RecipeTask => ({
    technique,
    mode: adult
      ? 'ADULT'
      : technique === 'mash' || technique === 'rinse-drain-cold' || technique === 'crush-pestle'
        ? 'TURNS'
        : 'EACH',
    seconds: technique === 'bridge-cut' ? 90 : technique === 'rinse-drain-cold' ? 30 : 60,
  }))
  const title =
    `${jobs[0]?.[3] ?? 'Prepare'} the ${isUnknown(food) ? food.name : line.amount === '1' && line.unit === 'item' ? food.name : (food.plural ?? food.name)}`.slice(
      0,
      60,
    )
  const at = steps.indexOf(user)
  const before = steps[at - 1]
  // Several lines that are cut in the same way are one step.
  const joint =
    before?.id.endsWith('-ready') &&
    before.tasks.length === tasks.length &&
    before.tasks.every((t, i) => t.technique === tasks[i]?.technique && t.mode === tasks[i].mode)
  const use = user.uses.find((u) => u.line === line.id)
  if (!use) return
  user.uses = user.uses.filter((u) => u !== use)
  if (joint && before) {
    before.uses.push(use)
    before.title = `${jobs[0]?.[3] ?? 'Prepare'} ${before.uses.length > 2 ? 'what the list says' : `and ready`}`
    before.title = `${jobs[0]?.[3] ?? 'Prepare'} what goes in`
    before.says =
      `${(before.says ?? '').replace(/\.$/, '')}; ${title.charAt(0).toLowerCase()}${title.slice(1)}.`.slice(
        0,
        300,
      )
    return
  }
  if (steps.length >= MOST.steps) {
    user.uses.push(use)
    return
  }
  steps.splice(at, 0, {
    id: idFor(`${line.id}-ready`, 'ready', steps),
    title,
    picture: 'bowl',
    uses: [use],
    tasks,
    says: `${title}${prep.includes(' ') ? `: ${prep}` : ''}.`.slice(0, 300),
  })
}

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
