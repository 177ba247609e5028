/** How a food meets every concern and diet of the children present: those who eat of it, and those who only sit near. */
import { gradeOf, meet, type Grade } from '../../food/concerns'
import { dietKey, meetDiet } from '../../food/diets'
import type { DraftChild, PlanStart } from '../model/draft'
import type { FindingSubject } from '../model/finding'
import type { Concern, ExposureKind } from '../../food/concern'

export interface Exposure extends FindingSubject {
  grade: Grade | null
  meeting: ExposureKind
  /** The child does not eat of it: only contact counts. */
  contact?: true
  /** Since it is not offered to it. */
  passed?: true
}

type Table = Pick<PlanStart, 'people' | 'foods' | 'packets' | 'diets'>

/** Meetings of one food with the children who eat of it, remembered for each food while a plan is made. */
export function exposuresOf(table: Table): (food: string) => Exposure[] {
  const known = new Map<string, Exposure[]>()
  return (id) => {
    let met = known.get(id)
    if (!met) known.set(id, (met = meetingsOf(id, table)))
    return met
  }
}

/** What several children have on their cards is met once. */
function meetingsOf(id: string, { people, foods, packets, diets }: Table): Exposure[] {
  const food = foods.of(id)
  const packet = packets.get(id)
  const byAllergen = new Map<string, ExposureKind>()
  const byDiet = new Map<string, ExposureKind>()
  const once = (known: Map<string, ExposureKind>, key: string, work: () => ExposureKind): ExposureKind => {
    let found = known.get(key)
    if (found === undefined) known.set(key, (found = work()))
    return found
  }
  const meetingsWith = (child: DraftChild): Exposure[] => [
    ...child.concerns.map((c): Exposure => {
      const meeting = once(byAllergen, c.allergen, () => meet(c.allergen, food, packet))
      return { child: child.id, about: c.allergen, level: c.level, meeting, grade: gradeOf(meeting, c) }
    }),
    ...child.diets.map((diet): Exposure => {
      const about = dietKey(diet)
      const meeting = once(byDiet, about, () => meetDiet(diet, food, packet, diets))
      return { child: child.id, about, meeting, grade: meeting === 'nothing' ? null : 'stop' }
    }),
  ]
  return people.flatMap(meetingsWith)
}

/** Levels for which what is listed may not be on the table at all, also not in another bowl. Source: allergens.md E1. */
const WHOLE_TABLE: readonly string[] = ['anaphylaxis-risk', 'not-in-room'] satisfies Concern['level'][]
/** It may not be at the table at all, or nobody knows yet whether it may: read first, whoever eats of it. */
export const isForTheTable = (m: Exposure): boolean =>
  WHOLE_TABLE.includes(m.level ?? '') && (m.meeting === 'lists' || m.meeting === 'ask')
const NO_CONTACT_RULE: readonly string[] = ['intolerance', 'preference'] satisfies Concern['level'][]

/** The same for a child who eats from another bowl: cross-contact, or the whole table where the level asks for it. */
export function contactOf(met: Exposure): Exposure {
  const keeps = met.level === undefined || NO_CONTACT_RULE.includes(met.level) || met.meeting !== 'lists'
  const grade = keeps ? null : WHOLE_TABLE.includes(met.level ?? '') ? 'stop' : 'adult'
  return { ...met, grade, contact: true }
}

/** A part of a food's meetings, worked out once for each list. */
function part(keep: (m: Exposure) => boolean): (met: readonly Exposure[]) => Exposure[] {
  const known = new WeakMap<readonly Exposure[], Exposure[]>()
  return (met) => {
    const found = known.get(met) ?? met.filter(keep)
    known.set(met, found)
    return found
  }
}

/** Clearable by a change only: it lists what somebody who eats it, or sits near it, must not have. */
export const isHard = (m: Exposure): boolean => m.grade === 'stop' && m.meeting === 'lists'

/** Of a food's meetings those that only a change clears, and those that are worth a word at all. */
export const hardOf = part(isHard)
export const gradedOf = part((m) => m.grade !== null)

/** How many meetings each child has of a list, worked out once for it. */
const counts = new WeakMap<readonly Exposure[], Map<string, number>>()
export function byChild(met: readonly Exposure[]): ReadonlyMap<string, number> {
  let found = counts.get(met)
  if (!found) {
    found = new Map()
    for (const m of met) found.set(m.child, (found.get(m.child) ?? 0) + 1)
    counts.set(met, found)
  }
  return found
}
