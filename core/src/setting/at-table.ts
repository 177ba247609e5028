/** Who is at the table, with what each card asks now. */
import { childSafetyDigest, type Present } from '../plan/model/child-safety-digest'
import type { StoredChild, StoredSession } from './assemble'
import { planChild } from './assemble'

/** Who is at the table of a session, with what each card asks now. */
export function atTable(
  session: Pick<StoredSession, 'children' | 'guests'>,
  children: readonly StoredChild[],
): Present[] {
  const cards = new Map([...children, ...session.guests].map((c) => [c.id, childSafetyDigest(planChild(c))]))
  return [...session.children, ...session.guests.map((g) => g.id)].map((id) => {
    const card = cards.get(id)
    return { id, ...(card !== undefined && { card }) }
  })
}
