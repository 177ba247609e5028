/** The database door: one pool, and transactions in which the setting is set. */
import pg from 'pg'

export type Db = pg.PoolClient

/** Dates come as text (`YYYY-MM-DD`) and bigints as numbers: counts of events stay far below 2^53. */
pg.types.setTypeParser(pg.types.builtins.DATE, (text) => text)
pg.types.setTypeParser(pg.types.builtins.INT8, Number)

/** A pool whose connections act as the role that owns nothing. */
/** @param told where it is said that a connection was lost; the pool opens another one when asked */
export function openPool(url: string, told: (fault: Error) => void = () => undefined): pg.Pool {
  const pool = new pg.Pool({
    connectionString: url,
    max: 10,
    connectionTimeoutMillis: 5000,
    // Nobody waits for ever, and nobody is kept waiting: a request that hangs ends, and says so.
    statement_timeout: 20_000,
    lock_timeout: 10_000,
    idle_in_transaction_session_timeout: 30_000,
    // Awaited before any caller has the connection: none ever acts as another role.
    // The package awaits it, though its types do not say so.
    // eslint-disable-next-line @typescript-eslint/no-misused-promises
    onConnect: async (client) => {
      await client.query('set role lea_app')
    },
  })
  // Lost between two statements of a transaction: the next statement says so to its caller, and the server goes on.
  pool.on('connect', (client) => {
    client.on('error', told)
  })
  pool.on('error', told)
  return pool
}

async function transaction<T>(
  pool: pg.Pool,
  key: string,
  value: string,
  work: (db: Db) => Promise<T>,
): Promise<T> {
  const db = await pool.connect()
  let broken: Error | undefined
  try {
    // One way there and back instead of two.
    await db.query(`begin; select set_config(${db.escapeLiteral(key)}, ${db.escapeLiteral(value)}, true)`)
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
  transaction(pool, 'app.setting_id', setting, work)

/** Runs work in which a policy lets through what has this key, and nothing else. */
export const withScreenKey = <T>(
  pool: pg.Pool,
  key: 'app.screen_code' | 'app.screen',
  value: string,
  work: (db: Db) => Promise<T>,
): Promise<T> => transaction(pool, key, value, work)

/** Runs work at the door: only the adult of this sign-in name can be seen. */
export const asSignIn = <T>(pool: pg.Pool, signIn: string, work: (db: Db) => Promise<T>): Promise<T> =>
  transaction(pool, 'app.sign_in', signIn, work)
