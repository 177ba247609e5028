/** Puts the demo data in: settings, people and recipes as written; past sessions compiled, settled and cooked by core. */
import { randomUUID } from 'node:crypto'
import type { Pool } from 'pg'
import { dayAfter } from '@lea/core/amount'
import { type CupboardItem, digest } from '@lea/core/plan'
import { SHIPPED_RECIPES } from '@lea/core/recipe'
import { type StoredChild, type StoredSession, inputsOf } from '@lea/core/setting'
import demoPackets from '@lea/core/data/demo-packets.json'
import demoPrices from '@lea/core/data/demo-prices.json'
import { saveCupboard } from '../db/cupboard'
import { addReading, savePacket } from '../db/packets'
import { addAdult, addChild } from '../db/people'
import { inSetting, type Db } from '../db/pool'
import { appendEvents, finish, freeze, saveDecisions, saveSession } from '../db/sessions'
import { anySetting, createSetting, saveRecipe } from '../db/settings'
import { addUpSession, markDue } from '../db/child-progress'
import { hashPassword } from '../password'
import { requestOf } from '../plan/request-of'
import { startingKit, startingRules } from '../starting'
import { DEMO_PASSWORD, DEMO_SETTINGS, type DemoSetting } from './people'
import { cooked, settled } from './past'

/** Birth month of a child who is this many completed months old on a day (of a month the last day counts). */
function birthFor(day: string, months: number): string {
  const [y, m] = day.split('-').map(Number)
  const isLastOfMonth = dayAfter(day, 1).slice(0, 7) !== day.slice(0, 7)
  const at = (y ?? 0) * 12 + (m ?? 1) - 1 - months - (isLastOfMonth ? 0 : 1)
  return `${Math.floor(at / 12)}-${String((at % 12) + 1).padStart(2, '0')}`
}

/** Loads the demo into an empty database. @param day the day that counts as today, `YYYY-MM-DD` */
export async function loadDemo(pool: Pool, day: string): Promise<void> {
  const hash = await hashPassword(DEMO_PASSWORD)
  for (const demo of DEMO_SETTINGS) {
    const setting = randomUUID()
    await inSetting(pool, setting, (db) => loadSetting(db, setting, demo, day, hash))
  }
}

async function loadSetting(
  db: Db,
  setting: string,
  demo: DemoSetting,
  day: string,
  hash: string,
): Promise<void> {
  const usual = startingKit(demo.kind)
  // The nursery has a ring of stones in its garden.
  const kit = demo.kind === 'nursery' ? { ...usual, equipment: [...usual.equipment, 'fire'] } : usual
  kit.measures = kit.measures.map((m) => (demo.lost.includes(m.id) ? { ...m, count: 0 } : m))
  const rules = { ...startingRules(demo.kind, 'england'), ...(demo.week && { targets: demo.week }) }
  await createSetting(db, setting, demo.name, rules, kit, true)
  const adults: string[] = []
  for (const a of demo.adults) {
    const id = randomUUID()
    adults.push(id)
    await addAdult(db, setting, { id, ...a, hash: a.signIn ? hash : undefined })
  }
  const children: StoredChild[] = demo.children.map((c, mat) => ({
    id: randomUUID(),
    nickname: c.nickname,
    birth: birthFor(dayAfter(day, demo.ahead[0]?.inDays ?? 0), c.months),
    ...c.profile,
    mat,
  }))
  for (const child of children) await addChild(db, setting, child)
  const recipes = new Map<string, string>()
  for (const recipe of SHIPPED_RECIPES) {
    const id = randomUUID()
    recipes.set(recipe.id, id)
    await saveRecipe(db, setting, id, recipe)
  }
  await loadPackets(db, setting, adults, day)
  await loadCupboard(db, setting, demo)
  const session = (recipe: string, date: string, start: string, until: string): StoredSession => ({
    id: randomUUID(),
    recipe: recipes.get(recipe) ?? '',
    date,
    start,
    until,
    children: children.map((c) => c.id),
    guests: [],
    adults,
    seats: children.map((c) => c.id),
    decisions: [],
    state: 'planned',
  })
  for (const p of demo.past)
    await loadPast(db, setting, session(p.recipe, dayAfter(day, -p.daysAgo), p.start, p.until), p.memo)
  for (const a of demo.ahead) {
    const next = session(a.recipe, dayAfter(day, a.inDays), a.start, a.until)
    await saveSession(db, setting, next.id, inputsOf(next))
  }
}

/** The brandless packets of the demo: some were read, one was never. */
async function loadPackets(db: Db, setting: string, adults: string[], day: string): Promise<void> {
  for (const [i, packet] of demoPackets.packets.entries()) {
    const id = randomUUID()
    await savePacket(db, setting, id, { ...packet, simulated: false })
    const readBy = [adults[0] ?? '', adults[1] ?? adults[0] ?? '']
    const at = `${day}T08:30:00Z`
    if (i % 3 !== 2)
      await addReading(db, setting, {
        id: randomUUID(),
        packet: id,
        digest: digest(packet.label),
        readBy,
        at,
      })
  }
}

/** Invented prices; and what is on the shelf. */
async function loadCupboard(db: Db, setting: string, demo: DemoSetting): Promise<void> {
  const items = new Map<string, CupboardItem>()
  for (const { food, size, unit, pence } of demoPrices.prices) {
    const item = items.get(food) ?? { food, packs: [] }
    item.packs.push({ size, unit, price: pence })
    items.set(food, item)
  }
  for (const { food, amount, unit } of demo.shelf)
    items.set(food, { ...(items.get(food) ?? { food, packs: [] }), have: { amount, unit } })
  for (const item of items.values()) await saveCupboard(db, setting, item)
}

async function loadPast(db: Db, setting: string, session: StoredSession, memo: string[]): Promise<void> {
  const { id } = session
  await saveSession(db, setting, id, inputsOf(session))
  const request = await requestOf(db, session)
  const { plan, decisions } = settled(request)
  await saveDecisions(db, id, decisions)
  await freeze(db, id, { plan, request: { ...request, decisions } }, 'planned')
  const by = session.adults[0] ?? ''
  await appendEvents(db, setting, id, by, cooked(plan, session, memo))
  await finish(db, id)
  // Each session is planned with what was seen in those before.
  await markDue(db, id)
  await addUpSession(db, setting, id)
}

/**
 * Takes the demo's settings out, so that they can be put in afresh.
 * @returns what stands against it, or null: a setting beside the demo's is never touched.
 */
export async function removeDemo(pool: Pool): Promise<string | null> {
  if (!(await anySetting(pool))) return null
  const { rows } = await pool.query<{ setting_id: string }>('select setting_id from all_doors()')
  const names = new Set(DEMO_SETTINGS.map((d) => d.name))
  const found: string[] = []
  for (const { setting_id: id } of rows) {
    const name = await inSetting(pool, id, async (db) => {
      const one = await db.query<{ name: string }>('select name from settings')
      return one.rows[0]?.name ?? ''
    })
    if (!names.has(name)) return `'${name}' is not of the demo: nothing was reset`
    found.push(id)
  }
  for (const id of found) await inSetting(pool, id, (db) => db.query('delete from settings'))
  return null
}
