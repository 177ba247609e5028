/** How long records are kept, and what goes when that is over. */
import type { Pool } from 'pg'
import { countText } from '@lea/core/amount'
import { sumUp } from './child-progress'
import { sweepLetters } from './letters'
import { writeAudit } from './audit'
import { inSetting, type Db } from './pool'

export async function keepMonths(db: Db): Promise<number> {
  const { rows } = await db.query<{ months: number }>('select keep_months as months from settings')
  return rows[0]?.months ?? 36
}
export const setKeepMonths = async (db: Db, months: number): Promise<void> => {
  await db.query('update settings set keep_months = $1', [months])
}

/** Sessions that are over and older than that go, with their plans and events, audit lines and letters of that time. */
export async function sweepSetting(db: Db, setting: string, today: string): Promise<number> {
  const months = await keepMonths(db)
  const { rows } = await db.query<{ day: string }>(
    'select ($1::date - make_interval(months => $2))::date as day',
    [today, months],
  )
  const day = rows[0]?.day ?? today
  // By its day, whatever its state: one that was never ended is over all the same.
  const { rows: children } = await db.query<{ id: string }>(
    `select distinct p.child_id as id from session_progress p join sessions s on s.id = p.session_id where s.date < $1`,
    [day],
  )
  const { rowCount } = await db.query('delete from sessions where date < $1', [day])
  // What was shown in them is carried no further.
  await sumUp(
    db,
    setting,
    children.map((c) => c.id),
  )
  await db.query('select sweep_audit($1)', [day])
  const gone = await sweepLetters(db, day)
  if (gone > 0)
    await writeAudit(
      db,
      setting,
      null,
      'records',
      `${countText(gone, 'letter')} older than ${countText(months, 'month')} ${gone === 1 ? 'was' : 'were'} erased`,
      setting,
    )
  if ((rowCount ?? 0) > 0)
    await writeAudit(
      db,
      setting,
      null,
      'records',
      `${countText(rowCount ?? 0, 'session')} older than ${countText(months, 'month')} ${rowCount === 1 ? 'was' : 'were'} erased`,
      setting,
    )
  return rowCount ?? 0
}

/**
 * Every setting of this database. Several servers may sweep at once: what is gone is gone.
 * @throws AggregateError where it failed in some; all others are swept
 */
export async function sweepAll(pool: Pool, today: string): Promise<number> {
  const { rows } = await pool.query<{ setting_id: string }>('select setting_id from all_doors()')
  let gone = 0
  const faults: unknown[] = []
  for (const { setting_id } of rows)
    try {
      gone += await inSetting(pool, setting_id, (db) => sweepSetting(db, setting_id, today))
    } catch (fault) {
      faults.push(fault)
    }
  if (faults.length > 0)
    throw new AggregateError(faults, `${countText(faults.length, 'setting')} could not be swept`)
  return gone
}
