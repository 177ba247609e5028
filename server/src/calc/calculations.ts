/** The calculations of `./lea calc`, as the contract of the design (calc.md) says. Others come with the parts they belong to. */
import {
  type Nation,
  NATION_IDS,
  guidanceOf,
  AmountError,
  type Measure,
  SYSTEMS,
  type System,
  TEMPERATURES,
  type TemperatureUnit,
  UNIT_IDS,
  convert,
  convertTemperature,
  eggCount,
  factorBetween,
  parseRatio,
  ratio,
  scale,
  singleMeasureWays,
  toPlaces,
  toText,
  unitOf,
} from '@lea/core/amount'
import { REGIONS, type Region, readCard, readLabel } from '@lea/core/food'
import { compile } from '@lea/core/plan'
import { advise, isAllergenId, readLine, swapCandidates } from '@lea/core/recipe'
import { readPlanRequest } from '@lea/core/schema'
import * as yup from 'yup'
import { batches, fair, packs, pan, price, scoopsAll } from './amounts'
import { count, number, type Calculation } from './fields'
import { schedule, turnsAnswer } from './jobs'
import { recipe } from './recipe'
import { fact } from './talk'

const scaleSchema = yup
  .object({
    amount: number('amount'),
    unit: yup.string(),
    factor: yup.mixed<string | number>(),
    fromServes: yup.mixed<string | number>(),
    toServes: yup.mixed<string | number>(),
  })
  .test(
    'factor',
    'give factor, or fromServes and toServes',
    (v) => v.factor !== undefined || (v.fromServes !== undefined && v.toServes !== undefined),
  )

const scaleLine: Calculation = (value) => {
  const r = scaleSchema.validateSync(value)
  const factor =
    r.factor !== undefined
      ? parseRatio(r.factor)
      : factorBetween(parseRatio(r.fromServes ?? 1), parseRatio(r.toServes ?? 1))
  return scale(parseRatio(r.amount), factor)
}

const singleSchema = yup.object({
  amount: number('amount'),
  unit: yup.string().required('unit is missing'),
  measures: yup
    .array()
    .of(
      yup.object({
        id: yup.string().required('measures: id is missing'),
        size: number('size'),
        unit: yup.string().required('measures: unit is missing'),
      }),
    )
    .required('measures are missing'),
  children: count('children'),
  maxScoops: count('maxScoops'),
  tol: number('tol'),
})

const scoopsSingle: Calculation = (value) => {
  const r = singleSchema.validateSync(value)
  const measures: Measure[] = r.measures.map((m) => ({
    id: m.id,
    name: m.id,
    size: toText(parseRatio(m.size)),
    unit: m.unit,
    count: 1,
  }))
  return singleMeasureWays(parseRatio(r.amount), r.unit, measures, r.children, r.maxScoops, parseRatio(r.tol))
}

const convertSchema = yup.object({
  value: number('value'),
  from: yup.string().required('from is missing'),
  to: yup.string().required('to is missing'),
  gPerUsCup: yup.mixed<string | number>(),
})

const convertValue: Calculation = (value) => {
  const r = convertSchema.validateSync(value)
  const exact = converted(parseRatio(r.value), r.from, r.to, r.gPerUsCup)
  return { exact: toText(exact), value: toPlaces(exact, 4) }
}

type Exact = ReturnType<typeof ratio>
const isTemperature = (unit: string): unit is TemperatureUnit =>
  (TEMPERATURES as readonly string[]).includes(unit)

function converted(value: Exact, from: string, to: string, gPerUsCup: string | number | undefined): Exact {
  if (isTemperature(from) && isTemperature(to)) return convertTemperature(value, from, to)
  for (const unit of [from, to]) {
    if (!UNIT_IDS.includes(unit))
      throw new yup.ValidationError(
        `'${unit}' is not a unit; there is: ${UNIT_IDS.join(' ')} C F`,
        unit,
        unit === from ? 'from' : 'to',
      )
  }
  const plain = convert(value, from, to)
  if (plain) return plain
  const [a, b] = [unitOf(from).dimension, unitOf(to).dimension]
  const crosses = (a === 'volume' && b === 'mass') || (a === 'mass' && b === 'volume')
  if (!crosses || gPerUsCup === undefined) {
    throw new yup.ValidationError(
      `${from} to ${to} ${crosses ? 'needs gPerUsCup' : 'measures different things'}`,
      to,
      crosses ? 'gPerUsCup' : 'to',
    )
  }
  const perCup = parseRatio(gPerUsCup)
  if (perCup.compare(0) <= 0)
    throw new yup.ValidationError('gPerUsCup must be more than 0', perCup, 'gPerUsCup')
  return a === 'volume'
    ? (convert(value, from, 'cup_us') ?? ratio(0)).mul(perCup).div(unitOf(to).size)
    : (convert(ratio(value).mul(unitOf(from).size).div(perCup), 'cup_us', to) ?? ratio(0))
}

const eggsSchema = yup.object({
  eggs: number('eggs'),
  factor: number('factor'),
  recipeEgg_g: number('recipeEgg_g'),
  boxEgg_g: number('boxEgg_g'),
})

const eggs: Calculation = (value) => {
  const r = eggsSchema.validateSync(value)
  const grams = (field: 'recipeEgg_g' | 'boxEgg_g'): string => {
    const g = parseRatio(r[field])
    if (g.compare(0) <= 0) throw new yup.ValidationError(`${field} must be more than 0`, r[field], field)
    return toText(g)
  }
  const { nearest, exactEggs, ...rest } = eggCount(
    toText(parseRatio(r.eggs)),
    parseRatio(r.factor),
    grams('recipeEgg_g'),
    grams('boxEgg_g'),
  )
  const exact = ratio(exactEggs)
  const error = exact.compare(0) === 0 ? ratio(0) : ratio(nearest).sub(exact).div(exact).mul(100)
  return { ...rest, exactEggs, nearest, nearestErrPct: toPlaces(error, 4) }
}

const plan: Calculation = (value) => compile(readPlanRequest(value))

const text = (field: string, most: number) =>
  yup.string().typeError(`${field} must be text`).max(most, `${field} may have at most ${most} characters`)

const labelSchema = yup.object({
  text: text('text', 20000).required('text is missing'),
  region: yup
    .string<Region>()
    .oneOf(REGIONS, `region must be one of: ${REGIONS.join(', ')}`)
    .optional(),
})
const label: Calculation = (value) => {
  const r = labelSchema.validateSync(value, { strict: true })
  const reading = readLabel(r.text, r.region)
  return { ...reading, words: reading.words.map(({ start, end, id, why }) => ({ start, end, id, why })) }
}

const cardSchema = yup.object({
  text: text('text', 4000).required('text is missing'),
  languages: yup
    .array()
    .typeError('languages must be a list of ids')
    .of(yup.string().required('languages holds an empty id'))
    .max(20, 'languages may have at most 20 ids')
    .optional(),
})
/** What a family wrote on a card. The languages are for whoever asks: every language that Lea reads is looked at in any case. */
const card: Calculation = (value) => {
  const { ids, levels, allowed, none, ask } = readCard(cardSchema.validateSync(value, { strict: true }).text)
  return { allergens: ids, ...(Object.keys(levels).length > 0 && { levels }), allowed, none, ask }
}

const checkSchema = yup.object({
  months: yup
    .number()
    .typeError('months must be a whole number')
    .integer('months must be a whole number')
    .min(0, 'months must be at least 0')
    .max(216, 'months may be at most 216')
    .required('months is missing'),
  what: text('what', 300).required('what is missing'),
  as: text('as', 300).optional(),
  country: yup.string<'uk' | 'us'>().oneOf(['uk', 'us'], 'country must be uk or us').optional(),
  nation: yup
    .string<Nation>()
    .oneOf(NATION_IDS, `nation must be one of ${NATION_IDS.join(', ')}`)
    .optional(),
})
const check: Calculation = (value) => {
  const { months, what, as, nation, country: given } = checkSchema.validateSync(value, { strict: true })
  const country = nation ? guidanceOf({ country: given ?? 'uk', nation }) : given
  return advise({ months, what, ...(as && { as }), ...(country && { country }) })
}

const swapsSchema = yup.object({
  food: text('food', 120).required('food is missing'),
  role: text('role', 60).required('role is missing'),
  amount: number('amount'),
  unit: yup.string().required('unit is missing'),
  avoid: yup.array().of(yup.string().required('avoid holds an empty id')).default([]),
  diets: yup.array().of(yup.string().required('diets holds an empty id')).default([]),
})
const swaps: Calculation = (value) => {
  const r = swapsSchema.validateSync(value)
  const strange = r.avoid.find((id) => !isAllergenId(id))
  if (strange !== undefined)
    throw new yup.ValidationError(`'${strange}' is not an allergen id Lea knows`, strange, 'avoid')
  const candidates = swapCandidates({ ...r, amount: toText(parseRatio(r.amount)) })
  if (candidates === null)
    throw new yup.ValidationError(`Lea does not know the food '${r.food}'`, r.food, 'food')
  return { candidates }
}

const lineSchema = yup.object({
  text: text('text', 400).required('text is missing'),
  system: yup
    .string<System>()
    .oneOf(SYSTEMS, `system must be one of: ${SYSTEMS.join(', ')}`)
    .required('system is missing: us, uk, m or au'),
  locale: yup
    .string()
    .matches(/^[a-z]{2,3}(-[A-Za-z0-9]{2,8})*$/, 'locale must be such as en-GB')
    .optional(),
})
const readAmount: Calculation = (value) => {
  const r = lineSchema.validateSync(value, { strict: true })
  try {
    return readLine(r.text, r.system, r.locale)
  } catch (fault) {
    if (fault instanceof AmountError) throw new yup.ValidationError(`text: ${fault.message}`, r.text, 'text')
    throw fault
  }
}

export const CALCULATIONS: Record<string, Calculation> = {
  plan,
  label,
  card,
  check,
  swaps,
  scale: scaleLine,
  'scoops-single': scoopsSingle,
  'scoops-all': scoopsAll,
  fair,
  pan,
  packs,
  price,
  batches,
  convert: convertValue,
  eggs,
  'read-amount': readAmount,
  turns: turnsAnswer,
  schedule,
  fact,
  recipe,
}
