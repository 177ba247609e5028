/**
 * Which lines a step uses, by the foods that its words name; half now and the rest later where the words say so. A food that stands in two
 * parts of a recipe is taken from the part that is being made; "the dressing" takes what stands under that heading.
 */
import { isUnknown, type FoodBook, type FoodFact } from '../../../food/foods'
import type { RecipeLine, RecipeStep } from '../../recipe'

const HALF = /\bhalf (?:of )?(?:the )?(?:\p{L}+ )?$/iu
const REST = /\b(?:the )?(?:rest|remaining|other half)(?: of)?(?: the)? (?:\p{L}+ )?$/iu
const DRY = /\b(?:all |the )*dry (?:ingredients|things|stuff|mix)?\b(?! pan| frying| surface| place)/i
const WET = /\b(?:all |the )*(?:wet|liquid) ?(?:ingredients|things)?\b(?! hands| cloth| and)/i
const ALL =
  /\b(?:all (?:of )?(?:the |these )?(?:other |remaining )?ingredients|everything|all together|it all|mix all|whisk all|stir all|all of it|beat all)\b/i
const EXCEPT = /\b(?:except|apart from|but not|other than)\b(.*)$/i
const DRY_ROLES = ['structure', 'raising', 'salt', 'seasoning', 'sweet']
/** Sweet, and not dry. */
const FLOWS = /syrup|honey|treacle|jam|sauce|water|stock|juice|onion|garlic|ginger$/
const WET_ROLES = ['liquid', 'acid-liquid', 'fat', 'fat-melted', 'binder', 'moisture']

/** Words for a kind of food: "the vegetables", "the herbs", "the cheese". */
const KINDS: [RegExp, (food: FoodFact) => boolean][] = [
  [/\b(?:vegetables|veg|veggies|roots)\b/i, (f) => f.group === 'vegetable' && !/garlic/.test(f.id)],
  [/\bfruit\b/i, (f) => f.group === 'fruit'],
  [/\bberries\b/i, (f) => /berr/.test(f.id)],
  [
    /\bherbs?\b/i,
    (f) =>
      /^(?:chives|parsley|mint|basil|dill|coriander-leaf|thyme|rosemary|sage|oregano|mixed-herbs)$/.test(
        f.id,
      ),
  ],
  [
    /\bspices?\b/i,
    (f) =>
      f.group === 'seasoning' &&
      !/stock|salt|^(?:chives|parsley|mint|basil|dill|coriander-leaf|thyme|yeast|baking|vanilla)/.test(f.id),
  ],
  [
    /\bcheese\b/i,
    (f) =>
      /cheddar|mozzarella|parmesan|feta|gruyere|halloumi|edam|gouda|cheese|ricotta|monterey|leicester/.test(
        f.id,
      ),
  ],
  [/\bflours?\b/i, (f) => /flour|cornmeal|atta/.test(f.id)],
  [/\b(?:fat|spread)\b/i, (f) => /^(?:butter|margarine|df-spread|soft-spread-df|lard)$/.test(f.id)],
  [/\bseeds\b/i, (f) => /seeds|chia|flaxseed/.test(f.id)],
  [/\bpasta|noodles\b/i, (f) => /pasta|spaghetti|noodle|macaroni/.test(f.id)],
  [/\bbeans\b/i, (f) => /beans?/.test(f.id)],
  [/\bnuts\b/i, (f) => /almond|hazelnut|walnut|cashew|pecan|pistachio|nuts/.test(f.id)],
  [/\bfish\b/i, (f) => /fish|salmon|tuna|cod|haddock|trout|mackerel/.test(f.id)],
  [/\bmeat|mince\b/i, (f) => /mince|beef|lamb|pork|chicken|turkey/.test(f.id)],
  [/\bstock|broth\b/i, (f) => /stock/.test(f.id)],
  [/\bsugar\b/i, (f) => /sugar/.test(f.id)],
  [/\boil\b/i, (f) => /oil$/.test(f.id)],
  [/\byolks?\b/i, (f) => f.id === 'egg-yolk'],
  [/\bpastry\b/i, (f) => /pastry/.test(f.id)],
  [/\bdough\b/i, (f) => /dough/.test(f.id)],
  [/\bsyrup\b/i, (f) => /syrup|honey/.test(f.id)],
  [/\bbread\b/i, (f) => /bread|baguette|rolls/.test(f.id)],
  [/\bbiscuits\b/i, (f) => /biscuit/.test(f.id)],
  [/\bmilk\b/i, (f) => /^milk-|-drink$/.test(f.id)],
  [/\byog(?:h?urt|s)?\b/i, (f) => /yoghurt/.test(f.id)],
  [/\bsoda|bicarb\b/i, (f) => f.id === 'bicarbonate'],
  [/\bjuice\b/i, (f) => /juice|lemon|lime|orange/.test(f.id)],
  [/\bcream\b/i, (f) => /cream/.test(f.id)],
  [/\bchicken\b/i, (f) => /^chicken-(?!stock)/.test(f.id)],
  [/\bturkey\b/i, (f) => /turkey/.test(f.id)],
  [/\bbeef\b/i, (f) => /^beef-(?!stock)/.test(f.id)],
  [/\blamb\b/i, (f) => /^lamb/.test(f.id)],
  [/\bsalmon\b/i, (f) => /salmon/.test(f.id)],
  [/\btuna\b/i, (f) => /tuna/.test(f.id)],
  [/\blentils?\b/i, (f) => /lentils/.test(f.id)],
  [/\brice\b/i, (f) => /^(?:rice-(?:white|brown)|sushi-rice|risotto-rice|wild-rice)$/.test(f.id)],
  [/\bcabbage\b/i, (f) => /cabbage/.test(f.id)],
  [/\bpeppers?\b/i, (f) => f.id === 'pepper-sweet'],
  [/\bpepper\b/i, (f) => f.id === 'black-pepper'],
  [/\bcoconut\b/i, (f) => /coconut/.test(f.id)],
  [/\bcrumbs\b/i, (f) => /crumbs|panko/.test(f.id)],
  [/\btortillas?\b/i, (f) => /tortilla/.test(f.id)],
  [/\bpotato(?:es)?\b/i, (f) => /potato(?!-starch|-flour)/.test(f.id)],
  [/\bonions?\b/i, (f) => /onion(?!-powder)/.test(f.id)],
  [/\bapricots\b/i, (f) => /apricot/.test(f.id)],
  [/\boats\b/i, (f) => /oats|oatmeal/.test(f.id)],
  [/\bsauce\b/i, (f) => /sauce/.test(f.id)],
  [/\bchocolate\b/i, (f) => /chocolate/.test(f.id)],
  [/\bcoriander\b/i, (f) => /coriander/.test(f.id)],
  [/\btoms\b/i, (f) => /tomato/.test(f.id)],
]
/** Words that end the name of many foods and name none by themselves. */
const NO_HEADS = new Set(
  'powder sauce seeds mix juice oil paste cake ready can tin stock leaves leaf cream milk flour sugar bread beans drink chips pepper spread water pastry syrup salt'.split(
    ' ',
  ),
)

export interface NamedLines {
  lines: readonly RecipeLine[]
  /** The heading that a line stands under. */
  parts: ReadonlyMap<string, string>
  foods: FoodBook
  /** Words of the line as they stand in the text, beside its food's names. */
  words: ReadonlyMap<string, string>
}

const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')
/** One pattern for all the names, the longest first. */
const patternOf = (names: readonly string[]): RegExp =>
  new RegExp(`(?<![\\p{L}-])(?:${names.map(escaped).join('|')})(?:s|es)?(?![\\p{L}-])`, 'iu')

const patterns = new Map<string, RegExp>()
const MOST_PATTERNS = 3000
const cache = new WeakMap<readonly RecipeLine[], Map<string, RegExp>>()
/** Words by which a line may be named: the whole names, and the last word of each ("plain flour" is "flour"). */
function namesOf(line: RecipeLine, { lines, foods, words }: NamedLines): RegExp {
  const known = cache.get(lines) ?? new Map<string, RegExp>()
  cache.set(lines, known)
  const key = `${line.id}|${line.food}`
  const had = known.get(key)
  if (had) return had
  const food = factOf(line, foods)
  const own = line.food.replace(/^own:/, '').replaceAll('-', ' ')
  const said = words.get(line.id) ?? ''
  const whole = [food?.name ?? own, food?.plural ?? '', ...(food?.aliases ?? []), said].filter(
    (n) => n !== '',
  )
  const heads = whole.flatMap((n) => {
    const last = n.split(' ').at(-1) ?? ''
    const one = last
      .replace(/ies$/, 'y')
      .replace(/(?:oes|ses|ches)$/, (e) => e.slice(0, -2))
      .replace(/s$/, '')
    return NO_HEADS.has(last) || NO_HEADS.has(one) ? [] : [last, one]
  })
  const names = [...new Set([...whole, ...heads, own].map((n) => n.toLowerCase()))]
    .filter((n) => n.length > 2)
    .sort((x, y) => y.length - x.length)
  const all = names.join('|')
  const pattern = patterns.get(all) ?? (names.length === 0 ? /$^/ : patternOf(names))
  if (patterns.size > MOST_PATTERNS) patterns.clear()
  patterns.set(all, pattern)
  known.set(key, pattern)
  return pattern
}
const factOf = ({ food }: RecipeLine, foods: FoodBook): FoodFact | undefined => {
  const found = foods.of(food)
  return isUnknown(found) ? undefined : found
}

/** Where a text names a line: the first place, or -1. */
function namedAt(line: RecipeLine, text: string, named: NamedLines): number {
  const whole = text.search(namesOf(line, named))
  if (whole >= 0) return whole
  const food = factOf(line, named.foods)
  if (!food) return -1
  for (const [words, fits] of KINDS) {
    const at = text.search(words)
    if (at >= 0 && fits(food)) return at
  }
  return -1
}

/** Lines that a text names; "ground coriander" is not the fresh one beside it, and "peanut butter" no butter. */
function namedIn(text: string, named: NamedLines): RecipeLine[] {
  const found = named.lines.flatMap((line) => {
    const [at, length] = spanOf(line, text, named)
    return at < 0 ? [] : [{ line, at, end: at + length }]
  })
  return found
    .filter(
      (f) =>
        !found.some(
          (o) =>
            o.line.food !== f.line.food && o.at <= f.at && o.end >= f.end && o.end - o.at > f.end - f.at + 2,
        ),
    )
    .map((f) => f.line)
}
function spanOf(line: RecipeLine, text: string, named: NamedLines): [number, number] {
  const m = namesOf(line, named).exec(text)
  if (m) return [m.index, m[0].length]
  return [namedAt(line, text, named), 4]
}

/** The sentences in which a line's food is named. */
export function sentencesNaming(line: RecipeLine, texts: readonly string[], foods: FoodBook): string[] {
  const named: NamedLines = { lines: [line], parts: new Map(), foods, words: new Map() }
  return texts.flatMap((t) => t.split(/(?<=[.!?;])\s+/)).filter((s) => namedAt(line, s, named) >= 0)
}

/** Lines that a text names: by name, by kind, by their part, or all of them. */
export function linesNamed(text: string, named: NamedLines, part?: string): RecipeLine[] {
  const { lines, parts } = named
  const own = namedIn(text, named)
  const byRole = (roles: readonly string[]): RecipeLine[] => lines.filter((l) => roles.includes(l.role))
  const inPart = (l: RecipeLine): boolean => part === undefined || sameWords(parts.get(l.id) ?? '', part)
  const partly = lines.filter((l) => {
    const heading = headOf(parts.get(l.id) ?? '')
    return (
      heading !== '' &&
      new RegExp(
        `(?<!\\b(?:for|into|in|to|from) )\\b(?:the |all |all the |your )${escaped(heading)}\\b`,
        'i',
      ).test(text)
    )
  })
  const except = EXCEPT.exec(text)?.[1] ?? ''
  const all = ALL.test(text)
    ? lines.filter((l) => inPart(l) && (except === '' || namedAt(l, except, named) < 0))
    : []
  const list = [
    ...own.filter((l) => except === '' || all.length === 0 || namedAt(l, except, named) < 0),
    ...(DRY.test(text)
      ? byRole(DRY_ROLES).filter((l) => (inPart(l) || part === undefined) && !FLOWS.test(l.food))
      : []),
    ...(WET.test(text) ? byRole(WET_ROLES).filter((l) => inPart(l) || part === undefined) : []),
    ...partly,
    ...all,
  ]
  return lines.filter((l) => list.includes(l))
}
const headOf = (part: string): string =>
  part
    .toLowerCase()
    .replace(/^(?:for|to make) (?:the )?/, '')
    .replace(/^the /, '')
    .replace(/:$/, '')
    .trim()
const sameWords = (a: string, b: string): boolean => {
  const [x, y] = [headOf(a), headOf(b)]
  return x !== '' && y !== '' && (x.includes(y) || y.includes(x))
}

const THE_REST = /\b(?:the rest|(?:the )?(?:remaining|other) ingredients|everything else)\b/i

export interface StepText {
  text: string
  part?: string
}

/** Gives each step its uses. @returns lines that no step names */
export function giveUses(steps: RecipeStep[], texts: readonly StepText[], named: NamedLines): RecipeLine[] {
  const { lines, parts } = named
  const left = new Map(lines.map((l) => [l.id, 2]))
  const take = (step: RecipeStep, line: string, halves: number): void => {
    const rest = left.get(line) ?? 0
    const n = Math.min(rest, halves)
    if (n === 0 || step.uses.some((u) => u.line === line)) return
    left.set(line, rest - n)
    step.uses.push({ line, part: n === 2 ? '1' : '1/2' })
  }
  const unused = (): RecipeLine[] => lines.filter((l) => left.get(l.id) === 2)
  const place = (step: RecipeStep, { text, part }: StepText): void => {
    const found = linesNamed(text, named, part)
    // "Stir in the rest": what is still there.
    if (found.length === 0 && THE_REST.test(text)) for (const line of unused()) take(step, line.id, 2)
    // Of two lines of one food the one of this part goes in; else the next that is still there.
    const chosen = found.filter((line) => {
      const twins = found.filter((l) => l.food === line.food && (left.get(l.id) ?? 0) > 0)
      const mine = twins.filter(
        (l) =>
          (part !== undefined && sameWords(parts.get(l.id) ?? '', part)) || mentions(text, parts.get(l.id)),
      )
      const all = ALL.test(text) || DRY.test(text)
      return (mine.length > 0 ? mine : twins.slice(0, all ? twins.length : 1)).includes(line)
    })
    for (const line of chosen) {
      const at = namedAt(line, text, named)
      const before = at < 0 ? '' : text.slice(0, at)
      take(step, line.id, HALF.test(before) && !REST.test(before) ? 1 : 2)
    }
  }
  steps.forEach((step, i) => {
    place(step, texts[i] ?? { text: '' })
  })
  const rest = (): RecipeLine[] => lines.filter((l) => left.get(l.id) === 2)
  // The first that mixes or works without a name of any food takes what no step names: "mix, then knead".
  const open = rest()
  const first = steps.find((s) => s.uses.length === 0 && s.tasks.some((t) => MIXING.has(t.technique)))
  if (open.length > 0 && first && steps.slice(0, steps.indexOf(first)).every((s) => s.uses.length === 0))
    for (const line of open) take(first, line.id, 2)
  return rest()
}
const MIXING = new Set([
  'stir',
  'rub-in',
  'whisk',
  'mash',
  'knead',
  'toss-coat',
  'electric-mixer',
  'level-scoop',
])
const mentions = (text: string, part: string | undefined): boolean => {
  const head = headOf(part ?? '')
  return head.length > 2 && new RegExp(`\\b${escaped(head)}\\b`, 'i').test(text)
}
