/**
 * A Yup schema as JSON Schema (draft 2020-12), so that the one that is published says what the one that checks asks. Rules that look at
 * two fields at once are in words only (`$comment`).
 */
import type { AnyObjectSchema, ISchema } from 'yup'

interface Described {
  type: string
  optional: boolean
  nullable: boolean
  oneOf?: unknown[]
  tests?: { name?: string | undefined; params?: Record<string, unknown> | undefined }[]
  fields?: Record<string, Described>
  innerType?: Described
}
export type JsonSchema = Record<string, unknown>

/** An amount: an exact rational, a mixed number or a decimal, more than 0. */
const AMOUNT_PATTERN = '^(?=.*[1-9])\\d+(?: \\d+)?(?:/[1-9]\\d*|\\.\\d+)?$'

const paramOf = (d: Described, name: string, key: string): unknown =>
  d.tests?.find((t) => t.name === name)?.params?.[key]

function ofString(d: Described): JsonSchema {
  const isAmount = d.tests?.some((t) => t.name === 'amount') === true
  const patterns = (d.tests ?? [])
    .map((t) => t.params?.['regex'])
    .filter((r): r is RegExp => r instanceof RegExp)
    .map((r) => r.source)
  const max = paramOf(d, 'max', 'max')
  const required = d.tests?.some((t) => t.name === 'required') === true
  const all = isAmount ? [AMOUNT_PATTERN] : patterns
  return {
    type: 'string',
    ...(required && { minLength: 1 }),
    ...(typeof max === 'number' && { maxLength: max }),
    ...(all.length === 1 && { pattern: all[0] }),
    ...(all.length > 1 && { allOf: all.map((pattern) => ({ pattern })) }),
    ...((d.oneOf?.length ?? 0) > 0 && { enum: d.oneOf }),
  }
}

function ofNumber(d: Described): JsonSchema {
  const [min, max] = [paramOf(d, 'min', 'min'), paramOf(d, 'max', 'max')]
  const whole = d.tests?.some((t) => t.name === 'integer') === true
  return {
    type: whole ? 'integer' : 'number',
    ...(typeof min === 'number' && { minimum: min }),
    ...(typeof max === 'number' && { maximum: max }),
    ...((d.oneOf?.length ?? 0) > 0 && { enum: d.oneOf }),
  }
}

function ofArray(d: Described): JsonSchema {
  const [min, max] = [paramOf(d, 'min', 'min'), paramOf(d, 'max', 'max')]
  return {
    type: 'array',
    ...(d.innerType && { items: schemaOf(d.innerType) }),
    ...(typeof min === 'number' && min > 0 && { minItems: min }),
    ...(typeof max === 'number' && { maxItems: max }),
  }
}

function ofObject(d: Described): JsonSchema {
  const fields = Object.entries(d.fields ?? {})
  const needed = fields.filter(([, f]) => !f.optional).map(([name]) => name)
  const closed = d.tests?.some((t) => t.name === 'noUnknown') === true
  return {
    type: 'object',
    properties: Object.fromEntries(fields.map(([name, f]) => [name, schemaOf(f)])),
    ...(needed.length > 0 && { required: needed }),
    ...(closed && { additionalProperties: false }),
  }
}

function schemaOf(d: Described): JsonSchema {
  const plain =
    d.type === 'string'
      ? ofString(d)
      : d.type === 'number'
        ? ofNumber(d)
        : d.type === 'boolean'
          ? { type: 'boolean' }
          : d.type === 'array'
            ? ofArray(d)
            : ofObject(d)
  return d.nullable ? { anyOf: [plain, { type: 'null' }] } : plain
}

/** @param about goes in as it is: `$id`, `title`, `$comment` */
export const toJsonSchema = (
  schema: AnyObjectSchema | ISchema<unknown>,
  about: JsonSchema = {},
): JsonSchema => ({
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  ...about,
  ...schemaOf((schema as AnyObjectSchema).describe() as unknown as Described),
})
