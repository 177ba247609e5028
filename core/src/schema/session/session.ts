/** Sessions, decisions, events and whole plan requests as they cross a boundary. */
import * as yup from 'yup'
import { HOWS, type How } from '../../craft/skills'
import { TECHNIQUES } from '../../craft/techniques'
import { MAX_CHILDREN, NEEDS, type PlanRequest } from '../../plan/model/request'
import type { RestChange } from '../../plan/live/replan-remaining'
import { ANSWERS } from '../../learn/marks'
import { SUPPORT_LEVELS } from '../../learn/levels'
import { cupboardSchema } from '../amounts'
import { decisionListSchema } from './decision'
import { dietSchema } from '../diet'
import { concernSchema, guestSchema } from '../people'
import { ownWordSchema } from '../own-word'
import { recipeSchema } from '../recipe/recipe'
import {
  type Parts,
  byKind,
  birthMonth,
  clockTime,
  id,
  ids,
  isoDate,
  line,
  listOf,
  oneOf,
  required,
  uuid,
  whole,
} from '../text'
import { kitSchema } from '../kit'
import { foodSchema } from '../own-food'
import { rulesSchema } from '../rules'

/** What a person enters of a session. */
export const sessionSchema = yup
  .object({
    date: isoDate('Day'),
    start: clockTime('Start'),
    until: clockTime('Families come at')
      .optional()
      .when('start', ([start], schema) =>
        schema.test(
          'after',
          'Families come before the start',
          (v: string | undefined) => !v || v > String(start),
        ),
      ),
    recipe: uuid('Recipe'),
    children: ids('Children', MAX_CHILDREN),
    guests: listOf(guestSchema, 'Guests', MAX_CHILDREN),
    adults: ids('Adults', 12),
    seats: listOf(yup.string().defined().max(60), 'Seats', 40),
  })
  .noUnknown()
  .test('count', `A session holds ${MAX_CHILDREN} children`, (s, context) =>
    s.children.length + s.guests.length > MAX_CHILDREN
      ? context.createError({
          path: 'children',
          message: `${s.children.length + s.guests.length} children: a session holds ${MAX_CHILDREN}`,
        })
      : true,
  )

const turnsDone = listOf(required('Turn', 300), 'Turns done', 5000)
const restParts: Parts<RestChange, 'do'> = {
  'few-scoops': yup.object({}),
  'adult-does': yup.object({ step: required('Step', 120), technique: required('Technique', 60) }),
}
const mendParts: Parts<MendInput, 'kind'> = {
  left: yup.object({ child: id('Child'), done: turnsDone }),
  away: yup.object({ adult: id('Adult'), step: required('Step', 120) }),
  late: yup.object({ step: required('Step', 120), minutes: whole('Minutes', 1, 120) }),
  broken: yup.object({ measure: id('Measure'), done: turnsDone }),
  short: yup.object({ line: id('Line'), left: whole('Scoops that are left', 0, 1000), done: turnsDone }),
  shorten: yup.object({
    step: required('Step', 120),
    done: turnsDone,
    change: byKind<RestChange, 'do'>('do', restParts, 'Change of the rest'),
  }),
}
/** A change in the middle of cooking. */
export const mendSchema = byKind<MendInput, 'kind'>('kind', mendParts, 'Change')
export type MendInput =
  | { kind: 'left'; child: string; done: string[] }
  | { kind: 'away'; adult: string; step: string }
  | { kind: 'late'; step: string; minutes: number }
  | { kind: 'broken'; measure: string; done: string[] }
  | { kind: 'short'; line: string; left: number; done: string[] }
  | { kind: 'shorten'; step: string; done: string[]; change: RestChange }

/** Small groups one after another: who, and when. */
export const rotationSchema = yup
  .object({
    groups: listOf(
      yup.object({ start: clockTime('Start'), children: ids('Children', MAX_CHILDREN) }).noUnknown(),
      'Groups',
      12,
      2,
    ),
  })
  .noUnknown()
export type RotationInput = yup.InferType<typeof rotationSchema>

/** Technique id -> how it was last seen. Its keys are not stripped: they are checked one by one. */
const skillsSchema = yup
  .mixed<Record<string, How>>()
  .test('skills', 'Skills must say of techniques how they were seen', (value) =>
    value == null
      ? true
      : typeof value === 'object' &&
        Object.values(value).every((how) => (HOWS as readonly unknown[]).includes(how)),
  )

/** Technique id -> the rung on which it was last seen. */
const rungsSchema = yup
  .mixed<Record<string, string>>()
  .test('rungs', 'The rungs of techniques must be names', (value) =>
    value == null
      ? true
      : typeof value === 'object' &&
        Object.values(value).every((rung) => typeof rung === 'string' && rung.length <= 40),
  )

/** Something by name -> a day. */
const daysByName = (message: string) =>
  yup
    .mixed<Record<string, string>>()
    .test('days', message, (value) =>
      value == null
        ? true
        : typeof value === 'object' &&
          Object.keys(value).length <= 500 &&
          Object.values(value).every((day) => typeof day === 'string' && /^\d{4}-\d\d-\d\d$/.test(day)),
    )
/** Technique id -> the day on which it was last done. */
const lastDoneSchema = daysByName('What was done lately must say the day of each technique')

/** Food -> how often it was taken. */
const tookSchema = yup
  .mixed<Record<string, number>>()
  .test('took', 'What a child took must say how often it took each food', (value) =>
    value == null
      ? true
      : typeof value === 'object' &&
        Object.keys(value).length <= 500 &&
        Object.values(value).every((n) => Number.isInteger(n) && n >= 0 && n <= 10_000),
  )

/** What was noted of a child's talk. */
const childTalkSchema = yup
  .object({
    marks: listOf(
      yup
        .object({
          target: required('Goal', 60),
          on: isoDate('Day'),
          how: oneOf(ANSWERS, 'Answer'),
          level: oneOf(SUPPORT_LEVELS, 'Level'),
          food: line('Food', 120).optional(),
        })
        .noUnknown(),
      'Marks',
      2000,
    ),
    heard: listOf(whole('Questions', 0, 200), 'Questions in the last sessions', 3),
    lines: daysByName('Questions of the last weeks must say the day of each').optional(),
  })
  .noUnknown()

const planChild = yup
  .object({
    id: id('Child id'),
    birth: birthMonth('Birth month').optional(),
    months: yup
      .number()
      .typeError('Age must be a number')
      .integer('Age must be whole months')
      .min(0)
      .max(216)
      .optional(),
    concerns: listOf(concernSchema, 'Allergies', 20),
    diets: listOf(dietSchema, 'Diets', 20),
    languages: listOf(line('Language', 8), 'Languages', 8),
    hand: yup.string().oneOf(['left', 'right'], 'Hand must be left or right').optional(),
    carePlan: yup.boolean().optional(),
    carePlanWords: line('Digest of the care plan', 40).optional(),
    needs: listOf(oneOf(NEEDS, 'Need'), 'Needs', 8),
    skills: skillsSchema.optional(),
    rungs: rungsSchema.optional(),
    lastDone: lastDoneSchema.optional(),
    took: tookSchema.optional(),
    turnsOverShare: whole('Jobs more than its share', -1000, 1000).optional(),
    talk: childTalkSchema.optional().default(undefined),
    limits: listOf(line('Technique', 60), 'Techniques left out', TECHNIQUES.length)
      .optional()
      .default(undefined),
  })
  // As requests of earlier versions call them.
  .from('lately', 'lastDone')
  .from('ahead', 'turnsOverShare')
  .test(
    'age',
    'A child needs a birth month, or an age in months',
    (c) => c.birth !== undefined || c.months !== undefined,
  )

const planRequestSchema = yup
  .object({
    version: yup.number<1>().oneOf([1], 'version must be 1').required('version is missing: 1'),
    session: yup.object({
      id: id('Session id'),
      date: isoDate('Day'),
      start: clockTime('Start'),
      until: clockTime('Until').optional(),
    }),
    recipe: recipeSchema,
    children: listOf(planChild, 'Children', MAX_CHILDREN).test(
      'future',
      'A birth month lies after the day of the session',
      (list: { birth?: string | undefined }[] | undefined, ctx) => {
        const whole = ctx.from?.[0]?.value as { session?: { date?: unknown } } | undefined
        const date = whole?.session?.date
        const day = typeof date === 'string' ? date.slice(0, 7) : ''
        return !day || (list ?? []).every((c) => !c.birth || c.birth <= day)
      },
    ),
    adults: listOf(
      yup.object({
        id: id('Adult id'),
        leads: listOf(oneOf(['knives', 'heat'] as const, 'Leads'), 'Leads', 2),
      }),
      'Adults',
      12,
    ),
    kit: kitSchema,
    foods: listOf(foodSchema, 'Foods', 500),
    cupboard: listOf(cupboardSchema, 'Cupboard', 1000).optional(),
    words: listOf(ownWordSchema, 'Words', 1000).optional().default(undefined),
    rules: rulesSchema,
    decisions: decisionListSchema,
    seed: whole('Seed', 0, 2 ** 31),
    effort: oneOf(['draft', 'refined'] as const, 'Effort'),
  })
  .test(
    'ids',
    'Two children have the same id',
    (r) => new Set(r.children.map((c) => c.id)).size === r.children.length,
  )

/** @throws yup.ValidationError whose `path` names the field. */
export const readPlanRequest = (value: unknown): PlanRequest =>
  planRequestSchema.validateSync(value, { abortEarly: true })
