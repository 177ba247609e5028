/**
 * Pass 1, adapt: who shares which bowl, the lines as decided, and every line against every child present: as one who eats
 * of it, or, where an own bowl is apart, as one who only sits near it (cross-contact). Swaps that suit everyone at once.
 */
import { capitalised } from '../../amount/letter-case'
import { scale } from '../../amount/scale'
import { ratio } from '../../amount/ratio'
import { amountText, isRounded } from '../../amount/show'
import { applySwap, type Swap } from '../../food/swaps'
import { isUnknown } from '../../food/foods'
import { concernName, dietOfKey } from '../../food/diets'
import type { Recipe, RecipeLine } from '../../recipe/recipe'
import { making } from './batches'
import { rawSwapsOf } from './cooked-swaps'
import { bowlsFor } from './bowls'
import { APART } from '../model/line'
import type { Adapted, AdaptedLine, Pass, PlanStart } from '../model/draft'
import { finding, nameToken, worst, type Finding, type Fix } from '../model/finding'
import type { Around } from './around'
import { apartFixes } from './apart-fixes'
import { contactOf, gradedOf, hardOf, isHard, exposuresOf, type Exposure } from './exposure'
import type { Check } from '../model/plan'
import { priceChange } from '../model/price'
import { decidedLines } from './decided-lines'
import { offersOf, openEyesFixes, passedBy, passedWords } from './offers'
import { clearSwaps, smallestSet } from './swap-set'
import { LEVEL_WORDS, MEETING_WORDS } from '../../food/concern'

export const adapt: Pass<PlanStart, Adapted> = (start, request) => {
  const bowls = bowlsFor(start.people, request)
  const lines = start.recipe.lines.flatMap((line) => decidedLines(line, start, request.decisions, bowls))
  const meetings = exposuresOf(start)
  const apart = new Set(bowls.find((b) => b.id === APART)?.children)
  const around: Around = {
    start,
    request,
    meetings,
    apart: new Map(),
    raw: rawSwapsOf(start.recipe, start.foods),
    factor: ratio(making(start.recipe, start.people.length, request).factor),
  }
  const checks: Check[] = []
  const findings: Finding[] = []
  const eats = (line: AdaptedLine, child: string): boolean =>
    line.only === undefined || (line.only === 'apart') === apart.has(child)
  const offers = offersOf(start.recipe, lines, start.people, (line, child) =>
    eats(line, child) ? meetings(line.food).filter((m) => m.child === child) : [],
  )
  /** How a food meets everybody where it stands in for this line of the recipe. */
  const meetsAt = (line: string, food: string): Exposure[] => {
    const not = offers.get(line)
    const met = meetings(food)
    return not ? met.map((m) => (not.has(m.child) ? passedBy(m) : m)) : met
  }
  for (const line of lines) {
    const met = meetsAt(line.line, line.food).map((m) => (eats(line, m.child) ? m : contactOf(m)))
    checks.push(
      ...met.map(({ child, about, meeting, contact }) => ({
        line: line.id,
        child,
        about,
        meeting,
        ...(contact && { contact }),
      })),
    )
    const found = concernFinding(line, met, around)
    if (found) findings.push(found)
  }
  const swapSet = apart.size > 0 ? null : smallestSet(start, request.decisions, meetings, meetsAt)
  return { draft: { ...start, bowls, lines, checks, swapSet, offers }, findings }
}

function concernFinding(line: AdaptedLine, met: readonly Exposure[], around: Around): Finding | null {
  const touching = met.filter((m) => m.grade !== null)
  if (touching.length === 0) return null
  const { foods, packets } = around.start
  const food = foods.of(line.food)
  const packet = packets.get(line.food)
  return finding({
    rule: 'concern',
    pass: 'adapt',
    grade: worst(touching.map((m) => m.grade ?? 'know')),
    subject: { line: line.id, food: line.food },
    touches: touching.map(({ child, about, level, meeting }) => ({
      child,
      about,
      meeting,
      ...(level && { level }),
    })),
    says: sentence(line.name, touching),
    because: packet
      ? (packet.open ?? []).length > 0
        ? `The packet was read, but these words are still to ask about: ${(packet.open ?? []).slice(0, 5).join(', ')}.`
        : 'The packet was read today.'
      : isUnknown(food)
        ? 'Lea does not know this food.'
        : food.compound
          ? 'It depends on the packet, and nobody has read it yet.'
          : (food.note ?? 'The typical recipe of this food. The packet in hand comes first.'),
    source: isUnknown(food) ? 'not known' : `${food.source}, from memory`,
    fixes: fixesFor(line, touching, around),
    dependsOn: [
      touching.map((t) =>
        [t.child, t.about, t.level, t.meeting, t.contact, ...(t.passed ? ['passed'] : [])].join('|'),
      ),
      line.food,
      line.only,
      packet?.lists,
      packet?.may,
      packet?.lookedFor,
      packet?.text,
      packet?.open,
    ],
  })
}

/** "Buttermilk lists milk. Zuri: milk (anaphylaxis risk, own care plan)." */
function sentence(name: string, touching: readonly Exposure[]): string {
  const byMeeting = (['lists', 'may', 'ask'] as const).flatMap((meeting) => {
    const ones = touching.filter((t) => t.meeting === meeting)
    if (ones.length === 0) return []
    const abouts = [...new Set(ones.map((t) => concernName(t.about)))].join(', ')
    if (meeting === 'lists')
      return [ones.every((o) => dietOfKey(o.about) !== null) ? `is not ${abouts}` : `lists ${abouts}`]
    return [meeting === 'may' ? `may contain ${abouts}` : `needs its packet read for ${abouts}`]
  })
  const who = [...new Set(touching.map((t) => t.child))].map((child) => {
    const own = touching.filter((t) => t.child === child)
    const what = own.map((t) => {
      const level =
        t.level && t.level in LEVEL_WORDS ? LEVEL_WORDS[t.level as keyof typeof LEVEL_WORDS] : 'diet'
      return `${concernName(t.about)} (${level})`
    })
    const apart = own.every((t) => t.passed)
      ? passedWords(own)
      : own.every((t) => t.contact)
        ? ', eats from the own bowl: own tools, mixed first, soap and water between'
        : ''
    return `${nameToken(child)}: ${what.join(', ')}${apart}`
  })
  return `${capitalised(name)} ${byMeeting.join('; ')}. ${who.join('. ')}.`
}

function fixesFor(line: AdaptedLine, touching: readonly Exposure[], around: Around): Fix[] {
  const fixes: Fix[] = []
  const original = around.start.recipe.lines.find((l) => l.id === line.line)
  const isDish = original !== undefined && isTheDish(original, around.start.recipe)
  const swaps = original && !isDish ? swapFixes(original, line, around) : []
  fixes.push(...swaps)
  if (original?.optional) {
    fixes.push({
      label: `Leave out the ${line.name}`,
      cost: 'nothing stands in for it',
      action: { do: 'decide', decision: { kind: 'leave-out', line: line.line } },
    })
  }
  fixes.push(...openEyesFixes(line, touching, around.start.recipe))
  if (line.only === undefined && !isDish) {
    const apart = apartFixes(touching, around)
    if (around.request.rules.allergy === 'own-bowl') fixes.unshift(...apart)
    else fixes.push(...apart)
  }
  if (touching.some(isHard) && swaps.length === 0 && !original?.optional) {
    fixes.push({
      label: isDish ? 'Egg is the dish: make something else' : 'No good swap: make something else',
      cost: 'recipes of yours that fit these children',
      action: { do: 'choose-other' },
    })
  }
  if (touching.some((t) => t.meeting === 'may' || t.meeting === 'ask')) {
    const read: Fix = {
      label: 'Read the packet',
      cost: 'two adults, about a minute',
      action: {
        do: 'read-packet',
        food: line.food,
        lookFor: [...new Set(touching.map((t) => t.about))],
      },
    }
    // Where nothing is listed, the packet decides: it comes before any change.
    if (touching.some(isHard)) fixes.push(read)
    else fixes.unshift(read)
  }
  fixes.push({ label: 'Go on, and write why', cost: 'kept in the record', action: { do: 'reason' } })
  return fixes
}

/** An omelette without egg is another dish: where egg is what is eaten, nothing stands in for it. Source: common practice. */
const EGG_DISH = /\b(?:omelett?e|frittata|tortilla española|scrambled|meringue|souffl[eé]|eggs?)\b/i
const isTheDish = (line: RecipeLine, { title }: Pick<Recipe, 'title'>): boolean =>
  /^egg-(?:hen|duck|quail|white|yolk|boiled)$/.test(line.food) &&
  (line.role === 'main' || line.food === 'egg-white') &&
  EGG_DISH.test(title)

/** Swaps whose foods list nothing that any child present must avoid; those that need a packet read say so. */
function swapFixes(original: RecipeLine, line: AdaptedLine, around: Around): Fix[] {
  const { meetings, raw } = around
  const offers = clearSwaps(original, (food) => hardOf(meetings(food)).length > 0, raw).flatMap((swap) => {
    if (line.swappedFrom && swap.parts.some((p) => p.food === line.food)) return []
    return [{ swap, open: swap.parts.flatMap((part) => gradedOf(meetings(part.food))) }]
  })
  // The fewest packets first; then amounts that measures can make.
  const uneven = (swap: Swap): number =>
    applySwap(swap, original.amount, original.unit).filter((p) => isRounded(p.amount)).length
  offers.sort((a, b) => a.open.length - b.open.length || uneven(a.swap) - uneven(b.swap))
  return offers.slice(0, 4).map(({ swap, open }) => swapFix(swap, original, open, around))
}

function swapFix(
  swap: Swap,
  original: RecipeLine,
  open: readonly Exposure[],
  { start, request, factor }: Around,
): Fix {
  const { foods } = start
  const all = scale(original.amount, factor).amount
  const parts = applySwap(swap, all, original.unit)
  const names = parts.map((p) => foods.of(p.food).name).join(' and ')
  const amounts = parts.map((p) => amountText(p.amount, p.unit)).join(' + ')
  const price = priceChange({ food: original.food, amount: all, unit: original.unit }, parts, request)
  const still = open.map((m) => `${MEETING_WORDS[m.meeting]}: ${concernName(m.about)}`)
  return {
    label: `${capitalised(names)} for everyone`,
    how: [`${amounts} in all`, ...(swap.method ? [swap.method] : [])].join(' · '),
    cost: [
      swap.effect,
      ...(price ? [price] : []),
      ...(still.length > 0 ? [`still to read (${[...new Set(still)].join('; ')})`] : []),
    ].join(' · '),
    action: { do: 'decide', decision: { kind: 'swap', line: original.id, swap: swap.id } },
  }
}
