/** Where a name stands in words that somebody typed, of an erased child above all; and blanking it there. */
import { type WordsIn, textsWith, withoutNameIn } from '@lea/core/setting'
import type { Db } from './pool'

/** One text of one stored thing. */
export interface NamePlace {
  of: WordsIn
  id: string
  text: string
  /** Day of the session, `YYYY-MM-DD`; null where it is of none. */
  date: string | null
  /** Title of the session or the recipe, nickname of the child; empty for house rules. */
  title: string
}

interface Row {
  id: string
  date: string | null
  title: string
  words: unknown
}

/** Sessions that are cooking are looked through when they are over: nothing is changed under a table at work. */
const SOURCES: Record<WordsIn, string> = {
  // The others are taps: most of a year's events, and without a word of anybody's.
  event: `select e.id, s.date, r.title, e.body as words from events e
    join sessions s on s.id = e.session_id join recipes r on r.id = s.recipe_id
    where s.state <> 'cooking' and e.kind in ('note', 'incident', 'memo', 'temperature', 'taste-word', 'guess', 'guess-seen',
      'look-back', 'leftover', 'scrap', 'reopen', 'timer', 'look')
    order by s.date, e.session_id, e.number`,
  session: `select s.id, s.date, r.title, jsonb_build_array(s.decisions, s.request -> 'decisions') as words
    from sessions s join recipes r on r.id = s.recipe_id where s.state <> 'cooking' order by s.date, s.start`,
  recipe: 'select id, null as date, title, body as words from recipes order by title',
  child: 'select id, null as date, nickname as title, profile as words from children order by nickname',
  rules: `select id, null as date, '' as title, rules as words from settings`,
}
const THINGS = Object.keys(SOURCES) as WordsIn[]

/** @returns each text once for each thing that it stands in, by kind of thing and by day */
export async function namePlaces(db: Db, name: string): Promise<NamePlace[]> {
  const places: NamePlace[] = []
  for (const of of THINGS) {
    const { rows } = await db.query<Row>(SOURCES[of])
    for (const { words, ...row } of rows)
      for (const text of textsWith(of, words, name)) places.push({ of, ...row, text })
  }
  return places
}

const keyOf = (p: Pick<NamePlace, 'of' | 'id' | 'text'>): string => JSON.stringify([p.of, p.id, p.text])

/**
 * Blanks the name in the chosen texts, and wherever a plan or a frozen request says the same text.
 * @returns how many texts were blanked; what does not hold the name any more is passed over
 */
export async function blankName(
  db: Db,
  name: string,
  chosen: readonly Pick<NamePlace, 'of' | 'id' | 'text'>[],
): Promise<number> {
  const keys = new Set(chosen.map(keyOf))
  const places = (await namePlaces(db, name)).filter((p) => keys.has(keyOf(p)))
  const byThing = new Map<string, NamePlace[]>()
  for (const p of places) byThing.set(`${p.of} ${p.id}`, [...(byThing.get(`${p.of} ${p.id}`) ?? []), p])
  for (const list of byThing.values()) {
    const { of, id } = list[0] as NamePlace
    await BLANK[of](db, id, (thing) =>
      withoutNameIn(
        thing,
        list.map((p) => p.text),
        name,
      ),
    )
  }
  return places.length
}

type Blanking = (db: Db, id: string, blank: <T>(thing: T) => T) => Promise<void>
const json = (value: unknown): string | null => (value === null ? null : JSON.stringify(value))
const BLANK: Record<WordsIn, Blanking> = {
  event: async (db, id, blank) => {
    const { rows } = await db.query<{ body: unknown }>('select body from events where id = $1', [id])
    if (rows[0]) await db.query('select blank_event($1, $2)', [id, json(blank(rows[0].body))])
  },
  session: async (db, id, blank) => {
    const { rows } = await db.query<Record<'decisions' | 'plan' | 'request', unknown>>(
      `select decisions, plan, request from sessions where id = $1 and state <> 'cooking' for update`,
      [id],
    )
    if (rows[0])
      await db.query(
        'update sessions set decisions = $2, plan = $3, request = $4, version = version + 1 where id = $1',
        [id, json(blank(rows[0].decisions)), json(blank(rows[0].plan)), json(blank(rows[0].request))],
      )
  },
  recipe: async (db, id, blank) => {
    const { rows } = await db.query<{ title: string; body: unknown }>(
      'select title, body from recipes where id = $1 for update',
      [id],
    )
    if (rows[0])
      await db.query('update recipes set title = $2, body = $3, version = version + 1 where id = $1', [
        id,
        blank(rows[0].title),
        json(blank(rows[0].body)),
      ])
  },
  child: async (db, id, blank) => {
    const { rows } = await db.query<{ profile: unknown }>(
      'select profile from children where id = $1 for update',
      [id],
    )
    if (rows[0])
      await db.query('update children set profile = $2, version = version + 1 where id = $1', [
        id,
        json(blank(rows[0].profile)),
      ])
  },
  rules: async (db, id, blank) => {
    const { rows } = await db.query<{ rules: unknown }>(
      'select rules from settings where id = $1 for update',
      [id],
    )
    if (rows[0])
      await db.query('update settings set rules = $2, rules_version = rules_version + 1 where id = $1', [
        id,
        json(blank(rows[0].rules)),
      ])
  },
}
