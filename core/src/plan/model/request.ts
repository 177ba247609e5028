/** Everything a plan is derived from. Children are ids: a nickname is filled in where it is shown. */
import type { Measure } from '../../amount/scoops'
import type { HouseTechnique } from '../../craft/setting-techniques'
import type { RatioRow } from '../../craft/ratios'
import type { Country, Nation } from '../../amount/nation/nations'
import type { Skills } from '../../craft/skills'
import type { KnifeRule } from '../../craft/form'
import type { ToolCount } from '../../craft/tools'
import type { AnyDiet, OwnDiet } from '../../food/diets'
import type { FoodFact } from '../../food/foods'
import type { TalkRule } from '../../learn/levels'
import type { LanguageRule, OwnWord } from '../../learn/glossary'
import type { TalkMark } from '../../learn/marks'
import { localeFor, type Locale } from '../../learn/fact/saying'
import type { Recipe } from '../../recipe/recipe'
import type { CupboardItem } from './cupboard'
import type { Decision, Measuring } from './decision'
import type { Concern } from '../../food/concern'

/** What a child may need at the table. */
export const NEEDS = ['wheelchair', 'limited-grip', 'no-wet-food'] as const
export type Need = (typeof NEEDS)[number]

export interface PlanChild {
  id: string
  /** `YYYY-MM`; of the month the last day counts. */
  birth?: string
  /** Age of a guest in completed months. Either this or `birth`. */
  months?: number
  concerns: Concern[]
  diets: AnyDiet[]
  languages: string[]
  hand?: 'left' | 'right'
  /** A written care plan is on file (its words stay with the child's row). */
  carePlan?: boolean
  /** Digest of its words: other words stop the table, as an allergy does. */
  carePlanWords?: string
  needs: Need[]
  /** How each technique was last seen, from the record; nothing where it never was. */
  skills?: Skills
  /** Technique id -> the rung on which it was last seen. */
  rungs?: Readonly<Record<string, string>>
  /** The day on which each technique was last done, `YYYY-MM-DD`; nothing where it never was. */
  lastDone?: Record<string, string>
  /** Jobs that it had more than an even share in its last sessions, a whole number; below 0 where fewer. */
  turnsOverShare?: number
  /** Food -> how often the child took it where it could choose. */
  took?: Record<string, number>
  /** Techniques that the child's own plan leaves out. It only ever takes away. */
  limits?: string[]
  /** What was noted of its talk, and how many questions it had in each of its last sessions. */
  talk?: {
    marks: TalkMark[]
    heard: number[]
    /** Questions of the last weeks -> the day on which each was last asked. */
    lines?: Readonly<Record<string, string>>
  }
}

export interface PlanAdult {
  id: string
  /** What this adult may lead. */
  leads: ('knives' | 'heat')[]
}

export interface Kit {
  measures: Measure[]
  /** `oven`, `hob`, `fridge`, `scale`, ... that the room has. */
  equipment: string[]
  /** Children at the sink at once; two where it is not said. */
  sinkPlaces?: number | undefined
  /** Trays that the oven holds at once; one where it is not said. */
  trays?: number | undefined
  /** Tools of which there are only so many; others are there for everyone. */
  tools?: ToolCount[] | undefined
}

export interface HouseRules {
  kind: 'nursery' | 'library' | 'home'
  /** Words, units, and guidance where a nation's own is not known. */
  country: Country
  /** Whose rules: ratios, core temperatures, labels, money. */
  nation?: Nation | undefined
  /** Where its clocks stand (IANA, `Europe/London`); the server's own zone where it is not said. It moves no plan. */
  zone?: string | undefined
  /** One bowl for all, small groups with a bowl each, or an own bowl for every child. */
  grouping: 'together' | 'groups' | 'own'
  /** Below this age in months a child has an own bowl whatever the others do: waiting is hard. */
  ownUnder?: number | null | undefined
  /** Children to a bowl where the group is split. */
  groupSize: number
  knives: KnifeRule
  /** Tools with a point are handed out, an adult beside, to a child who was seen to go alone with the tool before. */
  points?: boolean | undefined
  /** Ages and tools of techniques that the setting moved. */
  techniques?: HouseTechnique[] | undefined
  /** Ask more, comment more, or by age; what the talk begins with. */
  talk?: TalkRule | undefined
  /** Words of the home languages side by side, or those of the child whose turn it is. */
  languages?: LanguageRule | undefined
  /** What is offered first where an allergy meets a line: one pot for all, or an own bowl. */
  allergy?: 'one-pot' | 'own-bowl' | undefined
  /** The setting's own rules in its own words: for the sheet and the table. */
  ownRules?: string[] | undefined
  /** Techniques that everybody should come to this week. */
  week?: string[] | undefined
  /** Targets of learning that everybody should meet this week. */
  targets?: string[] | undefined
  /** The setting's own adult ratios, instead of the country's. */
  ratios?: RatioRow[] | undefined
  /** The most scoops anyone should have to count for one line. */
  maxScoops: number
  /** Diets that the setting made itself. */
  diets?: OwnDiet[] | undefined
  /** How the setting measures; as the recipe does where it is not said. */
  measuring?: Measuring | undefined
  /** The size of its eggs, as on the box; the country's usual where it is not said. */
  eggSize?: string | undefined
}

export interface PlanRequest {
  version: 1
  session: { id: string; date: string; start: string; until?: string }
  recipe: Recipe
  children: PlanChild[]
  adults: PlanAdult[]
  kit: Kit
  /** The setting's own foods; they stand over Lea's. */
  foods: FoodFact[]
  /** Stock, packs and prices; empty where a setting keeps none. */
  cupboard?: CupboardItem[]
  /** The setting's own words; they stand over Lea's. */
  words?: OwnWord[]
  rules: HouseRules
  decisions: Decision[]
  seed: number
  /** A sketch is for setting many recipes beside each other: rules of priority only. */
  effort: 'sketch' | 'draft' | 'refined'
  /** So many of the adults, the first, take the jobs that hold one; all where it is not said. A refined plan tries each. */
  holding?: number
}

/** The most children a session holds. */
export const MAX_CHILDREN = 30

/** UK or US words of a plan. */
export const localeOf = (request: Pick<PlanRequest, 'rules'>): Locale => localeFor(request.rules.country)
