/** What a second screen shows just now: worked out here, so that nothing but pictures and mats leaves the server. */
import { matNumbers } from '@lea/core/craft'
import type { Plan } from '@lea/core/plan'
import { type ShowFrame, replay, showFrame } from '@lea/core/session'
import { atTable } from '@lea/core/setting'
import type { Pool } from 'pg'
import { inSetting } from '../db/pool'
import { listChildren } from '../db/people'
import type { SecondScreen } from '../db/second-screens'
import * as store from '../db/sessions'
import { requestInForce } from '../plan/request-of'

/** A plan is read once while it stands: what is said along it is worked out once for the same plan. */
const plans = new Map<string, Plan>()
const MOST_PLANS = 40

function known(session: string, plan: Plan): Plan {
  const before = plans.get(session)
  const now = before?.digest === plan.digest ? before : plan
  plans.delete(session)
  plans.set(session, now)
  for (const oldest of plans.keys()) {
    if (plans.size <= MOST_PLANS) break
    plans.delete(oldest)
  }
  return now
}

/** @returns null where the table is not at work (any more) */
export const frameOf = (pool: Pool, screen: SecondScreen): Promise<ShowFrame | null> =>
  inSetting(pool, screen.settingId, async (db) => {
    const session = await store.getSession(db, screen.sessionId)
    const plan = session?.state === 'cooking' ? await store.frozenPlan(db, session.id) : null
    if (!session || !plan) return null
    const children = await listChildren(db)
    const { events } = await store.listEvents(db, session.id)
    const request = await requestInForce(db, session)
    const mats = matNumbers(children, [...children.map((c) => c.id), ...session.guests.map((g) => g.id)])
    return showFrame(
      {
        plan: known(session.id, plan),
        state: replay(events),
        bowl: screen.bowl,
        speakers: request.children.map((c) => ({ child: c.id, languages: c.languages })),
        present: atTable(session, children),
      },
      (id) => mats.get(id) ?? 0,
    )
  })
