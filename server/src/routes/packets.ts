import { Router, type Request } from 'express'
import { randomUUID } from 'node:crypto'
import { digest } from '@lea/core/plan'
import { packetSchema, readingSchema } from '@lea/core/schema'
import { now } from '../clock'
import type { AppContext } from '../context'
import * as store from '../db/packets'
import { differing, noteBy, writeAudit } from '../db/audit'
import { listAdults } from '../db/people'
import { inSetting, type Db } from '../db/pool'
import { getSetting } from '../db/settings'
import { atLeast, personOf } from '../auth'
import { Fault, notFound, read } from '../fault'
import { isUuid } from '../uuid'

/** The packet register: packets with their words, read by two adults (one alone reads twice). */
export function packetRoutes({ pool }: AppContext): Router {
  const router = Router()
  const leader = atLeast('leader')
  const run = <T>(req: Request, work: (db: Db) => Promise<T>): Promise<T> =>
    inSetting(pool, personOf(req).settingId, work)
  const find = async (db: Db, req: Request) => {
    const id = String(req.params['id'])
    const packet = isUuid(id) ? (await store.listPackets(db)).find((p) => p.id === id) : undefined
    if (!packet) throw notFound('this packet')
    return packet
  }

  router.get('/', async (req, res) => {
    res.json(await run(req, store.listPackets))
  })
  router.post('/', leader, async (req, res) => {
    const input = await read(packetSchema, req.body)
    const id = randomUUID()
    const packet = await run(req, async (db) => {
      await store.savePacket(db, personOf(req).settingId, id, input)
      await noteBy(db, personOf(req), 'packets', 'added a packet', id)
      return (await store.listPackets(db)).find((p) => p.id === id)
    })
    res.status(201).json(packet)
  })
  router.put('/:id', leader, async (req, res) => {
    const input = await read(packetSchema, req.body)
    const packet = await run(req, async (db) => {
      const known = await find(db, req)
      // What the stand-in made stays marked so, whatever is typed over it.
      const simulated = known.simulated || input.simulated
      await store.savePacket(db, personOf(req).settingId, known.id, { ...input, simulated })
      const what = differing(
        { name: known.name, food: known.food, code: known.code, words: digest(known.label) },
        { name: input.name, food: input.food, code: input.code ?? null, words: digest(input.label) },
      )
      await noteBy(db, personOf(req), 'packets', `changed a packet: ${what}`, known.id)
      return (await store.listPackets(db)).find((p) => p.id === known.id)
    })
    res.json(packet)
  })
  router.delete('/:id', leader, async (req, res) => {
    await run(req, async (db) => {
      const { id } = await find(db, req)
      await store.removePacket(db, id)
      await noteBy(db, personOf(req), 'packets', 'removed a packet', id)
    })
    res.status(204).end()
  })
  router.post('/:id/readings', leader, async (req, res) => {
    const { readBy, digest: seen } = await read(readingSchema, req.body)
    const packet = await run(req, async (db) => {
      const known = await find(db, req)
      if (known.simulated && !(await getSetting(db)).demo)
        throw new Fault(
          409,
          'this packet came from the scanner stand-in: outside the demo it never counts as read',
          'packet',
        )
      const current = digest(known.label)
      if (seen !== current)
        throw new Fault(409, 'the words of this packet have changed: read them again', 'digest')
      const adults = new Set((await listAdults(db)).map((a) => a.id))
      if (readBy.some((id) => !adults.has(id)))
        throw new Fault(400, 'an adult is not there (any more)', 'readBy')
      const { settingId, id: by } = personOf(req)
      await store.addReading(db, settingId, {
        id: randomUUID(),
        packet: known.id,
        digest: current,
        readBy,
        at: now().toISOString(),
      })
      await writeAudit(db, settingId, by, 'packets', 'signed a packet as read', known.id)
      return (await store.listPackets(db)).find((p) => p.id === known.id)
    })
    res.status(201).json(packet)
  })
  return router
}
