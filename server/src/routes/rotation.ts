import { randomUUID } from 'node:crypto'
import { Router } from 'express'
import { type RotationInput, rotationSchema } from '@lea/core/schema'
import type { SessionInputs, StoredSession } from '@lea/core/setting'
import * as store from '../db/sessions'
import { writeAudit } from '../db/audit'
import { inSetting } from '../db/pool'
import { atLeast, pageOf, personOf } from '../auth'
import { Fault, read } from '../fault'
import type { AppContext } from '../context'
import { tell } from '../live/table-feed'
import { findSession } from './find-session'

/** One session becomes several, group after group: the first group keeps the session, the others get one each. */
export function rotationRoutes({ pool }: AppContext): Router {
  const router = Router()
  router.post('/:id/rotation', atLeast('leader'), async (req, res) => {
    const { groups } = await read(rotationSchema, req.body)
    const { settingId, id: adult } = personOf(req)
    const made = await inSetting(pool, settingId, async (db) => {
      const session = await findSession(db, req, 'lock')
      if (session.state !== 'planned')
        throw new Fault(409, 'cooking has begun: the plan of this session is frozen')
      mustBeEveryone(groups, session)
      const ids = [session.id, ...groups.slice(1).map(() => randomUUID())]
      for (const [i, group] of groups.entries()) {
        const key = ids[i] as string
        await store.saveSession(db, settingId, key, ofGroup(session, group))
        if (key !== session.id) await store.saveDecisions(db, key, session.decisions)
      }
      await tell(db, session.id, 'session', pageOf(req))
      await writeAudit(db, settingId, adult, 'sessions', 'made a rotation of small groups', session.id)
      const all: (StoredSession | null)[] = []
      for (const key of ids) all.push(await store.getSession(db, key))
      return all
    })
    res.status(201).json(made)
  })
  return router
}

type Group = RotationInput['groups'][number]

/** Nobody twice, nobody lost. */
function mustBeEveryone(groups: readonly Group[], session: StoredSession): void {
  const there = [...session.children, ...session.guests.map((g) => g.id)].sort()
  const dealt = groups.flatMap((g) => g.children).sort()
  if (there.join() !== dealt.join())
    throw new Fault(400, 'the groups do not hold exactly the children of this session', 'groups')
}

function ofGroup(session: StoredSession, group: Group): SessionInputs {
  const { date, until, recipe, children, guests, adults, seats } = session
  const own = new Set(group.children)
  return {
    date,
    start: group.start,
    until: until !== undefined && until > group.start ? until : undefined,
    recipe,
    children: children.filter((c) => own.has(c)),
    guests: guests.filter((g) => own.has(g.id)),
    adults,
    seats: seats.filter((s) => own.has(s)),
  }
}
