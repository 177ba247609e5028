/** A setting's own words: one row for each word that it says in its own way. */
import type { OwnWord } from '@lea/core/learn'
import type { Db } from './pool'

export async function listWords(db: Db): Promise<OwnWord[]> {
  const { rows } = await db.query<{ body: OwnWord }>('select body from words order by id')
  return rows.map((r) => r.body)
}

export async function saveWord(db: Db, setting: string, word: OwnWord): Promise<void> {
  await db.query(
    `insert into words (setting_id, id, body) values ($1, $2, $3)
     on conflict (setting_id, id) do update set body = excluded.body`,
    [setting, word.id, JSON.stringify(word)],
  )
}

export async function removeWord(db: Db, id: string): Promise<boolean> {
  const { rowCount } = await db.query('delete from words where id = $1', [id])
  return rowCount === 1
}
