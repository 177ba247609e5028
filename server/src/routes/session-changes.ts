/** What a changed session must keep to, and how it is kept. */
import { type Decision, decisionKey } from '@lea/core/plan'
import { sessionSchema } from '@lea/core/schema'
import { childrenNotCoveredByPlan } from '@lea/core/session'
import { type SessionChange, type StoredSession, atTable, inputsOf } from '@lea/core/setting'
import type { SignedIn } from '../auth'
import { simulatedPackets } from '../db/packets'
import { differing, noteBy, writeAudit } from '../db/audit'
import { listAdults, listChildren } from '../db/people'
import type { Db } from '../db/pool'
import * as store from '../db/sessions'
import { getRecipe, getSetting } from '../db/settings'
import { Fault, read } from '../fault'

/**
 * A planned session changes freely. At the table decisions change only while somebody is here whom the plan in force does not know.
 * @throws Fault 409
 */
export async function mayChange(
  db: Db,
  session: StoredSession,
  changes: readonly SessionChange[],
): Promise<void> {
  if (session.state === 'planned') return
  const onlyDecisions = changes.every((c) => c.kind === 'decide')
  if (onlyDecisions && (await hasUnseen(db, session))) return
  throw new Fault(409, 'cooking has begun: the plan of this session is frozen')
}

/** Keeps what differs. @throws Fault 400 where the whole would be none, 409 where a decision may not be */
export async function keepChanges(
  db: Db,
  person: SignedIn,
  before: StoredSession,
  after: StoredSession,
): Promise<void> {
  const [was, to] = [inputsOf(before), inputsOf(after)]
  if (JSON.stringify(was) !== JSON.stringify(to)) {
    const inputs = await read(sessionSchema, to)
    await mustExist(db, inputs, was)
    await store.saveSession(db, person.settingId, after.id, inputs)
    await noteBy(
      db,
      person,
      'sessions',
      `changed a session: ${differing(was, inputs, ['date', 'start', 'until'])}`,
      after.id,
    )
  }
  const fresh = after.decisions.filter((d) => !before.decisions.includes(d))
  if (fresh.length === 0 && after.decisions.length === before.decisions.length) return
  if (after.decisions.length > MOST_DECISIONS)
    throw new Fault(400, `Decisions may hold at most ${MOST_DECISIONS}`, 'changes')
  await refuseSimulated(db, fresh)
  await store.saveDecisions(db, after.id, after.decisions)
  const taken = before.decisions.filter((d) => !after.decisions.includes(d))
  const kinds = (list: readonly Decision[]): string => [...new Set(list.map((d) => d.kind))].join(', ')
  const said = [fresh.length > 0 && kinds(fresh), taken.length > 0 && `taken back ${kinds(taken)}`]
  await noteBy(db, person, 'sessions', `decided: ${said.filter(Boolean).join('; ')}`, after.id)
  for (const d of fresh)
    if (d.kind === 'clear')
      await writeAudit(
        db,
        person.settingId,
        person.id,
        'sessions',
        `cleared a finding: ${decisionKey(d).slice(6, 80)}`,
        after.id,
      )
}
const MOST_DECISIONS = 400

interface Who {
  recipe: string
  children: string[]
  adults: string[]
}
/** @param known what was there before need not be looked for */
export async function mustExist(
  db: Db,
  input: Who,
  known: Who = { recipe: '', children: [], adults: [] },
): Promise<void> {
  if (input.recipe !== known.recipe && !(await getRecipe(db, input.recipe)))
    throw new Fault(400, 'this recipe is not there (any more)', 'recipe')
  const fresh = (list: string[], before: string[]): string[] => list.filter((id) => !before.includes(id))
  const gone = async (ids: string[], all: () => Promise<{ id: string }[]>): Promise<boolean> => {
    if (ids.length === 0) return false
    const here = new Set((await all()).map((x) => x.id))
    return ids.some((id) => !here.has(id))
  }
  if (await gone(fresh(input.children, known.children), () => listChildren(db)))
    throw new Fault(400, 'a child is not there (any more)', 'children')
  if (await gone(fresh(input.adults, known.adults), () => listAdults(db)))
    throw new Fault(400, 'an adult is not there (any more)', 'adults')
}

/** Is somebody at the table whom the frozen plan does not know, or not with this card? */
async function hasUnseen(db: Db, session: StoredSession): Promise<boolean> {
  const plan = session.state === 'cooking' ? await store.frozenPlan(db, session.id) : null
  if (!plan) return false
  return childrenNotCoveredByPlan(plan, atTable(session, await listChildren(db))).length > 0
}

/** A packet that the scanner stand-in made never counts as read outside the demo. */
async function refuseSimulated(db: Db, decisions: readonly Decision[]): Promise<void> {
  const used = decisions.flatMap((d) => (d.kind === 'packet' && d.packet ? [d.packet] : []))
  if (used.length === 0 || (await getSetting(db)).demo) return
  const simulated = await simulatedPackets(db)
  if (used.some((id) => simulated.has(id)))
    throw new Fault(409, 'a packet of the scanner stand-in never counts as read', 'decisions')
}
