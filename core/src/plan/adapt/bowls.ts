/** Who shares which bowl: one for all, one for each group, and one apart where an allergy asks for it. */
import type { Decision } from '../model/decision'
import type { Adapted, DraftChild } from '../model/draft'
import type { PlanRequest } from '../model/request'
import { APART, type PlanLine } from '../model/line'

export const apartDecision = (
  decisions: readonly Decision[],
): Extract<Decision, { kind: 'apart' }> | undefined => decisions.find((d) => d.kind === 'apart')

/** Own bowls where the house wants them; else near-equal groups of at most the house's size, neighbours in the list together. */
export function bowlsFor(people: readonly DraftChild[], { rules, decisions }: PlanRequest): Adapted['bowls'] {
  const wanted = new Set(apartDecision(decisions)?.children ?? [])
  const apart = people.filter((p) => wanted.has(p.id)).map((p) => p.id)
  const sharing = people.filter((p) => !wanted.has(p.id))
  const alone = sharing.filter((p) => rules.grouping === 'own' || p.age < (rules.ownUnder ?? 0))
  const own = alone.map((p, i) => ({
    id: `own-${p.id}`,
    name: `own bowl ${i + 1}`,
    children: [p.id],
  }))
  const ids = sharing.filter((p) => !alone.includes(p)).map((p) => p.id)
  const count = rules.grouping === 'groups' ? Math.max(1, Math.ceil(ids.length / rules.groupSize)) : 1
  const rest = Array.from({ length: ids.length === 0 ? 0 : count }, (_, i) => ({
    id: count === 1 ? 'all' : `group-${i + 1}`,
    name: count === 1 ? 'one bowl' : `bowl ${i + 1}`,
    children: ids.slice(Math.floor((i * ids.length) / count), Math.floor(((i + 1) * ids.length) / count)),
  }))
  const all = [...rest, ...own]
  return apart.length > 0 ? [{ id: APART, name: 'own bowl, first', children: apart }, ...all] : all
}

/** Does a line stand in this bowl? */
export const standsIn = (line: Pick<PlanLine, 'only'>, bowl: string): boolean =>
  line.only === undefined || (line.only === 'apart') === (bowl === APART)
