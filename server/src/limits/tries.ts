/** Counts of tries in the database, so that several servers count together. For express-rate-limit. */
import { createHash } from 'node:crypto'
import type { ClientRateLimitInfo, Store } from 'express-rate-limit'
import type { Pool } from 'pg'

/**
 * @param what is tried: the same address may try other things
 * @param windowMs after so long counting begins anew
 */
export function triesInDatabase(pool: Pool, what: string, windowMs: number): Store {
  const keyOf = (who: string): string => createHash('sha256').update(`${what} ${who}`).digest('base64url')
  return {
    localKeys: false,
    async increment(who): Promise<ClientRateLimitInfo> {
      const { rows } = await pool.query<{ hits: number; resets_at: Date }>(
        `insert into tries as t (key, hits, resets_at) values ($1, 1, now() + $2 * interval '1 millisecond')
         on conflict (key) do update set
           hits = case when t.resets_at <= now() then 1 else t.hits + 1 end,
           resets_at = case when t.resets_at <= now() then excluded.resets_at else t.resets_at end
         returning hits, resets_at`,
        [keyOf(who), windowMs],
      )
      return { totalHits: rows[0]?.hits ?? 1, resetTime: rows[0]?.resets_at }
    },
    async decrement(who) {
      await pool.query('update tries set hits = greatest(hits - 1, 0) where key = $1', [keyOf(who)])
    },
    async resetKey(who) {
      await pool.query('delete from tries where key = $1', [keyOf(who)])
    },
  }
}

/** What is over is forgotten. */
export const sweepTries = async (pool: Pool): Promise<void> => {
  await pool.query('delete from tries where resets_at <= now()')
}
