/**
 * Assembles the request of a plan from what a setting stores. Server and browser both use it, so that the same stored
 * inputs give the same plan on either side.
 */
import type { How } from '../craft/skills'
import type { FoodFact } from '../food/foods'
import type { OwnWord } from '../learn/glossary'
import type { TalkMark } from '../learn/marks'
import type { Recipe } from '../recipe/recipe'
import type { CupboardItem } from '../plan/model/cupboard'
import type { Decision } from '../plan/model/decision'
import { digest } from '../plan/model/digest'
import type { HouseRules, Kit, PlanAdult, PlanChild, PlanRequest } from '../plan/model/request'

export interface StoredProfile {
  nickname: string
  concerns: PlanChild['concerns']
  diets: PlanChild['diets']
  languages: string[]
  hand?: 'left' | 'right' | undefined
  needs: PlanChild['needs']
  carePlan?: string | undefined
  /** The place mat: weave and colour. */
  mat?: number | undefined
  /** Techniques that the child's own plan leaves out. */
  limits?: string[] | undefined
}
/** What is carried from a child's past sessions into its next plan. */
export interface ChildProgress {
  /** How each technique was last seen. */
  skills: Record<string, How>
  /** The rung on which it was last seen; not there where nothing was. */
  rungs?: Record<string, string>
  /** The day on which each technique was last done. */
  lastDone: Record<string, string>
  talk: { marks: TalkMark[]; heard: number[]; lines?: Readonly<Record<string, string>> }
  /** Jobs that it had more than its share in its last sessions; below 0 where fewer. */
  turnsOverShare: number
  /** Food -> how often it was taken where it could be chosen. */
  took?: Record<string, number>
}

/** What is typed about a child, and beside it what its sessions have shown: the server adds that up, and nobody sends it back. */
export interface StoredChild extends StoredProfile {
  id: string
  birth: string
  /** Goes up with each change of the card: who saves says which one they saw. */
  version?: number | undefined
  progress?: ChildProgress | undefined
}
export interface StoredGuest extends StoredProfile {
  id: string
  months: number
}
export interface StoredAdult extends PlanAdult {
  name: string
  role?: string | undefined
}
export interface StoredSession {
  id: string
  date: string
  start: string
  until?: string | undefined
  recipe: string
  children: string[]
  guests: StoredGuest[]
  adults: string[]
  seats: string[]
  decisions: Decision[]
  state: 'planned' | 'cooking' | 'finished'
  /** Goes up with each change. */
  version?: number | undefined
}
/** What a person enters of a session: without its id, decisions, state and version. */
export type SessionInputs = Omit<StoredSession, 'id' | 'decisions' | 'state' | 'version'>

/** What a person entered of a session, without its id, decisions, state and version. */
export function inputsOf({
  date,
  start,
  until,
  recipe,
  children,
  guests,
  adults,
  seats,
}: StoredSession): SessionInputs {
  return { date, start, until, recipe, children, guests, adults, seats }
}

export interface StoredSetting {
  name: string
  /** One of the demo's settings: there the scanner stand-in counts. */
  demo?: boolean
  rules: HouseRules
  kit: Kit
  foods: FoodFact[]
  cupboard?: CupboardItem[]
  /** Its own words. */
  words?: OwnWord[]
}

/** Seats decide the order of the table; whoever has no seat follows in the order of the list. */
function seated(ids: readonly string[], seats: readonly string[]): string[] {
  const present = new Set(ids)
  const first = seats.filter((id) => present.has(id))
  return [...new Set([...first, ...ids])]
}

/** A child, or a guest, as a plan sees it. */
export const planChild = (c: StoredChild | StoredGuest): PlanChild => ({
  id: c.id,
  ...('birth' in c ? { birth: c.birth } : { months: c.months }),
  concerns: c.concerns,
  diets: c.diets,
  languages: c.languages,
  ...(c.hand && { hand: c.hand }),
  ...(c.carePlan && { carePlan: true, carePlanWords: digest(c.carePlan) }),
  needs: c.needs,
  ...(c.limits && c.limits.length > 0 && { limits: c.limits }),
  ...('progress' in c && c.progress && carried(c.progress)),
})

/** Only what there is: a plan of a child without sessions is the same as before there was a record. */
const carried = ({
  skills,
  rungs,
  lastDone,
  talk,
  turnsOverShare,
  took,
}: ChildProgress): Partial<PlanChild> => ({
  ...(Object.keys(lastDone).length > 0 && { lastDone }),
  ...(turnsOverShare !== 0 && { turnsOverShare }),
  ...(took && { took }),
  ...(talk.marks.length + talk.heard.length > 0 && { talk }),
  ...(Object.keys(skills).length > 0 && { skills }),
  ...(rungs && { rungs }),
})

/** The request of a plan from what is stored: the same inputs give the same request on either side. */
export function assemble(
  session: StoredSession,
  stored: {
    setting: StoredSetting
    recipe: Recipe
    children: readonly StoredChild[]
    adults: readonly StoredAdult[]
  },
): PlanRequest {
  const people = new Map<string, StoredChild | StoredGuest>()
  for (const child of stored.children) if (session.children.includes(child.id)) people.set(child.id, child)
  for (const guest of session.guests) people.set(guest.id, guest)
  const order = seated([...session.children, ...session.guests.map((g) => g.id)], session.seats)
  return {
    version: 1,
    session: {
      id: session.id,
      date: session.date,
      start: session.start,
      ...(session.until && { until: session.until }),
    },
    recipe: stored.recipe,
    children: order.flatMap((id) => {
      const person = people.get(id)
      return person ? [planChild(person)] : []
    }),
    adults: session.adults.flatMap((id) => {
      const adult = stored.adults.find((a) => a.id === id)
      return adult ? [{ id: adult.id, leads: adult.leads }] : []
    }),
    kit: stored.setting.kit,
    foods: stored.setting.foods,
    cupboard: stored.setting.cupboard ?? [],
    ...((stored.setting.words ?? []).length > 0 && { words: stored.setting.words }),
    rules: stored.setting.rules,
    decisions: session.decisions,
    seed: 1,
    effort: 'draft',
  }
}
