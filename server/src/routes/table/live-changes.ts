import { Router, type Request } from 'express'
import {
  type LiveChange,
  type Plan,
  adultAway,
  childLeaves,
  handBreaches,
  measureBreaks,
  ranShort,
  replanRemaining,
  runsLate,
} from '@lea/core/plan'
import { must } from '@lea/core/amount'
import { type MendInput, mendSchema } from '@lea/core/schema'
import { replay } from '@lea/core/session'
import { type StoredSession, inputsOf } from '@lea/core/setting'
import type { AppContext } from '../../context'
import { writeAudit } from '../../db/audit'
import { listChildren } from '../../db/people'
import { inSetting, type Db } from '../../db/pool'
import * as store from '../../db/sessions'
import { atLeast, personOf } from '../../auth'
import { Fault, notFound, read } from '../../fault'
import { requestInForce } from '../../plan/request-of'
import { findSession } from '../find-session'

/** Changes in the middle of cooking, mended without moving others: somebody leaves, an adult is called away, it runs late. */
export function mendRoutes({ pool }: AppContext): Router {
  const router = Router()
  const helper = atLeast('helper')

  router.post('/:id/mend', helper, async (req, res) => {
    const change = await read(mendSchema, req.body)
    const answer = await inSetting(pool, personOf(req).settingId, async (db) => {
      const session = await cooking(db, req)
      const plan = await store.frozenPlan(db, session.id)
      if (!plan) throw notFound('the plan of this session')
      const done = await doneTurns(db, session, change)
      const mended = await mend(db, session, plan, change, done)
      if ('refused' in mended) throw new Fault(409, mended.refused, 'change')
      await keepWho(db, personOf(req).settingId, session, change)
      const after = must(await store.getSession(db, session.id), 'a session under its lock')
      const request = await requestInForce(db, after)
      const broken = handBreaches(mended.plan, request, done)
      if (broken.length > 0)
        throw new Fault(
          409,
          `the changed plan would break a rule: ${broken[0]}. Cook on by the old one`,
          'change',
        )
      await store.freeze(db, session.id, { plan: mended.plan, request }, 'cooking')
      const did = {
        left: 'a child left the table',
        away: 'an adult was called away',
        late: 'runs late',
        broken: 'a measure broke',
        short: 'a food ran short',
        shorten: 'shortened the rest',
      }
      await writeAudit(
        db,
        personOf(req).settingId,
        personOf(req).id,
        'sessions',
        did[change.kind],
        session.id,
      )
      return { ...mended, session: await store.getSession(db, session.id) }
    })
    res.json(answer)
  })
  return router
}

/** The session under its lock. */
async function cooking(db: Db, req: Request): Promise<StoredSession> {
  const session = await findSession(db, req, 'lock')
  if (session.state !== 'cooking') throw new Fault(409, 'cooking is not under way')
  return session
}

/** Turns that have happened: what the device knows to be done counts, also where it has not been sent yet. */
async function doneTurns(db: Db, session: StoredSession, change: MendInput): Promise<Set<string>> {
  const { events } = await store.listEvents(db, session.id)
  return new Set([...Object.keys(replay(events).turns), ...('done' in change ? change.done : [])])
}

async function mend(
  db: Db,
  session: StoredSession,
  plan: Plan,
  change: MendInput,
  done: ReadonlySet<string>,
): Promise<LiveChange> {
  if (change.kind === 'late') return runsLate(plan, change.step, change.minutes)
  if (change.kind === 'away')
    return adultAway(plan, await requestInForce(db, session), change.adult, change.step)
  if (change.kind === 'left') {
    const ahead = new Map((await listChildren(db)).map((c) => [c.id, c.progress?.turnsOverShare ?? 0]))
    return childLeaves(plan, done, change.child, ahead)
  }
  if (change.kind === 'short') return ranShort(plan, change.line, change.left, done)
  const request = await requestInForce(db, session)
  if (change.kind === 'broken') return measureBreaks(plan, request, change.measure, done)
  const next = replanRemaining(plan, request, { step: change.step, done }, change.change)
  return 'refused' in next ? next : { plan: next, says: [`It ends at ${next.totals.endsAt}.`] }
}

/** Who is here is an input of the session: the one who left is not any more. */
async function keepWho(db: Db, setting: string, session: StoredSession, change: MendInput): Promise<void> {
  const { children, guests, adults } = session
  const who = {
    children: change.kind === 'left' ? children.filter((c) => c !== change.child) : children,
    guests: change.kind === 'left' ? guests.filter((g) => g.id !== change.child) : guests,
    adults: change.kind === 'away' ? adults.filter((a) => a !== change.adult) : adults,
  }
  await store.saveSession(db, setting, session.id, { ...inputsOf(session), ...who })
}
