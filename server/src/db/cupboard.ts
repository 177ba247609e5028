/** A setting's cupboard: one row for each food that it keeps, buys or weighed. */
import type { CupboardItem } from '@lea/core/plan'
import type { Db } from './pool'

export async function listCupboard(db: Db): Promise<CupboardItem[]> {
  const { rows } = await db.query<{ body: CupboardItem }>('select body from cupboard order by food')
  return rows.map((r) => r.body)
}

export async function saveCupboard(db: Db, setting: string, item: CupboardItem): Promise<void> {
  await db.query(
    `insert into cupboard (setting_id, food, body) values ($1, $2, $3)
     on conflict (setting_id, food) do update set body = excluded.body`,
    [setting, item.food, JSON.stringify(item)],
  )
}

export async function removeCupboard(db: Db, food: string): Promise<boolean> {
  const { rowCount } = await db.query('delete from cupboard where food = $1', [food])
  return rowCount === 1
}
