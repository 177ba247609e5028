/**
 * A recipe: lines with amounts and roles, and steps with what goes in and what hands do.
 * Own recipes of a setting and Lea's shipped ones have the same shape (`schema: 2`; an older one is brought up by upgrade.ts).
 */
import type { Tin } from '../amount/packs'
import type { Ratio } from '../amount/ratio'
import type { Growing, Passes, Tasting } from './kinds/kinds'
import type { Scene } from './kinds/scene-parts'

/** What a food does in the recipe. It decides the swaps and how exact the measuring has to be. */
export const ROLES = [
  'structure',
  'liquid',
  'acid-liquid',
  'raising',
  'binder',
  'glaze',
  'fat',
  'fat-rubbed',
  'fat-melted',
  'frying',
  'sweet',
  'salt',
  'seasoning',
  'topping',
  'savour',
  'moisture',
  'dressing',
  'main',
] as const
export type Role = (typeof ROLES)[number]

/**
 * How far off a measured amount may be, by role. Source: measures.md B2, common practice, from memory; a setting
 * may be stricter.
 */
export const TOLERANCE: Record<Role, Ratio> = {
  structure: '1/20',
  liquid: '1/20',
  'acid-liquid': '1/20',
  raising: '1/20',
  binder: '1/10',
  glaze: '1/4',
  fat: '1/20',
  'fat-rubbed': '1/20',
  'fat-melted': '1/20',
  frying: '3/20',
  sweet: '1/10',
  salt: '1/10',
  seasoning: '1/4',
  topping: '1/5',
  savour: '1/5',
  moisture: '1/10',
  dressing: '3/20',
  main: '1/5',
}

/** How an amount is given that nobody measures. */
export const BY_EYE = ['taste', 'here', 'eye'] as const
export type ByEye = (typeof BY_EYE)[number]

export interface RecipeLine {
  id: string
  food: string
  amount: Ratio
  unit: string
  role: Role
  /** Which one of its food: "red", "from our tree". */
  variety?: string | undefined
  /** Preparation in words: "grated by an adult". */
  prep?: string
  /** Preparation code of the choking rules (`GRATE`, `QL`, ...). */
  shape?: string
  optional?: boolean
  /** Nobody measures it: to taste, until it is as it should be, by eye. The amount is what Lea reckons with. */
  byEye?: ByEye
  /** For each child: everybody measures the own portion, which is the amount parted by what the recipe serves. */
  each?: boolean | undefined
  /** Of what is for each child the small have a part: below so many months so much of it; the first that fits counts. */
  sizes?: { below: number; part: Ratio }[] | undefined
}

/** EACH child does it · TURNS of a shared task · STATIONs side by side, the children move on · an ADULT does it · WAIT. */
export const MODES = ['EACH', 'TURNS', 'STATION', 'ADULT', 'WAIT'] as const
export type Mode = (typeof MODES)[number]
/** A job that every child does once: at the same time as the others, or when it comes to that station. */
export const isOnce = (mode: Mode): boolean => mode === 'EACH' || mode === 'STATION'
/** A job of children, not of an adult and not a wait. */
export const isByChildren = (mode: Mode): boolean => isOnce(mode) || mode === 'TURNS'

/** Where food gets hot. */
const HOT_PLACES = [
  ...(['oven', 'hob', 'fire', 'grill', 'microwave'] as const),
  ...(['toaster-oven', 'griddle', 'kettle', 'air-fryer'] as const),
] as const
export type HeatPlace = (typeof HOT_PLACES)[number]
/** Where a task is done. */
export const PLACES = ['table', 'sink', ...HOT_PLACES, 'fridge', 'freezer'] as const
export type Place = (typeof PLACES)[number]
/** Food gets hot there. */
export const isHot = (place: Place | undefined): place is HeatPlace =>
  (HOT_PLACES as readonly (Place | undefined)[]).includes(place)

export interface RecipeTask {
  technique: string
  mode: Mode
  /** The lines that are measured here, one task each; turns are then scoops. */
  measures?: boolean
  /** Of the lines that the step takes up those that are measured here, or that this work is done to; all of them where it is not said. */
  lines?: string[] | undefined
  /** Turns of a shared task that is not measured (say, 24 stirs); default one for each child. */
  turns?: number
  /** One turn, one child's go, the adult's work or the wait: whole seconds. */
  seconds: number
  place?: Place
  /** WAIT: it is turned, stirred or looked at again and again, every so many seconds. */
  every?: number
  /** What is there to count, where it is not scoops: "stirs", "snips". */
  counts?: { what: string; n: number }
  /** Each piece of food is cut into so many equal ones. */
  cuts?: number | undefined
  /** What it is pressed or formed into. */
  shape?: FoodShape | undefined
  /** It goes round the table, seat by seat; over so many rounds what is taken of a line is parted. */
  passes?: Passes | undefined
  /** Of the oven, the fridge. */
  celsius?: number | undefined
}

export const FOOD_SHAPES = ['circle', 'square', 'rectangle', 'triangle', 'hexagon', 'oval'] as const
export type FoodShape = (typeof FOOD_SHAPES)[number]

export interface RecipeStep {
  id: string
  /** Five words or fewer. */
  title: string
  picture: string
  /** What is laid in turn: "oats", "pear". Once, from below, unless `rows` says otherwise. */
  layers?: string[] | undefined
  /** How often the layers come, and how they lie: only then are they a pattern. */
  rows?: { times: number; lie: RowsLie } | undefined
  /** A picture that is built here, one by each child where it works for itself. */
  scene?: Scene | undefined
  /** Foods that are tasted here, side by side or with eyes covered. */
  tasting?: Tasting | undefined
  uses: { line: string; part: Ratio }[]
  tasks: RecipeTask[]
  /** One sentence for the adult. */
  says?: string
  /** Each child stays at one of the stations of this step, side by side; without it the children move on until everybody was at each. */
  stay?: boolean | undefined
  /** It only measures or prepares, at the table, what goes into that step: whatever is hot or raw elsewhere is not touched by it. */
  readies?: string | undefined
  /** The step is done at a later sitting (after a night in the fridge). */
  nextSitting?: boolean
  /** Where a room lacks something it is done so; the first whose thing is lacking counts. */
  ways?: StepWay[] | undefined
  /** Children of some ages do it in another way: from and below, completed months. */
  variants?: StepVariant[] | undefined
  /**
   * What the step before made (or the step `since`) must not stand longer than so many seconds before this one begins: a dough
   * with soda in it, a hot soup.
   */
  soon?: { seconds: number; why: string; since?: string | undefined } | undefined
  /** After this step it may rest until a later sitting: how, in words, and how many seconds at least. */
  rests?: { how: string; seconds: number; place: 'fridge' | 'freezer' | 'table' } | undefined
}

/** How a row may lie. */
export const ROWS_LIE = ['line', 'stack', 'ring'] as const
export type RowsLie = (typeof ROWS_LIE)[number]

/** Work of an adult that has to be done before a step begins: an oven that heats up, sticks that soak, charcoal that glows. */
export interface Ahead {
  says: string
  /** The step that needs it. */
  step: string
  /** From the end of the adult's work until it is ready, whole minutes. */
  minutes: number
  /** The adult's own work, seconds. */
  seconds: number
  heat?: boolean | undefined
}

/** A step where the room lacks a place or a tool: what is done instead. */
export interface StepWay {
  /** Id of what is lacking: a hot or cold place, the scale, a tool. */
  lacks: string
  title?: string | undefined
  says: string
  tasks: RecipeTask[]
}

/** "Under 3 years: tear instead of snip." */
export interface StepVariant {
  from?: number | undefined
  below?: number | undefined
  says: string
}

/** What a recipe belongs to: several of a kind are fine. */
export const THEME_KINDS = [
  'season',
  'festival',
  'story',
  'letter',
  'colour',
  'place',
  'food group',
  'other',
] as const
export type ThemeKind = (typeof THEME_KINDS)[number]
export interface Theme {
  kind: ThemeKind
  name: string
}

/**
 * Where each child chooses for itself among lines: toppings, fillings. The amount of such a line is enough for everybody to take of it; how
 * much is laid out goes by who is reckoned to. How many are offered at once goes by age.
 */
export interface FreeChoice {
  id: string
  /** "toppings" */
  what: string
  lines: string[]
  /** As many as a child may take of them; one where it is not said. */
  take?: number | undefined
  /** The step at which it is asked, where that is another one than where the foods come. */
  step?: string | undefined
}

/** What a note of a recipe is about. */
export const NOTE_ABOUT = ['culture', 'foods', 'story', 'tip'] as const
/** Where a dish or a food comes from, whose it is, what to tell. */
export interface RecipeNote {
  about: (typeof NOTE_ABOUT)[number]
  says: string
}

/** Where leftovers are kept. */
export const KEPT_IN = ['room', 'fridge', 'freezer'] as const
/** What is left keeps so many days after the session: 0 is the same day. */
export interface Keeps {
  where: (typeof KEPT_IN)[number]
  days: number
}

/** As many as one recipe may have. */
export const RECIPE_MOST = { lines: 40, steps: 40, choices: 4, equipment: 30, ahead: 8, themes: 12 } as const

/** The version of the shape of a recipe. */
export const RECIPE_SCHEMA = 2

export interface Recipe {
  schema: typeof RECIPE_SCHEMA
  id: string
  title: string
  about: string
  /** Children's portions that the amounts as written make. */
  serves: number
  /** Pieces that can be counted and shared, for as many as it serves. */
  pieces?: {
    what: string
    n: number
    /** How many go on one tray, where they go into the oven on trays. */
    perTray?: number | undefined
    /** How they lie: on a full tray, or cut from the tin. */
    rows?: number | undefined
    cols?: number | undefined
    /** The whole that they are cut from: "loaf". */
    from?: string | undefined
  }
  /** The tin that the amounts are written for. */
  tin?: Tin | undefined
  /** mL of batter or dough, where it was measured. */
  batter?: Ratio | undefined
  /** The ready-made thing, for comparison: minor units for so many portions. */
  ready?: { price: number; portions: number } | undefined
  themes: Theme[]
  equipment: string[]
  /** In words; `keeps` says it in days. */
  storage: string
  keeps?: Keeps[] | undefined
  choices?: FreeChoice[] | undefined
  notes?: RecipeNote[] | undefined
  /** What grows on from what was sown. */
  grows?: Growing | undefined
  lines: RecipeLine[]
  steps: RecipeStep[]
  /** Beside the oven's heating up, which Lea knows by itself. */
  ahead?: Ahead[] | undefined
}
