/** The database door: one pool, and transactions in which the setting is set. */
import pg from 'pg'
import { openTurns, type Turns } from '../limits/turns'

export type Db = pg.PoolClient

/** Dates come as text (`YYYY-MM-DD`) and bigints as numbers: counts of events stay far below 2^53. */
pg.types.setTypeParser(pg.types.builtins.DATE, (text) => text)
pg.types.setTypeParser(pg.types.builtins.INT8, Number)

/** Lines that are left for what is asked before it is known whose it is: sign-ins, tries. */
const KEPT_FREE = 2
/** In what turn settings get a line to the database. */
const shares = new WeakMap<pg.Pool, Turns>()

/**
 * A pool whose connections act as the role that owns nothing. No setting has more than half of them at once.
 * @param told where it is said that a connection was lost; the pool opens another one when asked
 * @param most connections
 */
export function openPool(
  url: string,
  { told = () => undefined, most = 10 }: { told?: (fault: Error) => void; most?: number } = {},
): pg.Pool {
  const pool = new pg.Pool({
    connectionString: url,
    max: most,
    connectionTimeoutMillis: 5000,
    // Awaited before any caller has the connection: none ever acts as another role.
    // The package awaits it, though its types do not say so.
    // eslint-disable-next-line @typescript-eslint/no-misused-promises
    onConnect: async (client) => {
      // Nobody waits for ever, and nobody is kept waiting: a request that hangs ends, and says so.
      await client.query(
        "set role lea_app; set statement_timeout = '20s'; set lock_timeout = '10s'; set idle_in_transaction_session_timeout = '30s'",
      )
    },
  })
  // Lost between two statements of a transaction: the next statement says so to its caller, and the server goes on.
  pool.on('connect', (client) => {
    client.on('error', told)
  })
  pool.on('error', told)
  if (most > 2 * KEPT_FREE)
    shares.set(
      pool,
      openTurns({
        atOnce: most - KEPT_FREE,
        atOnceEach: Math.ceil(most / 2),
        mostEach: 300,
        most: 2000,
        patienceMs: 10_000,
      }),
    )
  return pool
}
/** How many wait for a line, and how many have one. */
export const lines = (pool: pg.Pool): { waiting: number; running: number } => ({
  waiting: pool.waitingCount + (shares.get(pool)?.waiting() ?? 0),
  running: pool.totalCount - pool.idleCount,
})

async function transaction<T>(
  pool: pg.Pool,
  key: string,
  value: string,
  work: (db: Db) => Promise<T>,
  begin = 'begin',
): Promise<T> {
  const db = await pool.connect()
  let broken: Error | undefined
  try {
    // One way there and back instead of two.
    await db.query(`${begin}; select set_config(${db.escapeLiteral(key)}, ${db.escapeLiteral(value)}, true)`)
    const result = await work(db)
    await db.query('commit')
    return result
  } catch (fault) {
    await db.query('rollback').catch((lost: unknown) => {
      broken = lost instanceof Error ? lost : new Error('connection lost')
    })
    throw fault
  } finally {
    db.release(broken)
  }
}

/** Runs work as one setting: every query inside sees that setting's rows and no others. */
export const inSetting = <T>(pool: pg.Pool, setting: string, work: (db: Db) => Promise<T>): Promise<T> =>
  inTurn(pool, setting, () => transaction(pool, 'app.setting_id', setting, work))

/** The same, to read: everything as it is at one moment, however long it takes, and however slowly somebody takes it in. */
export const asSnapshot = <T>(pool: pg.Pool, setting: string, work: (db: Db) => Promise<T>): Promise<T> =>
  inTurn(pool, setting, () =>
    transaction(
      pool,
      'app.setting_id',
      setting,
      work,
      'begin isolation level repeatable read read only; set local idle_in_transaction_session_timeout = 0',
    ),
  )

/** One question as one setting, in one way there and back: a transaction of its own. @param question without values */
export async function inOneGo<R extends pg.QueryResultRow>(
  pool: pg.Pool,
  setting: string,
  question: string,
): Promise<pg.QueryResult<R>> {
  return inTurn(pool, setting, async () => {
    const answers = (await pool.query(
      `select set_config('app.setting_id', ${pg.escapeLiteral(setting)}, true); ${question}`,
    )) as unknown as pg.QueryResult<R>[]
    const last = answers.at(-1)
    if (!last) throw new Error('the database gave no answer')
    return last
  })
}

/** One question that settles by itself whose it is, as a transaction of its own; in the turn of this setting. */
export const inOneGoOfItself = <R extends pg.QueryResultRow>(
  pool: pg.Pool,
  setting: string,
  question: pg.QueryConfig,
): Promise<pg.QueryResult<R>> => inTurn(pool, setting, () => pool.query<R>(question))

const inTurn = <T>(pool: pg.Pool, setting: string, work: () => Promise<T>): Promise<T> =>
  shares.get(pool)?.take(setting, work) ?? work()

/** Runs work in which a policy lets through what has this key, and nothing else. */
export const withScreenKey = <T>(
  pool: pg.Pool,
  key: 'app.screen_code' | 'app.screen' | 'app.link',
  value: string,
  work: (db: Db) => Promise<T>,
): Promise<T> => transaction(pool, key, value, work)

/** Runs work at the door: only the adult of this sign-in name can be seen. */
export const asSignIn = <T>(pool: pg.Pool, signIn: string, work: (db: Db) => Promise<T>): Promise<T> =>
  transaction(pool, 'app.sign_in', signIn, work)
