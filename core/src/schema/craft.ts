/** What a setting moves of techniques and adult ratios, as it crosses a boundary. */
import * as yup from 'yup'
import { TECHNIQUES, techniqueOf } from '../craft/techniques'
import { listOf, oneOf, required, maybeWhole, whole } from './text'

const months = (label: string) => maybeWhole(label, 12, 216)

export const houseTechniqueSchema = yup
  .object({
    technique: oneOf(
      TECHNIQUES.map((t) => t.id),
      'Technique',
    ),
    from: months('Age in months'),
    oversee: months('Age of overseeing in months'),
    tools: listOf(
      yup.object({ tool: required('Tool', 120), from: whole('Age in months', 12, 216) }).noUnknown(),
      'Tools',
      12,
    )
      .optional()
      .default(undefined),
  })
  .noUnknown()
  .test('order', '', (moved, context) => {
    if (moved.from != null && moved.oversee != null && moved.oversee < moved.from)
      return context.createError({ message: 'Overseeing begins before children do it at all' })
    const ladder = techniqueOf(moved.technique)?.ladder ?? []
    const unknown = moved.tools?.find((t) => !ladder.some((r) => r.id === t.tool || r.was === t.tool))
    return unknown
      ? context.createError({ message: `Tool is not on the ladder of ${moved.technique}: ${unknown.tool}` })
      : true
  })

/** Rows by rising age; the last is for all who are older. */
export const ratiosSchema = listOf(
  yup
    .object({
      below: yup
        .number()
        .typeError('Age must be a number of months')
        .integer('Age must be whole months')
        .min(1, 'Age must be at least 1 month')
        .max(216)
        .nullable()
        .defined('Age is missing'),
      children: whole('Children to an adult', 1, 40),
    })
    .noUnknown(),
  'Ratios',
  8,
).test(
  'rising',
  'Ratios: the ages must rise, and only the last row is for all who are older',
  (rows?: { below: number | null }[]) =>
    (rows ?? []).every((r, i, all) => {
      const last = i === all.length - 1
      const before = all[i - 1]?.below ?? 0
      return last ? r.below === null : r.below !== null && r.below > before
    }),
)
