/** An empty setting with an owner of its own, and an archive that is large enough to be felt: the nursery's, its sessions many times over. */
import { unzipSync, strFromU8, strToU8, zipSync } from 'fflate'
import { randomUUID } from 'node:crypto'
import { openPool, inSetting } from '../db/pool'
import { addAdult } from '../db/people'
import { createSetting } from '../db/settings'
import { hashPassword } from '../password'
import { startingKit, startingRules } from '../starting'
import { tapper, type Serving, type Tapper } from './serving'

const TIMES = 8

export async function gatherForBench(
  server: Serving,
): Promise<{ owner: Tapper; bytes: Buffer; sessions: number }> {
  const pool = openPool(process.env['LEA_APP_URL'] ?? '')
  const setting = randomUUID()
  const hash = await hashPassword('a word of the bench')
  await inSetting(pool, setting, async (db) => {
    await createSetting(db, setting, 'Bench', startingRules('home', 'england'), startingKit('home'))
    await addAdult(db, setting, {
      id: randomUUID(),
      name: 'Bench',
      leads: [],
      role: 'owner',
      signIn: 'bench-owner',
      hash,
    })
  })
  await pool.end()
  const petra = await tapper(server)
  const response = await fetch(`${server.address()}/api/archive`, { headers: { cookie: petra.cookie } })
  const files = unzipSync(new Uint8Array(await response.arrayBuffer()))
  const sessions = JSON.parse(strFromU8(files['sessions.json'] ?? new Uint8Array())) as {
    id: string
    events: { id: string }[]
  }[]
  const many = Array.from({ length: TIMES }, () =>
    sessions.map((s) => ({
      ...s,
      id: randomUUID(),
      events: s.events.map((e) => ({ ...e, id: randomUUID() })),
    })),
  ).flat()
  const bytes = Buffer.from(zipSync({ ...files, 'sessions.json': strToU8(JSON.stringify(many)) }))
  return { owner: await tapper(server, 'bench-owner', 'a word of the bench'), bytes, sessions: many.length }
}
