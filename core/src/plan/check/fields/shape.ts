/** Checks of plain JSON against a type, field by field: the compiler holds every field of the type to a check of its own. */

/** @returns null, or where the fault is and what it is: `.tasks[3].mode is no text` */
export interface ShapeOf<T> {
  (value: unknown, at: string): string | null
  /** What it is a check of; there is no such field. */
  readonly of?: T
}
type Fields<T> = { [K in keyof Required<T>]: ShapeOf<T[K]> }

const fault = (at: string, what: string): string => `${at || 'it'} is ${what}`
const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
const of =
  <T>(holds: (value: unknown) => boolean, what: string): ShapeOf<T> =>
  (value, at) =>
    holds(value) ? null : fault(at, what)

export const textValue = of<string>((v) => typeof v === 'string', 'no text')
export const numberField = of<number>((v) => Number.isFinite(v), 'no number')
export const flagField = of<boolean>((v) => typeof v === 'boolean', 'neither true nor false')
export const trueField = of<true>((v) => v === true, 'not true')
/** One of these texts. */
export const wordField = <T extends string | number>(...words: readonly T[]): ShapeOf<T> =>
  of<T>((v) => words.some((w) => w === v), `none of ${words.join(', ')}`)
/** A text of a list that grows: a technique, an allergen, a rule. */
export const nameField = <T extends string>(): ShapeOf<T> => of<T>((v) => typeof v === 'string', 'no text')

/** A field that may be left out. */
export const maybe =
  <T>(shape: ShapeOf<T>): ShapeOf<T | undefined> =>
  (value, at) =>
    value === undefined ? null : shape(value, at)
export const orNone =
  <T>(shape: ShapeOf<T>): ShapeOf<T | null> =>
  (value, at) =>
    value === null ? null : shape(value, at)

export const listField =
  <T>(shape: ShapeOf<T>): ShapeOf<T[]> =>
  (value, at) => {
    if (!Array.isArray(value)) return fault(at, 'no list')
    for (const [i, one] of value.entries()) {
      const wrong = shape(one, `${at}[${i}]`)
      if (wrong) return wrong
    }
    return null
  }

/** All fields of a type, and none beside. */
export const fields =
  <T extends object>(all: Fields<T>): ShapeOf<T> =>
  (value, at) => {
    if (!isObject(value)) return fault(at, 'no object')
    for (const key of Object.keys(value))
      if (!Object.hasOwn(all, key)) return fault(`${at}.${key}`, 'unknown')
    for (const [key, shape] of Object.entries<ShapeOf<unknown>>(all)) {
      const wrong = shape(value[key], `${at}.${key}`)
      if (wrong) return wrong
    }
    return null
  }

/** One of several kinds, told apart by a field; each has the fields of its own. */
export const kinds =
  <T extends object, K extends string & keyof T>(
    by: K,
    all: { [Kind in T[K] & string]: Omit<Fields<Extract<T, { [P in K]: Kind }>>, K> },
  ): ShapeOf<T> =>
  (value, at) => {
    const kind = isObject(value) ? value[by] : undefined
    if (typeof kind !== 'string' || !Object.hasOwn(all, kind)) return fault(`${at}.${by}`, 'no known kind')
    const own = { ...all[kind as T[K] & string], [by]: textValue } as unknown as Fields<object>
    return fields(own)(value, at)
  }

/** A thing that is told apart by this field, and whose other fields are its own room's. */
export const told = <T extends object>(by: string & keyof T): ShapeOf<T> =>
  of<T>((v) => isObject(v) && typeof v[by] === 'string', `nothing with a ${by}`)
