/**
 * Who read or changed what, and when. The lines name people and things by id only: what stands in a card, and what somebody has called a recipe or a
 * packet, is not repeated here, so that a name which is erased elsewhere is in no log.
 */
import type { Db } from './pool'

/** What a line is of, and how an owner finds it. */
export const AUDIT_PARTS = {
  cards: 'Cards of children',
  people: 'Adults and sign-ins',
  rules: 'House rules and kit',
  lists: 'Foods, cupboard, words',
  recipes: 'Recipes',
  sessions: 'Sessions',
  packets: 'Packets',
  records: 'Records and papers',
  'sign-in': 'Signing in and out',
  setting: 'The setting as a whole',
  other: 'All else',
} as const
export type AuditPart = keyof typeof AUDIT_PARTS
export const isAuditPart = (text: string): text is AuditPart => Object.hasOwn(AUDIT_PARTS, text)

/** What is said of one thing is cut to this. */
const MOST_WORDS = 300

/** @param adult id, or null where Lea or its operator did it @param did in words @param subject id of what it was done to */
export async function writeAudit(
  db: Db,
  setting: string,
  adult: string | null,
  part: AuditPart,
  did: string,
  subject: string,
): Promise<void> {
  await db.query('insert into audit (setting_id, adult_id, part, did, subject) values ($1, $2, $3, $4, $5)', [
    setting,
    adult,
    part,
    did.slice(0, MOST_WORDS),
    subject,
  ])
}

/** What happens again and again is said once an hour of each person. */
export async function noteOnceAnHour(
  db: Db,
  setting: string,
  adult: string,
  part: AuditPart,
  did: string,
): Promise<void> {
  await db.query(
    `insert into audit (setting_id, adult_id, part, did, subject)
     select $1::uuid, $2::uuid, $3::text, $4::text, $1::text
     where not exists (
       select from audit
       where setting_id = $1::uuid and adult_id = $2::uuid and part = $3::text and did = $4::text
         and at > now() - interval '1 hour'
     )`,
    [setting, adult, part, did.slice(0, MOST_WORDS)],
  )
}
/** Pages read all cards again and again. */
export const noteBulkReading = (db: Db, setting: string, adult: string, did: string): Promise<void> =>
  noteOnceAnHour(db, setting, adult, 'records', did)

export interface AuditLine {
  at: string
  who: string | null
  part: string
  did: string
  subject: string
}
/** What is looked for; all where nothing is said. */
export interface AuditWish {
  /** Lines older than this time, for the next page. */
  before: string | null
  part: string | null
  /** Id of an adult; `lea` for what nobody in the setting did. */
  who: string | null
  /** Days, both taken in, `YYYY-MM-DD`, in this zone. */
  from: string | null
  to: string | null
  zone: string
}
/** What recipes and packets are called now, by id. */
export async function namesOfThings(db: Db): Promise<Map<string, string>> {
  const { rows } = await db.query<{ id: string; name: string }>(
    'select id::text as id, title as name from recipes union all select id::text, name from packets',
  )
  return new Map(rows.map((r) => [r.id, r.name]))
}

/** The newest first. */
export async function listAudit(db: Db, wish: AuditWish, limit = 100): Promise<AuditLine[]> {
  const { rows } = await db.query<AuditLine>(
    `select to_char(at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"') as at, adult_id as who, part, did, subject
     from audit
     where ($1::timestamptz is null or at < $1) and ($2::text is null or part = $2)
       and ($3::text is null or coalesce(adult_id::text, 'lea') = $3)
       and ($4::date is null or at >= ($4::date)::timestamp at time zone $6)
       and ($5::date is null or at < ($5::date + 1)::timestamp at time zone $6)
     order by at desc, id desc limit $7`,
    [wish.before, wish.part, wish.who, wish.from, wish.to, wish.zone, limit],
  )
  return rows
}

/** The same, of whoever is asking. */
export const noteBy = (
  db: Db,
  person: { id: string; settingId: string },
  part: AuditPart,
  did: string,
  subject: string = person.settingId,
): Promise<void> => writeAudit(db, person.settingId, person.id, part, did, subject)

/** A value that is said in a line; longer ones are only said to have changed. */
const MOST_VALUE = 30
const shortly = (value: unknown): string | null =>
  ['string', 'number', 'boolean'].includes(typeof value) && String(value).length <= MOST_VALUE
    ? String(value)
    : value === undefined || value === null
      ? 'nothing'
      : null

/**
 * What differs between two shapes of one thing, in words: `knives from soft-first to real-early, targets`; empty where nothing does.
 * @param said of these the values are said as well: none in which somebody may have written a name
 */
export function differing(before: object, after: object, said: readonly string[] = []): string {
  const [was, is] = [before as Record<string, unknown>, after as Record<string, unknown>]
  return [...new Set([...Object.keys(was), ...Object.keys(is)])]
    .filter((key) => JSON.stringify(was[key]) !== JSON.stringify(is[key]))
    .map((key) => {
      const [from, to] = [shortly(was[key]), shortly(is[key])]
      return said.includes(key) && from !== null && to !== null ? `${key} from ${from} to ${to}` : key
    })
    .join(', ')
}
