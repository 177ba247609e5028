/** Recipes, foods, measures and house rules as they cross a boundary. */
import * as yup from 'yup'
import { TECHNIQUES } from '../../craft/techniques'
import { isPreparation } from '../../food/by-age/choking'
import {
  BY_EYE,
  FOOD_SHAPES,
  ROWS_LIE,
  KEPT_IN,
  MODES,
  NOTE_ABOUT,
  PLACES,
  RECIPE_MOST,
  RECIPE_SCHEMA,
  ROLES,
  THEME_KINDS,
} from '../../recipe/recipe'
import { ROUNDS_MOST } from '../../recipe/kinds/kinds'
import { VARIETY_MOST, varietyFault } from '../../recipe/kinds/variety'
import { isLackable } from '../../recipe/kinds/ways'
import { upgradeRecipe } from '../../recipe/upgrade'
import { growsSchema, sceneSchema, tastingSchema } from './kinds'
import { notThere } from './not-there'
import { tinSchema } from '../amounts'
import { amount, id, line, listOf, oneOf, required, maybeWhole, whole } from '../text'

const seconds = whole('Seconds', 1, 7 * 24 * 3600)
const place = yup.string().oneOf([...PLACES], `Place must be one of: ${PLACES.join(', ')}`)

const recipeLineSchema = yup
  .object({
    id: id('Line id'),
    food: id('Food'),
    amount: amount('Amount'),
    unit: required('Unit', 30),
    role: oneOf(ROLES, 'Role'),
    variety: line('Variety', VARIETY_MOST)
      .optional()
      .transform((value: unknown) => (value === '' ? undefined : value))
      .test('variety', '', (v, at) => {
        const fault = v ? varietyFault(v) : null
        return fault ? at.createError({ message: fault }) : true
      }),
    prep: line('Preparation', 120).optional(),
    shape: yup
      .string()
      .max(60)
      .test('shape', 'Shape is not one Lea knows', (s) => s === undefined || isPreparation(s))
      .optional(),
    optional: yup.boolean().optional(),
    byEye: yup
      .string()
      .oneOf([...BY_EYE], `By eye must be one of: ${BY_EYE.join(', ')}`)
      .optional(),
    each: yup.boolean().optional(),
    sizes: listOf(
      yup.object({ below: whole('Below months', 1, 216), part: amount('Part for the small') }).noUnknown(),
      'Sizes by age',
      3,
      1,
    )
      .optional()
      .default(undefined),
  })
  .noUnknown()

const taskSchema = yup
  .object({
    technique: oneOf(
      TECHNIQUES.map((t) => t.id),
      'Technique',
    ),
    mode: oneOf(MODES, 'Mode'),
    measures: yup.boolean().optional(),
    lines: listOf(id('Line of this task'), 'Lines of this task', 40).optional().default(undefined),
    turns: maybeWhole('Turns', 1, 200),
    seconds,
    place: place.optional(),
    every: maybeWhole('Seconds between', 10, 24 * 3600),
    counts: yup
      .object({ what: required('What is counted', 40), n: whole('Number to count', 1, 200) })
      .default(undefined)
      .optional(),
    cuts: maybeWhole('Pieces it is cut into', 2, 24),
    shape: yup
      .string()
      .oneOf([...FOOD_SHAPES], `Shape must be one of: ${FOOD_SHAPES.join(', ')}`)
      .optional(),
    passes: yup
      .object({
        times: whole('How often it goes round', 1, ROUNDS_MOST),
        asks: required('What one says who passes it on', 80),
        answers: required('What is answered', 80),
      })
      .noUnknown()
      .default(undefined)
      .optional(),
    celsius: maybeWhole('Degrees Celsius', -30, 300),
  })
  .noUnknown()

const variantSchema = yup
  .object({
    from: maybeWhole('From months', 0, 216),
    below: maybeWhole('Below months', 1, 216),
    says: required('What is done at that age', 200),
  })
  .noUnknown()
  .test('ages', 'A way by age needs an age: from, or below', (v) => v.from != null || v.below != null)

const waySchema = yup
  .object({
    lacks: required('What is lacking', 40).test(
      'thing',
      'What is lacking must be a place or a tool that Lea knows',
      (id) => isLackable(id),
    ),
    title: line('Title of the step', 60)
      .optional()
      .transform((value: unknown) => (value === '' ? undefined : value)),
    says: required('What is done instead', 300),
    tasks: listOf(taskSchema, 'Tasks', 12, 1),
  })
  .noUnknown()

const stepSchema = yup
  .object({
    id: id('Step id'),
    title: required('Title of the step', 60),
    picture: required('Picture', 30),
    layers: listOf(required('Layer', 40), 'Layers', 4, 2).optional().default(undefined),
    rows: yup
      .object({ times: whole('How often the layers come', 1, 12), lie: oneOf(ROWS_LIE, 'How they lie') })
      .noUnknown()
      .default(undefined)
      .optional(),
    scene: sceneSchema.default(undefined).optional(),
    tasting: tastingSchema.default(undefined).optional(),
    uses: listOf(yup.object({ line: id('Line'), part: amount('Part') }), 'Uses', 40),
    tasks: listOf(taskSchema, 'Tasks', 12, 1),
    says: line('What the adult reads', 300).optional(),
    readies: id('Step that it makes things ready for')
      .optional()
      .transform((value: unknown) => value ?? undefined),
    nextSitting: yup.boolean().optional(),
    stay: yup.boolean().optional(),
    ways: listOf(waySchema, 'Ways where something is lacking', 4).optional().default(undefined),
    variants: listOf(variantSchema, 'Ways by age', 6).optional().default(undefined),
    soon: yup
      .object({
        seconds,
        why: required('Why it must not stand', 200),
        since: id('Step id')
          .optional()
          .transform((value: unknown) => value ?? undefined),
      })
      .noUnknown()
      .default(undefined)
      .optional(),
    rests: yup
      .object({
        how: required('How it rests', 120),
        seconds,
        place: oneOf(['fridge', 'freezer', 'table'] as const, 'Where it rests'),
      })
      .noUnknown()
      .default(undefined)
      .optional(),
  })
  .noUnknown()

const aheadSchema = yup
  .object({
    says: required('What is done ahead', 120),
    step: id('Step id'),
    minutes: whole('Minutes until it is ready', 0, 24 * 60),
    seconds: whole('Seconds of work', 5, 3600),
    heat: yup.boolean().optional(),
  })
  .noUnknown()

const themeSchema = yup
  .object({ kind: oneOf(THEME_KINDS, 'Kind of theme'), name: required('Theme', 40) })
  .noUnknown()
const choiceSchema = yup
  .object({
    id: id('Choice id'),
    what: required('What is chosen', 40),
    lines: listOf(id('Line'), 'Lines to choose from', 12, 2),
    take: maybeWhole('How many a child takes', 1, 6),
    step: yup.string().max(80, 'The step of a choice is too long').optional(),
  })
  .noUnknown()
const noteSchema = yup.object({ about: oneOf(NOTE_ABOUT, 'About'), says: required('Note', 400) }).noUnknown()
const keepsSchema = yup
  .object({ where: oneOf(KEPT_IN, 'Where it keeps'), days: whole('Days it keeps', 0, 90) })
  .noUnknown()

const unique = (ids: (string | undefined)[]): boolean => new Set(ids).size === ids.length

/** A recipe of today’s shape; an earlier one is brought up first. */
export const recipeSchema = yup
  .object({
    schema: yup
      .number<typeof RECIPE_SCHEMA>()
      .oneOf([RECIPE_SCHEMA], 'This recipe is of a version that Lea does not read')
      .required('The version of the recipe is missing: schema'),
    id: id('Recipe id'),
    title: required('Title', 80),
    about: line('About', 300),
    serves: whole('Serves', 1, 200),
    pieces: yup
      .object({
        what: required('Pieces', 30),
        n: whole('Number of pieces', 1, 500),
        perTray: maybeWhole('Pieces on a tray', 1, 200),
        rows: maybeWhole('Rows', 1, 24),
        cols: maybeWhole('Columns', 1, 24),
        from: line('Cut from', 40).optional(),
      })
      .default(undefined)
      .optional(),
    tin: tinSchema.default(undefined).optional(),
    batter: amount('Batter in mL').optional(),
    ready: yup
      .object({
        price: whole('Price of the ready-made thing', 1, 1_000_000),
        portions: whole('Its portions', 1, 200),
      })
      .noUnknown()
      .default(undefined)
      .optional(),
    themes: listOf(themeSchema, 'Themes', RECIPE_MOST.themes),
    equipment: listOf(required('Equipment', 60), 'Equipment', RECIPE_MOST.equipment),
    storage: line('Storage', 200),
    keeps: listOf(keepsSchema, 'Keeps', 3).optional().default(undefined),
    choices: listOf(choiceSchema, 'Free choices', RECIPE_MOST.choices).optional().default(undefined),
    notes: listOf(noteSchema, 'Notes', 12).optional().default(undefined),
    grows: growsSchema.default(undefined).optional(),
    lines: listOf(recipeLineSchema, 'Lines', RECIPE_MOST.lines).test(
      'ids',
      'Two lines have the same id',
      (l?: { id: string }[]) => unique((l ?? []).map((x) => x.id)),
    ),
    steps: listOf(stepSchema, 'Steps', RECIPE_MOST.steps).test(
      'ids',
      'Two steps have the same id',
      (l?: { id: string }[]) => unique((l ?? []).map((x) => x.id)),
    ),
    ahead: listOf(aheadSchema, 'Ahead', RECIPE_MOST.ahead).optional().default(undefined),
  })
  .noUnknown()
  .transform((_, original: unknown) => upgradeRecipe(original))
  .test('uses', '', (recipe, context) => {
    // What is not there is named by its own field.
    const fault = Array.isArray(recipe.lines) && Array.isArray(recipe.steps) ? notThere(recipe) : null
    return fault ? context.createError(fault) : true
  })
