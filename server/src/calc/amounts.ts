/** The calculations of amounts: scoops, fair turns, tins, packs, prices, batches. Contract: calc.md. */
import {
  type Size,
  type Tin,
  batchMultiple,
  bestWay,
  casesFor,
  choosePacks,
  compareTins,
  convert,
  decompositions,
  fairScoops,
  ovenBatches,
  parseRatio,
  priceOf,
  toText,
} from '@lea/core/amount'
import * as yup from 'yup'
import { count, number, type Calculation } from './fields'

const LISTED = 60
const many = <T extends yup.Maybe<yup.AnyObject>>(of: yup.Schema<T>, field: string, most = 60) =>
  yup.array().of(of).max(most, `${field} may hold at most ${most}`).required(`${field} are missing`)
const id = (field: string) => yup.string().max(80).required(`${field}: id is missing`)
const positive = (field: string) =>
  number(field).test(
    'positive',
    `${field} must be more than 0`,
    (v?: string | number) => v === undefined || parseRatio(v).compare(0) > 0,
  )
const notNegative = (field: string) =>
  number(field).test(
    'sign',
    `${field} must not be below 0`,
    (v?: string | number) => v === undefined || parseRatio(v).compare(0) >= 0,
  )
const exact = (v: string | number): string => toText(parseRatio(v))

/** A measure's size in the unit of the amount. @throws ValidationError where the two measure different things */
function sizeIn(unit: string, m: { id: string; size: string | number; unit?: string | undefined }): Size {
  const size = convert(exact(m.size), m.unit ?? unit, unit)
  if (size === null)
    throw new yup.ValidationError(
      `${m.id} is in ${m.unit ?? ''}, which does not measure what ${unit} does`,
      m.unit,
      'measures',
    )
  return { id: m.id, size }
}

const allSchema = yup.object({
  amount: positive('amount'),
  unit: yup.string().required('unit is missing'),
  measures: many(
    yup.object({ id: id('measures'), size: positive('size'), unit: yup.string().optional() }),
    'measures',
    12,
  ),
  maxScoops: count('maxScoops').max(100, 'maxScoops may be at most 100'),
  children: yup.number().integer().min(1, 'children must be at least 1').optional(),
  countLimit: yup.number().integer().min(0).optional(),
  patience: yup.number().integer().min(1).optional(),
})
export const scoopsAll: Calculation = (value) => {
  const r = allSchema.validateSync(value)
  const sizes = r.measures.map((m) => sizeIn(r.unit, m))
  const ways = decompositions(exact(r.amount), sizes, r.maxScoops)
  const named = (way: readonly number[]): Record<string, number> =>
    Object.fromEntries(way.flatMap((n, i) => (n > 0 ? [[sizes[i]?.id ?? '', n] as const] : [])))
  const total = (way: readonly number[]): number => way.reduce((a, b) => a + b, 0)
  const best =
    r.children === undefined
      ? null
      : bestWay(
          ways,
          sizes.map((s) => Number(s.size.valueOf())),
          {
            children: r.children,
            countLimit: r.countLimit ?? Infinity,
            ...(r.patience !== undefined && { patience: r.patience }),
          },
        )
  return {
    count: ways.length,
    fewest: ways.length === 0 ? null : ways.reduce((least, w) => Math.min(least, total(w)), Infinity),
    ...(ways.length <= LISTED && { decompositions: ways.map(named) }),
    ...(best && { best: named(best) }),
  }
}

const fairSchema = yup.object({
  unit: yup.string().required('unit is missing'),
  measures: many(
    yup.object({ id: id('measures'), size: positive('size'), unit: yup.string().optional() }),
    'measures',
    12,
  ),
  ingredients: many(
    yup
      .object({
        name: yup.string().max(120).required('ingredients: name is missing'),
        amount: positive('amount').optional(),
        pieces: yup.number().integer().min(0).optional(),
      })
      .test(
        'one',
        'an ingredient needs amount or pieces',
        (i) => (i.amount === undefined) !== (i.pieces === undefined),
      ),
    'ingredients',
    40,
  ),
  children: count('children').max(60, 'children may be at most 60'),
  countLimit: yup.number().integer().min(0).required('countLimit is missing'),
  minTurn: notNegative('minTurn'),
  maxScoops: count('maxScoops').max(60, 'maxScoops may be at most 60'),
  minEach: yup.number().integer().min(0).max(20).required('minEach is missing'),
})
export const fair: Calculation = (value) => {
  const r = fairSchema.validateSync(value)
  return fairScoops({
    measures: r.measures.map((m) => sizeIn(r.unit, m)),
    ingredients: r.ingredients.map((i) =>
      i.amount === undefined
        ? { name: i.name, pieces: i.pieces ?? 0 }
        : { name: i.name, amount: exact(i.amount) },
    ),
    children: r.children,
    countLimit: r.countLimit,
    minTurn: exact(r.minTurn),
    maxScoops: r.maxScoops,
    minEach: r.minEach,
  })
}

const tinSchema = yup.object({
  shape: yup
    .string<Tin['shape']>()
    .oneOf(['round', 'square', 'rect'], 'shape must be round, square or rect')
    .required('shape is missing'),
  d: positive('d').optional(),
  s: positive('s').optional(),
  a: positive('a').optional(),
  b: positive('b').optional(),
  h: positive('h').optional(),
  unit: yup
    .string<Tin['unit']>()
    .oneOf(['mm', 'cm', 'in'], 'unit must be mm, cm or in')
    .required('unit is missing'),
})
const panSchema = yup.object({
  mode: yup
    .string<'area' | 'volume' | 'cups'>()
    .oneOf(['area', 'volume', 'cups'], 'mode must be area, volume or cups')
    .required('mode is missing'),
  from: tinSchema.default(undefined).optional(),
  to: tinSchema.default(undefined).optional(),
  batter_mL: positive('batter_mL').optional(),
  cup_mL: positive('cup_mL').optional(),
  fill: positive('fill').optional(),
  cupsPerTin: yup.number().integer().min(1).optional(),
})
type TinInput = yup.InferType<typeof tinSchema>
function tinOf(input: TinInput | undefined, field: string): Tin {
  if (!input) throw new yup.ValidationError(`${field} is missing`, input, field)
  const tin: Tin = { shape: input.shape, unit: input.unit }
  for (const side of ['d', 's', 'a', 'b', 'h'] as const) {
    const v = input[side]
    if (v !== undefined) tin[side] = exact(v)
  }
  return tin
}
const needed = <T>(v: T | undefined, field: string): T => {
  if (v === undefined) throw new yup.ValidationError(`${field} is missing`, v, field)
  return v
}
export const pan: Calculation = (value) => {
  const r = panSchema.validateSync(value)
  if (r.mode === 'cups')
    return casesFor(
      exact(needed(r.batter_mL, 'batter_mL')),
      exact(needed(r.cup_mL, 'cup_mL')),
      exact(needed(r.fill, 'fill')),
      needed(r.cupsPerTin, 'cupsPerTin'),
    )
  try {
    return compareTins(tinOf(r.from, 'from'), tinOf(r.to, 'to'), r.mode)
  } catch (fault) {
    if (fault instanceof RangeError)
      throw new yup.ValidationError(fault.message, value, fault.message.split(' ')[0])
    throw fault
  }
}

const money = (field: string) =>
  yup
    .number()
    .integer(`${field} must be whole minor units`)
    .min(0, `${field} must not be below 0`)
    .required(`${field} is missing`)
const packsSchema = yup.object({
  need: notNegative('need'),
  unit: yup.string().optional(),
  pantry: notNegative('pantry'),
  packs: many(yup.object({ id: id('packs'), size: positive('size'), price: money('price') }), 'packs', 30),
})
export const packs: Calculation = (value) => {
  const r = packsSchema.validateSync(value)
  const choice = choosePacks(
    exact(r.need),
    exact(r.pantry),
    r.packs.map((p) => ({ id: p.id, size: exact(p.size), price: p.price })),
  )
  if (choice === null) throw new yup.ValidationError('packs hold nothing to buy it in', r.packs, 'packs')
  return choice
}

const priceSchema = yup.object({
  items: many(
    yup.object({
      name: yup.string().required('items: name is missing'),
      packSize: positive('packSize'),
      packPrice: money('packPrice'),
      used: notNegative('used'),
    }),
    'items',
  ),
  portions: count('portions'),
  ready: yup
    .object({ price: money('ready.price'), portions: count('ready.portions') })
    .required('ready is missing'),
})
export const price: Calculation = (value) => {
  const r = priceSchema.validateSync(value)
  return priceOf(
    r.items.map((i) => ({ ...i, packSize: exact(i.packSize), used: exact(i.used) })),
    r.portions,
    r.ready,
  )
}

const batchesSchema = yup.object({
  mode: yup
    .string<'oven' | 'multiple'>()
    .oneOf(['oven', 'multiple'], 'mode must be oven or multiple')
    .required('mode is missing'),
  pieces: yup.number().integer().min(1).optional(),
  perTray: yup.number().integer().min(1).optional(),
  traysAtOnce: yup.number().integer().min(1).optional(),
  minutes: positive('minutes').optional(),
  turnaround: notNegative('turnaround').optional(),
  yield: positive('yield').optional(),
  need: positive('need').optional(),
  step: positive('step').optional(),
  eggs: notNegative('eggs').optional(),
  eggsWhole: yup.boolean().optional(),
})
export const batches: Calculation = (value) => {
  const r = batchesSchema.validateSync(value)
  if (r.mode === 'oven')
    return ovenBatches(
      needed(r.pieces, 'pieces'),
      needed(r.perTray, 'perTray'),
      needed(r.traysAtOnce, 'traysAtOnce'),
      exact(needed(r.minutes, 'minutes')),
      exact(needed(r.turnaround, 'turnaround')),
    )
  const eggs = r.eggsWhole ? exact(needed(r.eggs, 'eggs')) : undefined
  return batchMultiple(
    exact(needed(r.yield, 'yield')),
    exact(needed(r.need, 'need')),
    exact(needed(r.step, 'step')),
    eggs,
  )
}
