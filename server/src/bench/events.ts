/** The pages of a session and of a child with ten thousand events in the house, and with a million; with the plans of their queries. */
import pg from 'pg'
import { CHILD_PAST, ONE_PAST } from '../db/session-history'
import { percentile, serving, tapper, type Tapper } from './serving'

const out = (text: string): void => void process.stdout.write(`${text}\n`)
const PER_SESSION = 250
const OWN_SESSIONS = 40
const RUNS = 15

export async function benchEvents(): Promise<void> {
  const server = await serving()
  const db = new pg.Client({ connectionString: process.env['LEA_OWNER_URL'] })
  await db.connect()
  try {
    const hand = await tapper(server)
    const me = await hand.get<{ person: { settingId: string } }>('/me')
    const setting = me.person.settingId
    await db.query("select set_config('app.setting_id', $1, false)", [setting])
    const [child] = await hand.get<{ id: string }[]>('/children')
    if (!child) throw new Error('no demo')
    // The child's own sessions are as many in both: what grows is the rest of the house.
    await fill(db, setting, OWN_SESSIONS, child.id)
    const small = await measure(hand, db, child.id)
    await fill(db, setting, 1_000_000 / PER_SESSION - OWN_SESSIONS, null)
    const large = await measure(hand, db, child.id)
    for (const page of ['session', 'child'] as const)
      out(
        `${page} page: ${small[page].toFixed(1)} ms at ${small.events} events, ${large[page].toFixed(1)} ms at ${large.events}; ratio ${(large[page] / small[page]).toFixed(2)}`,
      )
    await explain(db, setting, 'session', ONE_PAST, [large.sessionId])
    await explain(db, setting, 'child', CHILD_PAST, [child.id, null])
  } finally {
    await db.end()
    await server.close()
  }
}

/** Sessions like the last finished one of the demo, with as many taps each. */
async function fill(db: pg.Client, setting: string, sessions: number, child: string | null): Promise<void> {
  await db.query('begin')
  await db.query(
    `create temp table made on commit drop as select gen_random_uuid() as id, n from generate_series(1, $1) n`,
    [sessions],
  )
  await db.query(
    `insert into sessions (id, setting_id, recipe_id, date, start, state, inputs, decisions, plan, last_event)
     select m.id, $1, s.recipe_id, date '2025-01-01' + (m.n % 600)::int, s.start, 'finished', s.inputs, s.decisions, s.plan, $2
     from made m cross join lateral (
       select * from sessions where state = 'finished' and setting_id = $1 order by date desc limit 1) s`,
    [setting, PER_SESSION],
  )
  await db.query(
    `insert into events (id, setting_id, session_id, number, device, lamport, at, kind, body)
     select gen_random_uuid(), $1, m.id, k, 'bench', k, '2025-01-01T10:00:00Z', 'note', '{"text": "tap"}'
     from made m cross join generate_series(1, $2) k`,
    [setting, PER_SESSION],
  )
  if (child)
    await db.query('insert into attendance (setting_id, session_id, child_id) select $1, id, $2 from made', [
      setting,
      child,
    ])
  await db.query('commit')
  await db.query('analyze')
}

async function measure(hand: Tapper, db: pg.Client, child: string) {
  const { rows } = await db.query<{ id: string }>(
    'select session_id as id from attendance where child_id = $1 order by session_id limit 1',
    [child],
  )
  const sessionId = rows[0]?.id ?? ''
  const count = await db.query<{ n: number }>('select count(*)::int as n from events')
  const time = async (path: string): Promise<number> => {
    const times: number[] = []
    for (let n = 0; n < RUNS; n++) {
      const start = performance.now()
      await hand.get(path)
      times.push(performance.now() - start)
    }
    return percentile(times, 0.5)
  }
  await time(`/record/sessions/${sessionId}`)
  return {
    events: count.rows[0]?.n ?? 0,
    sessionId,
    session: await time(`/record/sessions/${sessionId}`),
    child: await time(`/record/children/${child}`),
  }
}

async function explain(
  db: pg.Client,
  setting: string,
  name: string,
  sql: string,
  values: unknown[],
): Promise<void> {
  await db.query('begin')
  await db.query('set local role lea_app')
  await db.query("select set_config('app.setting_id', $1, true)", [setting])
  const { rows } = await db.query<{ 'QUERY PLAN': string }>(
    `explain (analyze, costs off, timing off, summary off) ${sql}`,
    values,
  )
  await db.query('rollback')
  out(`plan of the ${name} page's query:\n${rows.map((r) => `  ${r['QUERY PLAN']}`).join('\n')}`)
}
