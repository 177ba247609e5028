/**
 * What is raw at which job of a recipe, and what a heat cooks. Safe order: meat, poultry, fish and shellfish stay raw until a heat plainly
 * cooks them; an oven that warms up, a pan in which butter melts and onions that fry cook no chicken beside them.
 * Sources: FSA, USDA FSIS, CDC on raw meat, eggs and flour; common practice for the words; from memory.
 */
import type { RawKind } from '../../food/raw-words'
import { HEAT_PLACES } from '../heat-places'
import { isHot, type RecipeStep, type RecipeTask, type Role } from '../recipe'

/** A line as the hands meet it. */
export interface StateLine {
  /** The recipe's line. */
  line: string
  food: string
  name: string
  role: Role
  prep?: string
  /** What it is when it comes raw; null where it is eaten as it is. */
  raw: RawKind | null
}

const HEATS = new Set([...HEAT_PLACES.map((p) => p.technique), 'deep-fry'])
/** A job at a heat: by its place, or by the machine. */
export const isHeat = (task: Pick<RecipeTask, 'technique' | 'place'>): boolean =>
  isHot(task.place) || HEATS.has(task.technique)

/** A heat that cooks what is in it: a kettle only boils water. */
const isCookingHeat = (task: Pick<RecipeTask, 'technique' | 'place'>): boolean =>
  isHeat(task) && task.place !== 'kettle' && task.technique !== 'use-kettle'

export const isMeat = (raw: RawKind | null): boolean => raw !== null && raw !== 'egg' && raw !== 'flour'

/** Stirring and shaping reach all that is in the bowl; tearing and cutting what goes in here. */
const MIXES = new Set([
  ...[
    'stir',
    'fold',
    'whisk',
    'knead',
    'shape',
    'toss-coat',
    'rub-in',
    'fill-cases',
    'thread-skewer',
    'cut-cutter',
  ],
  ...[
    'roll-out',
    'roll-wrap',
    'brush-glaze',
    'arrange',
    'spread',
    'pipe',
    'mash',
    'scoop-out',
    'electric-mixer',
  ],
])
const TOUCHES_NOTHING = new Set([
  ...[
    'wash-hands',
    'lay-table',
    'wipe-table',
    'sweep',
    'wash-up',
    'dry-put-away',
    'sort-scraps',
    'count-out',
  ],
])
const ANOTHER =
  /\b(?:another|separate|second|different|clean|own) (?:bowl|board|plate|pot|jar|cup|beaker)\b|\bsalad\b|\bdressing\b/i
const MEANWHILE_ONLY =
  /\b(?:pre ?heat|heat (?:up )?(?:the |an? )?(?:oven|grill|oil|butter|pan|griddle)|(?:turn|switch|put) (?:on )?the (?:oven|grill)(?: on)?|warm (?:the |an? )?(?:oven|pan|plates?)|melt|boil (?:the |a )?kettle|toast the)\b/i
/** Brown outside, raw inside. */
const OUTSIDE_ONLY =
  /\b(?:brown(?:s|ed)?|sear(?:s|ed)?|seal(?:s|ed)?)\b(?! sugar| rice| bread| sauce| flour)/i
const THEM =
  /\b(?:them|it|they|everything|all|mix|mixture|batter|dough|burgers?|patt(?:y|ies)|meatballs?|koftas?|goujons?|nuggets?|kebabs?|skewers?|parcels?|fillets?|cakes?|balls?|pieces|tray|tin|dish|pie|loaf|loaves|fritters?|pancakes?|buns?|bread)\b/i
/** What a heat may take up beside the raw food and still be its heat: oil for the pan, stock, salt. */
const BESIDE = new Set<Role>([
  'frying',
  'fat',
  'fat-melted',
  'seasoning',
  'salt',
  'liquid',
  'acid-liquid',
  'glaze',
])

export const textOf = (step: RecipeStep): string => `${step.title}. ${step.says ?? ''}`.replace(/[-‐‑]/g, ' ')

const stem = (word: string): string => word.toLowerCase().replace(/(?:es|s)$/, '')
const wordsOf = (text: string): string[] => (text.match(/\p{L}{3,}/gu) ?? []).map(stem)

/** A step names a line by a word of its food or its name. */
function names(line: StateLine, words: ReadonlySet<string>): boolean {
  return wordsOf(`${line.name} ${line.food.replace(/^own:/, '').replaceAll('-', ' ')}`).some((w) =>
    words.has(w),
  )
}

/** Does this step's heat cook a line that is in play? */
function cooks(step: RecipeStep, line: StateLine, lines: readonly StateLine[]): boolean {
  const text = textOf(step)
  const words = new Set(wordsOf(text))
  const used = lines.filter((l) => step.uses.some((u) => u.line === l.line))
  const uses = used.some((l) => l.line === line.line)
  if (isMeat(line.raw) && OUTSIDE_ONLY.test(text) && !/\bcooked through\b/i.test(text)) return false
  if (MEANWHILE_ONLY.test(text) && !uses && !names(line, words)) return false
  if (uses || names(line, words)) return true
  if (used.some((l) => !BESIDE.has(l.role))) return false
  if (!isMeat(line.raw)) return true
  const others = lines.some(
    (l) => l.line !== line.line && l.raw === null && !BESIDE.has(l.role) && names(l, words),
  )
  return !others || THEM.test(text)
}

/** The raw lines in play at a job: those it meets, and all that are there. */
export interface RawAt {
  /** Met by hands or tools. */
  touched: StateLine[]
  /** In play and not cooked yet. */
  there: StateLine[]
}

function touchedBy(
  step: RecipeStep,
  task: RecipeTask,
  there: readonly StateLine[],
  index: number,
  enters: ReadonlyMap<string, number>,
): StateLine[] {
  if (TOUCHES_NOTHING.has(task.technique)) return []
  const here = there.filter((l) => enters.get(l.line) === index || step.uses.some((u) => u.line === l.line))
  if (task.technique === 'wash-produce' || task.measures) return here
  if (step.uses.length === 0) return [...there]
  if (!MIXES.has(task.technique)) return here
  return ANOTHER.test(textOf(step)) && here.length === 0 ? [] : [...there]
}

const GROUPS: Partial<Record<RawKind, RegExp>> = {
  fish: /\b(?:fish|fillets?|seafood|shellfish|prawns?)\b/i,
  poultry: /\b(?:meat|chicken|turkey|poultry|breasts?|thighs?|mince)\b/i,
  meat: /\b(?:meat|bacon|ham|steak|cubes)\b/i,
  mince: /\b(?:meat|mince|beef|lamb|pork|sausages?)\b/i,
  egg: /\beggs?|yolks?|whites?\b/i,
  flour: /\bflour|dry (?:ingredients|mix)\b/i,
}

/**
 * The step at which each line comes in: where the recipe uses it; a line that no step uses, where the words name it or its kind, else at
 * once. What is on the list is on the table.
 */
function entersAt(steps: readonly RecipeStep[], lines: readonly StateLine[]): Map<string, number> {
  return new Map(
    lines.map((line) => {
      const used = steps.findIndex((s) => s.uses.some((u) => u.line === line.line))
      if (used >= 0) return [line.line, used]
      const kind = line.raw ? GROUPS[line.raw] : undefined
      const named = steps.findIndex((s) => {
        const text = textOf(s)
        return names(line, new Set(wordsOf(text))) || kind?.test(text) === true
      })
      return [line.line, Math.max(0, named)]
    }),
  )
}

export interface Cooking {
  /** By step, one for each of its tasks. */
  at: Map<string, RawAt[]>
  /** Raw lines that no heat of the recipe cooks. */
  neverCooked: StateLine[]
  /** Every line that a heat reaches, raw or not. */
  heated: ReadonlySet<string>
}

/** Follows the lines of one bowl through the steps. */
export function cookingOf(steps: readonly RecipeStep[], lines: readonly StateLine[]): Cooking {
  const at = new Map<string, RawAt[]>()
  const inPlay = new Set<string>()
  const cooked = new Set<string>()
  const enters = entersAt(steps, lines)
  for (const [index, step] of steps.entries()) {
    for (const [line, at] of enters) if (at === index) inPlay.add(line)
    const lastHeat = step.tasks.map(isCookingHeat).lastIndexOf(true)
    const list: RawAt[] = []
    const rawNow = (): StateLine[] =>
      lines.filter((l) => l.raw !== null && inPlay.has(l.line) && !cooked.has(l.line))
    step.tasks.forEach((task, i) => {
      const there = rawNow()
      list.push({ there, touched: touchedBy(step, task, there, index, enters) })
      if (i !== lastHeat) return
      for (const l of lines) if (inPlay.has(l.line) && cooks(step, l, lines)) cooked.add(l.line)
    })
    at.set(step.id, list)
  }
  return {
    at,
    heated: cooked,
    neverCooked: lines.filter((l) => l.raw !== null && inPlay.has(l.line) && !cooked.has(l.line)),
  }
}
