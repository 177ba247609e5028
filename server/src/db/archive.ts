/** A whole setting out of the database, and into an empty one: row by row, however many there are. */
import { Fault } from '../fault'
import {
  type Archive,
  type ArchivedSession,
  ARCHIVE_FORMAT,
  ARCHIVE_PARTS,
  type ArchivePart,
  ARCHIVE_VERSION,
  checkHead,
  freshIds,
  readersOf,
} from '../files/archive'
import { rowsOf, fileOf, zipWriter } from '../files/zip-rows'
import { listCupboard, saveCupboard } from './cupboard'
import { keepMonths, setKeepMonths } from './keeping'
import { addReading, listPackets, savePacket } from './packets'
import { addAdult, addChild, changeAdult, listAdults, listChildren } from './people'
import type { Db } from './pool'
import {
  appendEvents,
  finish,
  freeze,
  frozenPlan,
  frozenRequest,
  getSession,
  listEvents,
  saveDecisions,
  saveSession,
} from './sessions'
import { getSetting, listRecipes, saveFood, saveKit, saveRecipe, saveRules } from './settings'
import { markDue } from './child-progress'
import { listWords, saveWord } from './own-words'

/** Writes the setting whose rows are seen. @param at when, ISO time */
export async function writeArchive(
  db: Db,
  at: string,
  send: (piece: Uint8Array) => Promise<void>,
): Promise<void> {
  const zip = zipWriter(send)
  const { name, rules, kit, foods } = await getSetting(db)
  await zip.value('archive.json', {
    format: ARCHIVE_FORMAT,
    version: ARCHIVE_VERSION,
    exportedAt: at,
    setting: name,
  })
  await zip.value('setting.json', { name, rules, kit, keepMonths: await keepMonths(db) })
  const lists: {
    [P in Exclude<ArchivePart, 'setting'>]: () => Promise<Iterable<unknown>> | AsyncIterable<unknown>
  } = {
    adults: async () => (await listAdults(db)).map(({ signIn: _, ...adult }) => adult),
    children: async () => (await listChildren(db)).map(({ progress: _, version: __, ...child }) => child),
    recipes: async () => (await listRecipes(db)).map(({ id, recipe }) => ({ id, recipe })),
    foods: () => Promise.resolve(foods),
    cupboard: () => listCupboard(db),
    words: () => listWords(db),
    packets: () => listPackets(db),
    sessions: () => archivedSessions(db),
  }
  for (const part of ARCHIVE_PARTS)
    if (part !== 'setting') await zip.rows(`${part}.json`, await lists[part]())
  await zip.end()
}

async function* archivedSessions(db: Db): AsyncGenerator<ArchivedSession> {
  const { rows } = await db.query<{ id: string }>('select id from sessions order by date, start, id')
  for (const { id } of rows) {
    const session = await getSession(db, id)
    if (!session) continue
    const { id: _, state, decisions, version: __, ...input } = session
    yield {
      id,
      state,
      input,
      decisions,
      plan: await frozenPlan(db, id),
      request: await frozenRequest(db, id),
      events: (await listEvents(db, id)).events,
    }
  }
}

/** Nobody on the roster, no session: only then is there nothing to lose. Held until the transaction ends: of two archives one goes in. */
async function isEmptySetting(db: Db): Promise<boolean> {
  await db.query('select id from settings for update')
  const { rows } = await db.query<{ n: number }>(
    'select (select count(*) from children)::int + (select count(*) from sessions)::int as n',
  )
  return rows[0]?.n === 0
}

/** How many of each went in. */
export type ReadIn = Record<'children' | 'recipes' | 'sessions', number>

/**
 * Puts an archive into the setting, whose recipes and lists it replaces; who signs in stays. All or nothing: the caller's transaction.
 * @param newIds where this database has those of the archive already
 * @throws Fault 409 where the setting is not empty; 400 that names the file and the row; 413 where it is too large
 */
export async function readArchive(
  db: Db,
  setting: string,
  zip: Uint8Array,
  today: string,
  newIds: boolean,
): Promise<ReadIn> {
  checkHead(fileOf(zip, 'archive.json'))
  if (!(await isEmptySetting(db)))
    throw new Fault(
      409,
      'this setting has children or sessions: an archive goes into an empty one, so that nothing is lost',
    )
  const readers = readersOf(today)
  const renamed = newIds ? freshIds() : <T>(row: T): T => row
  const own = renamed(readers.setting(fileOf(zip, 'setting.json')))
  for (const table of ['recipes', 'foods', 'cupboard', 'words', 'packets'])
    await db.query(`delete from ${table}`)
  await db.query('update settings set name = $1', [own.name])
  await saveRules(db, own.rules)
  await saveKit(db, own.kit)
  if (own.keepMonths) await setKeepMonths(db, own.keepMonths)
  const here = new Set((await listAdults(db)).map((a) => a.id))
  const put: { [P in Exclude<ArchivePart, 'setting'>]: (row: Archive[P][number]) => Promise<unknown> } = {
    adults: ({ id, name, leads, role }) =>
      // Sign-ins do not travel: an owner of the archive comes as a leader without one.
      here.has(id)
        ? changeAdult(db, id, { name, leads })
        : addAdult(db, setting, { id, name, leads, role: role === 'owner' ? 'leader' : role }),
    children: (child) => addChild(db, setting, child),
    recipes: ({ id, recipe }) => saveRecipe(db, setting, id, recipe),
    foods: (food) => saveFood(db, setting, food),
    cupboard: (item) => saveCupboard(db, setting, item),
    words: (word) => saveWord(db, setting, word),
    packets: async (p) => {
      await savePacket(db, setting, p.id, { ...p, code: p.code ?? undefined })
      if (p.reading) await addReading(db, setting, { id: crypto.randomUUID(), packet: p.id, ...p.reading })
    },
    sessions: (s) => restoreSession(db, setting, s),
  }
  const count: Record<string, number> = {}
  const part = async (name: Exclude<ArchivePart, 'setting'>): Promise<void> => {
    let n = 0
    // The reader and the hand of one part: what one makes, the other takes.
    const read = readers[name] as (value: unknown, row: number) => never
    for (const value of rowsOf(zip, `${name}.json`)) {
      n += 1
      await put[name](renamed(read(value, n)))
    }
    count[name] = n
  }
  for (const name of ARCHIVE_PARTS) if (name !== 'setting') await part(name)
  return {
    children: count['children'] ?? 0,
    recipes: count['recipes'] ?? 0,
    sessions: count['sessions'] ?? 0,
  }
}

async function restoreSession(db: Db, setting: string, s: ArchivedSession): Promise<void> {
  await saveSession(db, setting, s.id, s.input)
  await saveDecisions(db, s.id, s.decisions)
  if (!s.plan) return
  await freeze(db, s.id, { plan: s.plan, request: s.request ?? null }, 'planned')
  for (const by of new Set(s.events.map((e) => e.by)))
    await appendEvents(
      db,
      setting,
      s.id,
      by ?? '',
      s.events.filter((e) => e.by === by),
    )
  if (s.state === 'finished') await finish(db, s.id)
  await markDue(db, s.id)
}
