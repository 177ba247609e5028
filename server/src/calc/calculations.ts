/** The calculations of `./lea calc`, as the contract of the design (calc.md) says. Others come with the parts they belong to. */
import {
  compile,
  convert,
  eggCount,
  factorBetween,
  parseRatio,
  ratio,
  readPlanRequest,
  scale,
  singleMeasureWays,
  toPlaces,
  toText,
  UNIT_IDS,
  unitOf,
  type Measure,
} from '@lea/core'
import * as yup from 'yup'

export type Calculation = (request: unknown) => unknown

/** An amount as the contract allows it: text in lowest terms, mixed, decimal, vulgar, or a JSON number. */
const number = (field: string) =>
  yup
    .mixed<string | number>()
    .required(`${field} is missing`)
    .test('amount', '', (value, context) => {
      try {
        parseRatio(value as string | number)
        return true
      } catch (fault) {
        return context.createError({
          message: `${field} ${fault instanceof Error ? fault.message : 'is not an amount'}`,
        })
      }
    })
const count = (field: string) =>
  yup
    .number()
    .integer(`${field} must be whole`)
    .min(1, `${field} must be at least 1`)
    .required(`${field} is missing`)

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

function converted(value: Exact, from: string, to: string, gPerUsCup: string | number | undefined): Exact {
  if (from === 'F' && to === 'C') return value.sub(32).mul('5/9')
  if (from === 'C' && to === 'F') return value.mul('9/5').add(32)
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

export const CALCULATIONS: Record<string, Calculation> = {
  plan,
  scale: scaleLine,
  'scoops-single': scoopsSingle,
  convert: convertValue,
  eggs,
}
