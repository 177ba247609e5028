/**
 * Whether the address of the database leads to PostgreSQL itself, or to a pooler that keeps a line for as long as somebody has it. One that hands
 * lines on after each transaction would mix up roles and locks of different people, and lose the news of tables.
 */
import { randomUUID } from 'node:crypto'
import pg from 'pg'

/** News on the same machine takes a millisecond; on a network far less than this. */
const NEWS_MS = 4000

/** As much of a line to the database as is needed here. */
export interface DatabaseLine {
  query(text: string, values?: unknown[]): Promise<{ rows: Record<string, unknown>[] }>
  on(event: 'notification', ear: (news: { payload?: string | undefined }) => void): unknown
  end(): Promise<void>
}

const openLine = async (url: string): Promise<DatabaseLine> => {
  const client = new pg.Client({ connectionString: url })
  await client.connect()
  return client
}

/** @returns what stands against it, in words; empty where nothing does */
export async function poolerFault(
  url: string,
  open: (url: string) => Promise<DatabaseLine> = openLine,
): Promise<string> {
  const word = randomUUID()
  const channel = `lea_direct_${word.replaceAll('-', '')}`
  const [one, other] = [await open(url), await open(url)]
  try {
    await one.query("select set_config('lea.direct', $1, false)", [word])
    const said = async (line: DatabaseLine): Promise<unknown> =>
      (await line.query("select current_setting('lea.direct', true) as said")).rows[0]?.['said']
    const mixed = (await said(other)) === word || (await said(one)) !== word
    if (mixed || !(await hears(one, other, channel)))
      return 'the address of the database leads to a pooler that hands lines on after each transaction: Lea needs PostgreSQL itself, or a pooler in session mode'
    return ''
  } finally {
    await Promise.all([one.end(), other.end()])
  }
}

async function hears(one: DatabaseLine, other: DatabaseLine, channel: string): Promise<boolean> {
  let waits: NodeJS.Timeout | undefined
  const heard = new Promise<boolean>((done) => {
    one.on('notification', () => done(true))
    waits = setTimeout(() => done(false), NEWS_MS)
  })
  await one.query(`listen ${channel}`)
  await other.query('select pg_notify($1, $2)', [channel, 'x'])
  const did = await heard
  clearTimeout(waits)
  return did
}
