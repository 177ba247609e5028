/**
 * Pass 1, adapt: who shares which bowl, the lines as decided, and every line against every child present.
 *
 * Does little yet: the bowls are one for all or one for each group, and every child at the table is checked against
 * every line, whichever bowl it is for (bowls share a table); a swap holds for all bowls. Own bowls come later.
 */
import { factorBetween, scale } from '../amount/scale'
import { amountText } from '../amount/show'
import { applySwap, swapOf, swapsFor, type Swap } from '../food/swaps'
import { foodName, isUnknown } from '../food/foods'
import { allergenName } from '../food/allergens'
import { gradeOf, LEVEL_WORDS, meet, MEETING_WORDS, type Grade, type Meeting } from '../food/concerns'
import { dietKey, meetDiet } from '../food/diets'
import type { RecipeLine } from '../recipe/recipe'
import type { Decision } from './decision'
import type { Adapted, AdaptedLine, Pass, Person, Start } from './draft'
import { finding, nameToken, worst, type Finding, type Fix, type Touches } from './finding'
import type { Check } from './plan'
import type { PlanRequest } from './request'

export const adapt: Pass<Start, Adapted> = (start, request) => {
  const lines = start.recipe.lines.flatMap((line) => decidedLines(line, start, request.decisions))
  const checks: Check[] = []
  const findings: Finding[] = []
  for (const line of lines) {
    const met = meetings(line.food, start)
    checks.push(...met.map(({ child, about, meeting }) => ({ line: line.id, child, about, meeting })))
    const found = concernFinding(line, met, start)
    if (found) findings.push(found)
  }
  return { draft: { ...start, bowls: bowlsFor(start.people, request), lines, checks }, findings }
}

/** One bowl for all, or near-equal groups of at most the house's size, neighbours in the list together. */
function bowlsFor(people: readonly Person[], { rules }: PlanRequest): Adapted['bowls'] {
  const ids = people.map((p) => p.id)
  const count = rules.grouping === 'groups' ? Math.max(1, Math.ceil(ids.length / rules.groupSize)) : 1
  return Array.from({ length: count }, (_, i) => ({
    id: count === 1 ? 'all' : `group-${i + 1}`,
    name: count === 1 ? 'one bowl' : `bowl ${i + 1}`,
    children: ids.slice(Math.floor((i * ids.length) / count), Math.floor(((i + 1) * ids.length) / count)),
  }))
}

const decisionOn = <K extends Decision['kind']>(list: readonly Decision[], kind: K, line: string) =>
  list.find((d): d is Extract<Decision, { kind: K }> => d.kind === kind && 'line' in d && d.line === line)

function decidedLines(line: RecipeLine, { foods }: Start, decisions: readonly Decision[]): AdaptedLine[] {
  if (line.optional && decisionOn(decisions, 'leave-out', line.id)) return []
  const shape = decisionOn(decisions, 'shape', line.id)?.shape ?? line.shape
  const chosen = decisionOn(decisions, 'swap', line.id)
  const swap = chosen && swapOf(chosen.swap)
  const base = {
    line: line.id,
    role: line.role,
    ...(line.prep && { prep: line.prep }),
    ...(shape && { shape }),
  }
  if (!swap || !swapsFor(line.food, line.role, line.unit).includes(swap)) {
    const name = foodName(foods.of(line.food), line.unit === 'item' && line.amount !== '1')
    return [{ ...base, id: line.id, food: line.food, name, amount: line.amount, unit: line.unit }]
  }
  return applySwap(swap, line.amount, line.unit).map((part) => ({
    ...base,
    ...part,
    id: `${line.id}>${part.food}`,
    name: foodName(foods.of(part.food), part.unit === 'item'),
    swappedFrom: foodName(foods.of(line.food)),
    ...(swap.method && { method: swap.method }),
  }))
}

interface Met extends Touches {
  grade: Grade | null
  meeting: Meeting
}

/** How a food meets every concern and diet of the children present. */
function meetings(
  foodId: string,
  { people, foods, packets }: Pick<Start, 'people' | 'foods' | 'packets'>,
): Met[] {
  const food = foods.of(foodId)
  const packet = packets.get(foodId)
  return people.flatMap((child) => [
    ...child.concerns.map((c) => {
      const meeting = meet(c.allergen, food, packet)
      return { child: child.id, about: c.allergen, level: c.level, meeting, grade: gradeOf(meeting, c) }
    }),
    ...child.diets.map((diet) => {
      const meeting = meetDiet(diet, food, packet)
      return {
        child: child.id,
        about: dietKey(diet),
        meeting,
        grade: meeting === 'nothing' ? null : ('stop' as const),
      }
    }),
  ])
}

const aboutName = (about: string): string =>
  about.startsWith('diet:') ? about.slice(5) : allergenName(about)

function concernFinding(line: AdaptedLine, met: readonly Met[], start: Start): Finding | null {
  const touching = met.filter((m) => m.grade !== null)
  if (touching.length === 0) return null
  const food = start.foods.of(line.food)
  const packet = start.packets.get(line.food)
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
      ? 'The packet was read today.'
      : isUnknown(food)
        ? 'Lea does not know this food.'
        : food.compound
          ? 'It depends on the packet, and nobody has read it yet.'
          : (food.note ?? 'The typical recipe of this food. The packet in hand comes first.'),
    source: isUnknown(food) ? 'not known' : `${food.source}, from memory`,
    fixes: fixesFor(line, touching, start),
    restsOn: [touching, line.food, packet?.lists, packet?.may, packet?.lookedFor],
  })
}

/** "Buttermilk lists milk. Zuri: milk, anaphylaxis risk, own care plan." */
function sentence(name: string, touching: readonly Met[]): string {
  const byMeeting = (['lists', 'may', 'ask'] as const).flatMap((meeting) => {
    const ones = touching.filter((t) => t.meeting === meeting)
    if (ones.length === 0) return []
    const abouts = [...new Set(ones.map((t) => aboutName(t.about)))].join(', ')
    if (meeting === 'lists')
      return [ones.every((o) => o.about.startsWith('diet:')) ? `is not ${abouts}` : `lists ${abouts}`]
    return [meeting === 'may' ? `may contain ${abouts}` : `needs its packet read for ${abouts}`]
  })
  const who = [...new Set(touching.map((t) => t.child))].map((child) => {
    const own = touching.filter((t) => t.child === child)
    const what = own.map((t) => {
      const level =
        t.level && t.level in LEVEL_WORDS ? LEVEL_WORDS[t.level as keyof typeof LEVEL_WORDS] : 'diet'
      return `${aboutName(t.about)} (${level})`
    })
    return `${nameToken(child)}: ${what.join(', ')}`
  })
  return `${name[0]?.toUpperCase() ?? ''}${name.slice(1)} ${byMeeting.join('; ')}. ${who.join('. ')}.`
}

function fixesFor(line: AdaptedLine, touching: readonly Met[], start: Start): Fix[] {
  const fixes: Fix[] = []
  const original = start.recipe.lines.find((l) => l.id === line.line)
  if (original) fixes.push(...swapFixes(original, line, start))
  if (original?.optional) {
    fixes.push({
      label: `Leave out the ${line.name}`,
      cost: 'nothing stands in for it',
      action: { do: 'decide', decision: { kind: 'leave-out', line: line.line } },
    })
  }
  if (touching.some((t) => t.meeting === 'may' || t.meeting === 'ask')) {
    fixes.push({
      label: 'Read the packet',
      cost: 'two adults, about a minute',
      action: { do: 'read-packet', food: line.food, lookFor: [...new Set(touching.map((t) => t.about))] },
    })
  }
  fixes.push({ label: 'Go on, with a written reason', cost: 'stays in the record', action: { do: 'reason' } })
  return fixes
}

/** Swaps whose foods list nothing that any child present must avoid; those that need a packet read say so. */
function swapFixes(original: RecipeLine, line: AdaptedLine, start: Start): Fix[] {
  const offers = swapsFor(original.food, original.role, original.unit).flatMap((swap) => {
    if (line.swappedFrom && swap.parts.some((p) => p.food === line.food)) return []
    const met = swap.parts.flatMap((part) => meetings(part.food, start)).filter((m) => m.grade !== null)
    if (met.some((m) => m.meeting === 'lists' && m.grade !== 'know')) return []
    return [{ swap, open: met }]
  })
  offers.sort((a, b) => a.open.length - b.open.length)
  return offers.slice(0, 4).map(({ swap, open }) => swapFix(swap, original, open, start))
}

function swapFix(
  swap: Swap,
  original: RecipeLine,
  open: readonly Met[],
  { foods, recipe, people }: Start,
): Fix {
  const all = scale(original.amount, factorBetween(recipe.serves, people.length)).amount
  const parts = applySwap(swap, all, original.unit)
  const names = parts.map((p) => foods.of(p.food).name).join(' and ')
  const amounts = parts.map((p) => amountText(p.amount, p.unit)).join(' + ')
  const still = open.map((m) => `${MEETING_WORDS[m.meeting]}: ${aboutName(m.about)}`)
  return {
    label: `${names[0]?.toUpperCase() ?? ''}${names.slice(1)} for everyone`,
    cost: [
      `${amounts} in all`,
      swap.effect,
      ...(still.length > 0 ? [`still to read (${[...new Set(still)].join('; ')})`] : []),
    ].join(' · '),
    action: { do: 'decide', decision: { kind: 'swap', line: original.id, swap: swap.id } },
  }
}
