/** What a school year costs: the same pages and taps after 4, 72, 600 and 4,000 sessions of one group. Goal: 1.5 times from 4 to 600. */
import { randomUUID } from 'node:crypto'
import pg from 'pg'
import { percentile, serving, tapper, type Tapper } from './serving'
import { keepFigure } from './table'

const SIZES = [4, 72, 600, 4000]
const RUNS = 9
const out = (text: string): void => void process.stdout.write(`${text}\n`)

/** A finished session of the demo, again and again, a day earlier each time: its plan, its taps, who was there and what it showed. */
const COPY = `
  with source as (select * from sessions where id = $1),
  made as (
    insert into sessions (id, setting_id, recipe_id, date, start, state, inputs, decisions, plan, request, last_event)
    select gen_random_uuid(), setting_id, recipe_id, date - n, start, 'finished', inputs, decisions, plan, request, last_event
    from source, generate_series($2::int, $3::int) n
    returning id, setting_id, date
  ),
  tapped as (
    insert into events (id, setting_id, session_id, number, device, lamport, at, by_adult, kind, body)
    select gen_random_uuid(), m.setting_id, m.id, e.number, e.device, e.lamport, e.at, e.by_adult, e.kind, e.body
    from made m, events e where e.session_id = $1
  ),
  there as (
    insert into attendance (setting_id, session_id, child_id)
    select m.setting_id, m.id, a.child_id from made m, attendance a where a.session_id = $1
  ),
  tastes as (
    insert into session_tastes (session_id, setting_id, body)
    select m.id, m.setting_id, t.body from made m, session_tastes t where t.session_id = $1
  )
  insert into session_progress (setting_id, session_id, child_id, date, body)
  select m.setting_id, m.id, p.child_id, m.date, p.body from made m, session_progress p where p.session_id = $1`

interface Row {
  sessions: number
  finish: number
  late: number
  settled: number
  record: number
  child: number
  first: number
}

export async function benchGrowth(): Promise<void> {
  const server = await serving()
  const db = new pg.Client({ connectionString: process.env['LEA_OWNER_URL'] })
  await db.connect()
  try {
    const hand = await tapper(server)
    const sessions = await hand.get<{ id: string; state: string; children: string[] }[]>('/sessions')
    const done = sessions.filter((s) => s.state === 'finished')
    const [source] = done
    const child = source?.children[0]
    const me = await hand.get<{ person: { settingId: string } }>('/me')
    if (!source || child === undefined) throw new Error('the demo has no finished session')
    await db.query("select set_config('app.setting_id', $1, false)", [me.person.settingId])
    const rows: Row[] = []
    let there = 0
    for (const size of SIZES) {
      await db.query(COPY, [source.id, there + 200, size + 199])
      there = size
      await db.query('analyze')
      rows.push({ sessions: size + done.length, ...(await measure(hand, db, source.id, child)) })
    }
    out('growth      sessions   finish  late tap   added up   record    child   first page (ms, median)')
    for (const r of rows)
      out(
        `            ${[r.sessions, r.finish, r.late, r.settled, r.record, r.child, r.first]
          .map((n) => n.toFixed(0).padStart(9))
          .join('')}`,
      )
    for (const r of rows)
      for (const [name, key] of [
        ['finish', 'finish'],
        ['the record', 'record'],
        ['a child’s record', 'child'],
        ['the first page', 'first'],
      ] as const)
        if (r !== rows[0])
          keepFigure('growth', {
            what: `${name} after ${r.sessions} sessions, median`,
            value: r[key],
            unit: 'ms',
            ...(rows[0] && {
              beside: { what: `after ${rows[0].sessions}`, value: rows[0][key], unit: 'ms' },
            }),
          })
    const [small, , year] = rows
    if (small && year)
      out(
        `from ${small.sessions} to ${year.sessions} sessions: ${(
          ['finish', 'late', 'settled', 'record', 'child', 'first'] as const
        )
          .map((k) => `${k} ×${(year[k] / small[k]).toFixed(2)}`)
          .join(', ')}`,
      )
  } finally {
    await db.end()
    await server.close()
  }
}

async function measure(
  hand: Tapper,
  db: pg.Client,
  source: string,
  child: string,
): Promise<Omit<Row, 'sessions'>> {
  const times: Record<keyof Omit<Row, 'sessions'>, number[]> = {
    finish: [],
    late: [],
    settled: [],
    record: [],
    child: [],
    first: [],
  }
  const timed = async (what: keyof typeof times, work: () => Promise<unknown>): Promise<void> => {
    const start = performance.now()
    await work()
    times[what].push(performance.now() - start)
  }
  const post = async (id: string, kind: string, body: object, lamport: number): Promise<void> => {
    const event = { id: randomUUID(), device: 'bench', lamport, at: new Date().toISOString(), kind, body }
    const status = await hand.post(`/sessions/${id}/events`, { events: [event] })
    if (status !== 200) throw new Error(`${kind}: ${status}`)
  }
  for (let n = 0; n < RUNS + 1; n++) {
    // A table of today that is about to end: the taps of the source, but for its end.
    const { rows } = await db.query<{ id: string }>(
      `insert into sessions (id, setting_id, recipe_id, date, start, state, inputs, decisions, plan, request, last_event)
       select gen_random_uuid(), setting_id, recipe_id, current_date, start, 'cooking', inputs, decisions, plan, request, last_event
       from sessions where id = $1 returning id`,
      [source],
    )
    const id = rows[0]?.id ?? ''
    await db.query(
      `insert into events (id, setting_id, session_id, number, device, lamport, at, by_adult, kind, body)
       select gen_random_uuid(), setting_id, $2, number, device, lamport, at, by_adult, kind, body
       from events where session_id = $1 and kind <> 'finish'`,
      [source, id],
    )
    await db.query(
      'insert into attendance (setting_id, session_id, child_id) select setting_id, $2, child_id from attendance where session_id = $1',
      [source, id],
    )
    await timed('finish', () => post(id, 'finish', {}, 5000))
    // The next page that needs the children waits until what was finished is added up.
    await timed('settled', () => hand.get('/children'))
    await timed('late', () => post(id, 'skill', { child, technique: 'stir', how: 'alone' }, 5001))
    await hand.get('/children')
    await timed('record', () => hand.get('/record'))
    await timed('child', () => hand.get(`/record/children/${child}`))
    await timed('first', () =>
      Promise.all(
        ['/me', '/setting', '/children', '/recipes', '/sessions', '/packets'].map((p) => hand.get(p)),
      ),
    )
    await db.query('delete from sessions where id = $1', [id])
  }
  // The first of each warms up.
  const median = (what: keyof typeof times): number => percentile(times[what].slice(1), 0.5)
  return {
    finish: median('finish'),
    late: median('late'),
    settled: median('settled'),
    record: median('record'),
    child: median('child'),
    first: median('first'),
  }
}
