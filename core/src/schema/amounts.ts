/** Stock, packs, prices, tins and how much is made, as they cross a boundary. */
import * as yup from 'yup'
import { EGG_SIZES } from '../food/weights'
import { MEASURING } from '../plan/model/decision'
import type { Make } from '../recipe/make'
import { type Parts, amount, byKind, id, listOf, oneOf, required, whole } from './text'

const minor = (label: string) =>
  whole(label, 0, 10_000_000).typeError(`${label} must be a number of pence or cents`)

const packSchema = yup
  .object({
    size: amount('Pack size'),
    unit: required('Unit of the pack', 20),
    price: minor('Price').nullable().default(null),
  })
  .noUnknown()

/** A food of the cupboard: packs, prices in minor units, what is there. */
export const cupboardSchema = yup
  .object({
    food: id('Food'),
    have: yup
      .object({ amount: amount('In stock'), unit: required('Unit', 20) })
      .noUnknown()
      .default(undefined)
      .optional(),
    packs: listOf(packSchema, 'Packs', 12),
    weighs: yup
      .object({ grams: amount('Grams'), unit: required('Unit', 20) })
      .noUnknown()
      .default(undefined)
      .optional(),
  })
  .noUnknown()

const side = (label: string) => amount(label).optional()
export const tinSchema = yup
  .object({
    shape: oneOf(['round', 'square', 'rect'] as const, 'Shape of the tin'),
    unit: oneOf(['mm', 'cm', 'in'] as const, 'Unit of the tin'),
    d: side('Across'),
    s: side('Side'),
    a: side('Length'),
    b: side('Width'),
    h: side('Height'),
  })
  .noUnknown()
  .test(
    'sides',
    '',
    (
      tin:
        { shape?: 'round' | 'square' | 'rect'; d?: string; s?: string; a?: string; b?: string } | undefined,
      context,
    ) => {
      if (!tin) return true
      const needs = { round: ['d'], square: ['s'], rect: ['a', 'b'] } as const
      const missing = tin.shape && needs[tin.shape].find((k) => tin[k] === undefined)
      return missing
        ? context.createError({
            path: missing,
            message: `A ${tin.shape} tin needs its ${missing === 'd' ? 'width across' : 'sides'}`,
          })
        : true
    },
  )

const makeParts: Parts<Make, 'by'> = {
  children: yup.object({ more: whole('More portions', 0, 100) }),
  portions: yup.object({ portions: amount('Portions') }),
  pieces: yup.object({ pieces: whole('Pieces', 1, 2000) }),
  batches: yup.object({ batches: amount('Batches') }),
  tin: yup.object({ tin: tinSchema }),
  cases: yup.object({
    cases: whole('Cases', 1, 2000),
    mL: amount('Size of a case'),
    fill: amount('How full'),
  }),
}
/** How much is made, one of six ways. */
export const makeSchema = byKind<Make, 'by'>('by', makeParts, 'How much is made')

export const measuringSchema = oneOf(MEASURING, 'How is measured')
export const eggSizeSchema = oneOf(
  EGG_SIZES.map((e) => e.size),
  'Size of the eggs',
)

/** Measure id -> how many scoops of it. Not an object schema: its keys are the setting's own and must not be stripped. */
export const waysSchema = yup
  .mixed<Record<string, number>>()
  .required('Scoops are missing')
  .test('ways', '', (value, context) => {
    if (typeof value !== 'object' || Array.isArray(value))
      return context.createError({ message: 'Scoops must name measures' })
    const entries: [string, unknown][] = Object.entries(value)
    if (entries.length === 0 || entries.length > 12)
      return context.createError({ message: 'Scoops must name 1 to 12 measures' })
    const bad = entries.find(([, n]) => typeof n !== 'number' || !Number.isInteger(n) || n < 0 || n > 60)
    return bad
      ? context.createError({
          message: `Scoops of ${bad[0].slice(0, 40)} must be a whole number from 0 to 60`,
        })
      : true
  })
