/** A whole setting out of the database, and into an empty one. */
import type { Archive, ArchivedSession } from '../files/archive'
import { listCupboard, saveCupboard } from './cupboard'
import { keepMonths, setKeepMonths } from './keeping'
import { addReading, listPackets, savePacket } from './packets'
import { addAdult, changeAdult, listAdults, listChildren, addChild } from './people'
import type { Db } from './pool'
import {
  appendEvents,
  finish,
  freeze,
  frozenPlan,
  frozenRequest,
  listEvents,
  listSessions,
  saveDecisions,
  saveSession,
} from './sessions'
import { getSetting, listRecipes, saveFood, saveKit, saveRecipe, saveRules } from './settings'
import { markDue } from './child-progress'
import { listWords, saveWord } from './own-words'

export async function gatherArchive(db: Db): Promise<Archive> {
  const { name, rules, kit, foods } = await getSetting(db)
  const sessions: ArchivedSession[] = []
  for (const { id, state, decisions, version: _, ...input } of await listSessions(db))
    sessions.push({
      id,
      state,
      input: input,
      decisions,
      plan: await frozenPlan(db, id),
      request: await frozenRequest(db, id),
      events: (await listEvents(db, id)).events,
    })
  return {
    setting: { name, rules, kit, keepMonths: await keepMonths(db) },
    adults: (await listAdults(db)).map(({ signIn: _, ...adult }) => adult),
    children: (await listChildren(db)).map(({ progress: _, version: __, ...child }) => child),
    recipes: (await listRecipes(db)).map(({ id, recipe }) => ({ id, recipe })),
    foods,
    cupboard: await listCupboard(db),
    words: await listWords(db),
    packets: await listPackets(db),
    sessions,
  }
}

/** Nobody on the roster, no session: only then is there nothing to lose. */
export async function isEmptySetting(db: Db): Promise<boolean> {
  const { rows } = await db.query<{ n: number }>(
    'select (select count(*) from children)::int + (select count(*) from sessions)::int as n',
  )
  return rows[0]?.n === 0
}

/** Puts an archive into the setting, whose recipes and lists it replaces; who signs in stays. */
export async function restoreArchive(db: Db, setting: string, archive: Archive): Promise<void> {
  for (const table of ['recipes', 'foods', 'cupboard', 'words', 'packets'])
    await db.query(`delete from ${table}`)
  await db.query('update settings set name = $1', [archive.setting.name])
  await saveRules(db, archive.setting.rules)
  await saveKit(db, archive.setting.kit)
  if (archive.setting.keepMonths) await setKeepMonths(db, archive.setting.keepMonths)
  // Sign-ins do not travel: an owner of the archive comes as a leader without one.
  const here = new Set((await listAdults(db)).map((a) => a.id))
  for (const { id, name, leads, role } of archive.adults)
    if (here.has(id)) await changeAdult(db, id, { name, leads })
    else await addAdult(db, setting, { id, name, leads, role: role === 'owner' ? 'leader' : role })
  for (const child of archive.children) await addChild(db, setting, child)
  for (const { id, recipe } of archive.recipes) await saveRecipe(db, setting, id, recipe)
  for (const food of archive.foods) await saveFood(db, setting, food)
  for (const item of archive.cupboard) await saveCupboard(db, setting, item)
  for (const word of archive.words) await saveWord(db, setting, word)
  for (const p of archive.packets) {
    await savePacket(db, setting, p.id, { ...p, code: p.code ?? undefined })
    if (p.reading)
      await addReading(db, setting, {
        id: crypto.randomUUID(),
        packet: p.id,
        ...p.reading,
      })
  }
  for (const s of archive.sessions) await restoreSession(db, setting, s)
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
