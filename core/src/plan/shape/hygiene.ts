/**
 * The hygiene and cross-contact plan: order of work, own tools, wipe-downs, who sits where, what stays in its packet, what
 * stays out of the room, and what happens to leftovers.
 * Sources: allergens.md E2-E3 (FSA, hand-cleaning studies), age-skill-safety.md D3-D4 (FSA, Food Code, USDA, CDC); from
 * memory. The setting's own rules, care plans and local codes come first.
 */
import { isHot } from '../../recipe/recipe'
import { coreSource, coreWords } from '../../food/core-temperature'
import { nationOf } from '../../amount/nation/nations'
import { allergenName } from '../../food/allergens'
import { foodName, rawKindOf } from '../../food/foods'
import { APART } from '../model/line'
import type { Adapted, AdaptedLine } from '../model/draft'
import { nameToken } from '../model/finding'
import type { HygieneNote } from '../model/plan'
import type { PlanRequest } from '../model/request'

const FSA = 'FSA; common practice, from memory'

/** Raw foods that decide the order of work: meat and fish of every kind are one here. */
export function rawKind(
  line: Pick<AdaptedLine, 'food'>,
  foods: Adapted['foods'],
): 'egg' | 'meat' | 'flour' | null {
  const kind = rawKindOf(foods.of(line.food))
  return kind === null || kind === 'egg' || kind === 'flour' ? kind : 'meat'
}

export function hygieneOf(draft: Omit<Adapted, 'swapSet'>, request: PlanRequest): HygieneNote[] {
  return [...orderNotes(draft), ...tableNotes(draft), ...afterNotes(draft, request)]
}

function orderNotes({ bowls, lines, foods }: Omit<Adapted, 'swapSet'>): HygieneNote[] {
  const notes: HygieneNote[] = []
  const apart = bowls.find((b) => b.id === APART)
  if (apart) {
    notes.push({
      when: 'order',
      says: `The own bowl for ${apart.children.map(nameToken).join(' and ')} first: clean table, own bowl, spoon, board and measures. Cover and label it, then the rest.`,
      source: FSA,
    })
  }
  const raw = new Set(lines.map((l) => rawKind(l, foods)))
  if (raw.has('egg') || raw.has('meat')) {
    const last = raw.has('meat')
      ? 'raw meat or fish last, by an adult only, on its own board'
      : 'raw egg after them'
    notes.push({
      when: 'order',
      says: `Fruit, vegetables and what is eaten as it is come first, on a clean table; ${last}. Clean with detergent, then disinfect, in between.`,
      source: 'FSA; Food Code 3-302, from memory',
    })
  }
  if (raw.has('egg'))
    notes.push({
      when: 'order',
      says: 'Whoever touched raw egg or shell: soap, 20 seconds, before touching anything else.',
      source: 'FSA; CDC, from memory',
    })
  return notes
}

function tableNotes({ people, checks, lines, foods }: Omit<Adapted, 'swapSet'>): HygieneNote[] {
  const notes: HygieneNote[] = [
    {
      when: 'before',
      says: 'Hands: soap, 20 seconds, rinse, dry. Gel and plain water do not take allergens off. Tables with detergent and a fresh cloth.',
      source: 'hand-cleaning studies on peanut; FSA; CDC, from memory',
    },
    {
      when: 'before',
      says: 'Keep every packet, unopened copies apart, until everyone has gone home. Never decant without the label.',
      source: FSA,
    },
  ]
  const roomOnly = people.flatMap((p) =>
    p.concerns.filter((c) => c.level === 'not-in-room').map((c) => ({ p, c })),
  )
  for (const { p, c } of roomOnly)
    notes.push({
      when: 'before',
      says: `Nothing with ${allergenName(c.allergen)} comes into the room (${nameToken(p.id)}): also no empty packets, boxes, bird seed or crumbs on sleeves.`,
      source: "the child's plan; EYFS practice, from memory",
    })
  const near = new Map<string, Set<string>>()
  for (const check of checks) {
    const strict = people
      .find((p) => p.id === check.child)
      ?.concerns.some((c) => c.allergen === check.about && !['preference', 'intolerance'].includes(c.level))
    if (strict && (check.meeting === 'lists' || check.meeting === 'may'))
      near.set(check.child, (near.get(check.child) ?? new Set()).add(nameOfLine(check.line, lines, foods)))
  }
  for (const [child, things] of near)
    notes.push({
      when: 'table',
      says: `Seat ${nameToken(child)} at an end with an adult in reach: ${[...things].join(', ')} on the table. Own tools; no sharing of food, cups or spoons; soap and water before and after.`,
      source: 'DfE; FSA; common practice, from memory',
    })
  return notes
}

const nameOfLine = (id: string, lines: readonly AdaptedLine[], foods: Adapted['foods']): string => {
  const line = lines.find((l) => l.id === id)
  return line ? foodName(foods.of(line.food)) : id
}

function afterNotes(
  { recipe, lines, foods, people }: Omit<Adapted, 'swapSet'>,
  { rules }: PlanRequest,
): HygieneNote[] {
  const notes: HygieneNote[] = []
  const us = nationOf(rules).core === 'us'
  const { keeping: keep } = nationOf(rules)
  const raw = new Set(lines.map((l) => rawKind(l, foods)))
  if (raw.has('meat'))
    notes.push({
      when: 'after',
      says: us
        ? 'Cook poultry to 74 °C (165 °F), mince to 71 °C (160 °F), by probe, thickest part, an adult.'
        : `Cook to ${coreWords('poultry', nationOf(rules).core)}, by probe, thickest part, an adult.`,
      source: coreSource(nationOf(rules).core),
    })
  if (raw.has('egg'))
    notes.push({
      when: 'after',
      says: us
        ? 'Egg dishes to 71 °C (160 °F), firm.'
        : nationOf(rules).stampedEggs
          ? 'White and yolk firm, unless the egg carries the national stamp for runny eggs.'
          : `White and yolk firm; egg dishes to ${coreWords('egg', nationOf(rules).core)}.`,
      source: nationOf(rules).stampedEggs ? 'FSA, NHS, from memory' : coreSource(nationOf(rules).core),
    })
  if (recipe.steps.some((s) => s.tasks.some((t) => isHot(t.place))))
    notes.push({
      when: 'after',
      says: 'Lukewarm before it reaches a child: an adult tests each portion. Hot drinks stay out of the room.',
      source: 'NHS; common practice, from memory',
    })
  if (people.length > 0)
    notes.push({
      when: 'after',
      says: `Out of the fridge two hours at most. Leftovers: cooled, in the fridge within ${keep.coolWithin} at ${keep.fridge} °C or below, eaten within ${keep.days} days${lines.some((l) => l.food.startsWith('rice-')) ? ' (rice: cooled within 1 hour, eaten within 24 hours)' : ''}, reheated once, to ${keep.reheat} °C; kept hot at ${keep.hot} °C or above; from a child's plate: none.`,
      source: keep.source,
    })
  return notes
}
