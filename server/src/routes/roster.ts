import { randomUUID } from 'node:crypto'
import { Router } from 'express'
import Papa from 'papaparse'
import * as yup from 'yup'
import { childSchema, rosterRows, withMore } from '@lea/core/schema'
import { writeAudit } from '../db/audit'
import { getChild, listChildren, addChild, changeChild } from '../db/people'
import { inSetting } from '../db/pool'
import { atLeast, personOf } from '../auth'
import { notFound, read } from '../fault'
import type { AppContext } from '../context'
import { today } from '../clock'
import { isUuid } from '../uuid'

const MOST = 300

/** The children as a table: out as a file, in as rows that a person has looked at. */
export function rosterRoutes({ pool }: AppContext): Router {
  const router = Router()
  const leader = atLeast('leader')
  router.get('/children/roster.csv', leader, async (req, res) => {
    const { settingId, id } = personOf(req)
    const file = await inSetting(pool, settingId, async (db) => {
      await writeAudit(db, settingId, id, 'records', 'exported the roster', settingId)
      // A spreadsheet must not take a nickname for a formula.
      return Papa.unparse(rosterRows(await listChildren(db)), { escapeFormulae: true })
    })
    res.attachment('children.csv').type('text/csv').send(`\uFEFF${file}\r\n`)
  })
  // All of them or none: one at fault and nothing is changed.
  router.post('/children/roster', leader, async (req, res) => {
    const row = yup.object({
      known: yup.string().uuid('Known is not an id').optional(),
      child: childSchema(today()).required(),
    })
    const { children } = await read(
      yup.object({
        children: yup
          .array()
          .of(row)
          .max(MOST, `A roster holds at most ${MOST}`)
          .required('Children are missing'),
      }),
      req.body,
    )
    const { settingId, id: adult } = personOf(req)
    const made = await inSetting(pool, settingId, async (db) => {
      const mats = new Set((await listChildren(db)).flatMap((c) => c.mat ?? []))
      let added = 0
      for (const { known, child } of children) {
        const before = known && isUuid(known) ? await getChild(db, known, true) : null
        if (known && !before) throw notFound('a child of this roster')
        const mat = before?.mat ?? firstFree(mats)
        mats.add(mat)
        if (before) await changeChild(db, { ...withMore(before, child), id: before.id, mat })
        else await addChild(db, settingId, { ...child, id: randomUUID(), mat })
        if (!before) added += 1
      }
      await writeAudit(db, settingId, adult, 'cards', `read a roster of ${children.length}`, settingId)
      return added
    })
    res.status(201).json({ added: made, changed: children.length - made })
  })
  return router
}

function firstFree(taken: ReadonlySet<number>): number {
  let n = 0
  while (taken.has(n)) n += 1
  return n
}
