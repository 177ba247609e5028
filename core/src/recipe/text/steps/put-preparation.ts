/**
 * Preparation that a line names and the telling does not ("grated", "quartered"), as a step before the one that takes the line up. Common
 * practice, from memory.
 */
import { unitOf } from '../../../amount/units'
import { isUnknown, type Food } from '../../../food/foods'
import type { RecipeLine, RecipeStep, RecipeTask } from '../../recipe'
import { idFor } from '../ids'
import { isPreparedByAdult, isRawMeat, MOST, type Preparing } from './put-in'

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
export function putPreparationIn(steps: RecipeStep[], making: Preparing): void {
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
  const adult = isPreparedByAdult(prep) || isRawMeat(food)
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
    readies: user.id,
    says: `${title}${prep.includes(' ') ? `: ${prep}` : ''}.`.slice(0, 300),
  })
}
