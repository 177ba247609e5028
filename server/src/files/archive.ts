/**
 * A whole setting as one archive: a ZIP of JSON files, in the shapes of core. Passwords and sign-in names stay where they are, and so does
 * the audit log: it speaks of another house. Reading it back checks every part by its schema, and names the file and the row at fault.
 */
import { randomUUID } from 'node:crypto'
import * as yup from 'yup'
import type { FoodFact, StoredPacket } from '@lea/core/food'
import type { OwnWord } from '@lea/core/learn'
import {
  type CupboardItem,
  type Decision,
  type HouseRules,
  type Kit,
  type Plan,
  type PlanRequest,
  type StoredPlan,
  handBreaches,
  openStops,
  planFault,
  withDigest,
  upgradePlan,
} from '@lea/core/plan'
import type { Recipe } from '@lea/core/recipe'
import {
  type PersonRole,
  childSchema,
  cupboardSchema,
  decisionListSchema,
  eventListSchema,
  foodSchema,
  keepMonthsSchema,
  kitSchema,
  ownWordSchema,
  readPlanRequest,
  recipeSchema,
  rulesSchema,
  sessionSchema,
} from '@lea/core/schema'
import { type TableEvent, replay } from '@lea/core/session'
import type { SessionInputs, StoredAdult, StoredChild, StoredSession } from '@lea/core/setting'
import { Fault } from '../fault'

export interface ArchivedSession {
  id: string
  state: 'planned' | 'cooking' | 'finished'
  input: SessionInputs
  decisions: Decision[]
  plan: Plan | null
  /** What the plan was made from; archives of before it was kept have none. */
  request?: PlanRequest | null | undefined
  events: TableEvent[]
}
export interface Archive {
  /** Months to keep records; archives of before that was asked have none. */
  setting: { name: string; rules: HouseRules; kit: Kit; keepMonths?: number | undefined }
  adults: StoredAdult[]
  children: StoredChild[]
  recipes: { id: string; recipe: Recipe }[]
  foods: FoodFact[]
  cupboard: CupboardItem[]
  words: OwnWord[]
  /** A packet that is put back counts as changed then. */
  packets: (Omit<StoredPacket, 'changedAt'> & { changedAt?: string | undefined })[]
  sessions: ArchivedSession[]
}
export const ARCHIVE_FORMAT = 'lea-archive'
export const ARCHIVE_VERSION = 1
export const ARCHIVE_PARTS = [
  'setting',
  'adults',
  'children',
  'recipes',
  'foods',
  'cupboard',
  'words',
  'packets',
  'sessions',
] as const
export type ArchivePart = (typeof ARCHIVE_PARTS)[number]
/** @throws Fault 400 where it is no archive, or one of another version */
export function checkHead(head: unknown): void {
  const { format, version } = (head ?? {}) as { format?: unknown; version?: unknown }
  if (format !== ARCHIVE_FORMAT) throw new Fault(400, 'this is no archive of Lea')
  if (version !== ARCHIVE_VERSION) throw new Fault(400, 'this archive is of a version that Lea does not read')
}

/** How a row of each part is read. @throws Fault 400 that names the part and the row. @param today for ages, `YYYY-MM-DD` */
export function readersOf(today: string): {
  [P in Exclude<ArchivePart, 'setting'>]: (value: unknown, row: number) => Archive[P][number]
} & { setting: (value: unknown) => Archive['setting'] } {
  const row =
    <T>(name: string, schema: yup.Schema<T>) =>
    (value: unknown, n: number): T =>
      one(`${name}.json, row ${n}`, schema, value)
  const session = row('sessions', archivedSession)
  return {
    setting: (value) => one('setting.json', settingSchema, value),
    adults: row('adults', archivedAdult),
    children: row('children', archivedChild(today)),
    recipes: row('recipes', archivedRecipe),
    foods: row('foods', foodSchema),
    cupboard: row('cupboard', cupboardSchema),
    words: row('words', ownWordSchema),
    packets: row('packets', archivedPacket),
    sessions: (value, n) => {
      const s = session(value, n)
      const plan = s.plan ? upgradePlan(s.plan) : null
      const request = requestOrNone(s.request)
      return {
        ...s,
        plan,
        request,
        state: s.state === 'cooking' && !holds(plan, request, s.events) ? 'finished' : s.state,
      }
    },
  }
}
/** As papers and changes read it; one that a newer Lea does not read counts as none was kept. */
function requestOrNone(value: unknown): PlanRequest | null {
  try {
    return value == null ? null : readPlanRequest(value)
  } catch {
    return null
  }
}
/**
 * A table that is at work is at work by a plan that may stand: nobody has a turn that is not theirs, and no stop is open. One of which that
 * cannot be seen comes in as over; whoever opens it again does so by name and with a reason.
 */
function holds(plan: Plan | null, request: PlanRequest | null, events: TableEvent[]): boolean {
  if (plan === null || request === null || openStops(plan).length > 0) return false
  // Of a child that has left: what its own taps say it did.
  const { turns } = replay(events)
  const done = plan.turns.filter((t) => turns[t.id]?.child === t.child).map((t) => t.id)
  return handBreaches(plan, request, new Set(done)).length === 0
}

function one<T>(name: string, schema: yup.Schema<T>, value: unknown): T {
  try {
    return schema.validateSync(value, { abortEarly: true, stripUnknown: true })
  } catch (fault) {
    if (fault instanceof yup.ValidationError) throw new Fault(400, `${name}: ${fault.message}`)
    throw fault
  }
}
const uuid = yup.string().uuid('an id is not an id').required('an id is missing')
const settingSchema = yup.object({
  name: yup.string().max(60).required('Name of the setting is missing'),
  rules: rulesSchema.required(),
  kit: kitSchema.required(),
  keepMonths: keepMonthsSchema.optional(),
})
const archivedAdult = yup.object({
  id: uuid,
  name: yup.string().max(60).required('Name is missing'),
  leads: yup
    .array()
    .of(yup.string<'knives' | 'heat'>().oneOf(['knives', 'heat']).required())
    .required(),
  role: yup.string<PersonRole>().oneOf(['owner', 'leader', 'helper']).optional(),
})
/** What was seen of a child comes from its sessions, and is worked out from them again. */
const archivedChild = (today: string) => childSchema(today).concat(yup.object({ id: uuid }))
const archivedRecipe = yup.object({ id: uuid, recipe: recipeSchema.required() })
const archivedPacket = yup.object({
  id: uuid,
  food: yup.string().max(120).required(),
  name: yup.string().max(120).required(),
  code: yup.string().max(60).nullable().default(null),
  label: yup.string().max(20_000).defined(),
  simulated: yup.boolean().required(),
  changedAt: yup.string().optional(),
  reading: yup
    .object({
      readBy: yup.array().of(yup.string().required()).required(),
      at: yup.string().required(),
      digest: yup.string().required(),
    })
    .nullable()
    .default(undefined),
})

const archivedSession = yup.object({
  id: uuid,
  state: yup.string<StoredSession['state']>().oneOf(['planned', 'cooking', 'finished']).required(),
  input: sessionSchema.required(),
  decisions: decisionListSchema,
  plan: yup
    .mixed<StoredPlan>()
    .nullable()
    .test('plan', '', (stored, context) => {
      const fault = stored == null ? null : faultOf(stored)
      return fault === null || context.createError({ message: `a plan is not one of Lea: ${fault}` })
    }),
  request: yup.mixed().nullable().optional(),
  events: eventListSchema,
})

/** A frozen plan of any version, in today's shape, is held to every field. */
function faultOf(stored: StoredPlan): string | null {
  try {
    return planFault(upgradePlan(stored))
  } catch {
    return 'it has no version that is known'
  }
}

const UUID = /\b[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}\b/gi

/**
 * Gives new ids throughout, where the house has those of the old ones already; what hangs together still does, over all rows that it is
 * given. A frozen plan gets its digest anew.
 */
export function freshIds(): <T>(row: T) => T {
  const fresh = new Map<string, string>()
  return <T>(row: T): T => {
    const text = JSON.stringify(row).replace(UUID, (old) => {
      const known = fresh.get(old)
      if (known) return known
      const next = randomUUID()
      fresh.set(old, next)
      return next
    })
    const copy = JSON.parse(text) as T & { plan?: Plan | null }
    if (copy.plan) copy.plan = withDigest(copy.plan)
    return copy
  }
}
