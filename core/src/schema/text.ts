/** Yup pieces that every schema is made of. A message names the field and says what would be right. */
import * as yup from 'yup'
import { isCalendarDay } from '../amount/days'
import { AmountError, parseRatio, toText } from '../amount/ratio'

/** One line of plain text. Control characters are refused; markup is only text and is shown as text. */
export const line = (label: string, max: number): yup.StringSchema<string> =>
  yup
    .string()
    .typeError(`${label} must be text`)
    // Not yup's own trim: it throws on what is not text, where the message above should stand.
    .transform((value: unknown) => (typeof value === 'string' ? value.trim() : value))
    .max(max, `${label} may hold at most ${max} characters`)
    // eslint-disable-next-line no-control-regex -- control characters are exactly what is refused here
    .matches(/^[^\u0000-\u0008\u000b\u000c\u000e-\u001f]*$/, `${label} holds characters that are not text`)
    .defined()

export const required = (label: string, max: number): yup.StringSchema<string> =>
  line(label, max).required(`${label} is missing: fill it in`)

export const id = (label: string): yup.StringSchema<string> =>
  required(label, 120).matches(/^[\p{L}\p{N}:._>/#-]+$/u, { name: 'id', message: `${label} is not an id` })

export const uuid = (label: string): yup.StringSchema<string> =>
  yup
    .string()
    .typeError(`${label} must be text`)
    .uuid(`${label} is not a known id`)
    .required(`${label} is missing`)

export const isoDate = (label: string): yup.StringSchema<string> =>
  required(label, 10).test('date', `${label} must be a day such as 2026-11-26`, (v) => isCalendarDay(v))

const TIME = /^(20\d\d-\d\d-\d\d)T([01]\d|2[0-3]):[0-5]\d(:[0-5]\d(\.\d{1,9})?)?(Z|[+-]\d\d:\d\d)$/
/** A moment, as ISO 8601 writes it. */
export const isoTime = (label: string): yup.StringSchema<string> =>
  required(label, 40).test('time', `${label} must be a time such as 2026-11-26T10:15:00Z`, (v) => {
    const day = TIME.exec(v)?.[1]
    return day !== undefined && isCalendarDay(day)
  })

export const clockTime = (label: string): yup.StringSchema<string> =>
  required(label, 5).matches(/^([01]\d|2[0-3]):[0-5]\d$/, `${label} must be a time such as 10:15`)

export const birthMonth = (label: string): yup.StringSchema<string> =>
  required(label, 7).matches(/^(19|20)\d\d-(0[1-9]|1[0-2])$/, `${label} must be a month such as 2022-04`)

/** An amount as text; more than 0 and at most 100 000. Anything else is named. */
export const amount = (label: string): yup.StringSchema<string> =>
  required(label, 40)
    .transform((value: unknown) => canonicalAmount(value))
    .test('amount', '', (value: string | undefined, context) => {
      if (value === undefined) return true // whether it must be there, 'required' says
      try {
        const r = parseRatio(value)
        if (r.compare(0) <= 0) return context.createError({ message: `${label} must be more than 0` })
        if (r.compare(100000) > 0)
          return context.createError({ message: `${label} is too large: at most 100 000` })
        return true
      } catch (fault) {
        const says = fault instanceof AmountError ? fault.message : 'is not an amount'
        return context.createError({ message: `${label} ${says}` })
      }
    })

export const whole = (label: string, least: number, most: number): yup.NumberSchema<number> =>
  yup
    .number()
    .typeError(`${label} must be a whole number`)
    .integer(`${label} must be a whole number`)
    .min(least, `${label} must be at least ${least}`)
    .max(most, `${label} may be at most ${most}`)
    .required(`${label} is missing`)

/** Which version of a thing its sender saw: without it nobody can say what a change would take away. */
export const versionSchema = whole('Version', 1, 2 ** 31 - 1)

/** A whole number that may be left out; an empty value (null), as files and forms write it, is one that was left out. */
export const maybeWhole = (label: string, least: number, most: number): yup.NumberSchema =>
  whole(label, least, most)
    .optional()
    .transform((value: unknown) => value ?? undefined)

/** A list with a limit; every fault names its place. */
export const listOf = <T>(of: yup.ISchema<T>, label: string, most: number, least = 0) =>
  yup
    .array()
    .typeError(`${label} must be a list`)
    // What is over the limit is refused by its length; it is not read first, which would take time.
    .transform((list: unknown) =>
      Array.isArray(list) && list.length > most ? Array.from({ length: list.length }) : list,
    )
    // An ISchema is a Schema, though its type says less.
    // eslint-disable-next-line @typescript-eslint/no-unsafe-class-instance-assignment
    .of(of as yup.Schema<T>)
    .min(least, `${label} must hold at least ${least}`)
    .max(most, `${label} may hold at most ${most}`)
    .required(`${label} is missing`)

/** A list of ids. */
export const ids = (label: string, most: number) => listOf(id(label), label, most)

/** The parts of a thing that comes in several kinds: for each kind a schema of its other fields. */
export type Parts<T extends Record<K, string>, K extends string> = {
  [Kind in T[K]]: yup.ObjectSchema<Omit<Extract<T, Record<K, Kind>>, K>>
}

/**
 * One of several kinds, told apart by the field `by`: each has its own fields, and none of another's. The compiler holds every part to
 * the kind of `T` that it stands for, so that what is read needs no cast.
 * @param most where there is no such kind the message names this label and all kinds
 */
export function byKind<T extends Record<K, string>, K extends string>(
  by: K,
  parts: Parts<T, K>,
  label: string,
): yup.Lazy<T> {
  const kinds = Object.keys(parts)
  const whole = (of: yup.ObjectSchema<object>) => of.shape({ [by]: oneOf(kinds, label) }).noUnknown()
  // Made once: a tap is read thousands of times.
  const wholes = new Map(
    kinds.map((k) => [k, whole(parts[k as T[K]] as unknown as yup.ObjectSchema<object>)]),
  )
  const none = whole(yup.object({}))
  const schema = yup.lazy((value: unknown) => {
    const kind: unknown = typeof value === 'object' && value !== null ? Reflect.get(value, by) : undefined
    return (typeof kind === 'string' && wholes.get(kind)) || none
  })
  // What `Parts` proves kind by kind is what the whole gives: Yup has no type for a choice.
  return schema as unknown as yup.Lazy<T>
}

/** What a schema says, or nothing at all, said as null. */
export function orNull<T>(schema: yup.ISchema<T>): yup.Lazy<T | null> {
  const nothing = yup.mixed<never>().nullable().defined()
  // An ISchema is a Schema, though its type says less.

  // An ISchema is a Schema, though its type says less.
  const either = (value: unknown): yup.ISchema<T | null> => (value === null ? nothing : schema)
  return yup.lazy(either)
}

export const oneOf = <T extends string>(values: readonly T[], label: string): yup.StringSchema<T> =>
  yup
    .string<T>()
    .oneOf([...values], `${label} must be one of: ${values.join(', ')}`)
    .required(`${label} is missing`)

/** In lowest terms where it can be read; as it stands, for the message, where it cannot. */
function canonicalAmount(value: unknown): string {
  const text = String(value)
  try {
    return toText(parseRatio(text))
  } catch {
    return text
  }
}
