/** Digests of plain data: equal data give equal digests, whatever the order of their keys. */
import { remembered } from '../../amount/memo'
import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js'

/**
 * A short digest: 53 bits of the two-lane multiplicative hash known as cyrb53 over the canonical JSON text. For causes and for the
 * words of a packet, where a mistake is nobody's gain; what is sealed goes by `seal`.
 */
export function digest(data: unknown): string {
  const text = canonical(data)
  let a = 0xdeadbeef
  let b = 0x41c6ce57
  for (let i = 0; i < text.length; i++) {
    const c = text.charCodeAt(i)
    a = Math.imul(a ^ c, 2654435761)
    b = Math.imul(b ^ c, 1597334677)
  }
  a = Math.imul(a ^ (a >>> 16), 2246822507) ^ Math.imul(b ^ (b >>> 13), 3266489909)
  b = Math.imul(b ^ (b >>> 16), 2246822507) ^ Math.imul(a ^ (a >>> 13), 3266489909)
  return (4294967296 * (2097151 & b) + (a >>> 0)).toString(36)
}

/** SHA-256 (FIPS 180-4) of the canonical JSON text, the first 128 bits in hex: for plans in force and for cards. */
export const seal = (data: unknown): string => bytesToHex(sha256(utf8ToBytes(canonical(data)))).slice(0, 32)

/** The same under the seal of all that it holds. */
export function withDigest<T extends { digest: string }>(whole: T): T {
  const { digest: _before, ...rest } = whole
  return { ...whole, digest: seal(rest) }
}

/** JSON with sorted keys; `undefined` members are left out. */
function canonical(data: unknown): string {
  if (data === null || typeof data !== 'object') return spelled(data)
  // The engine writes an object in the order in which it was put together, quicker than any loop here.
  const inKeyOrder = copyInOrder(data)
  return inKeyOrder === null ? spelled(data) : JSON.stringify(inKeyOrder)
}

/** A key such as "12": the engine puts those first, in the order of their numbers. `toJSON` is not plain data. */
const OWN_ORDER = /^(\d|toJSON$|__proto__$)/
const ownOrder = new WeakMap<readonly string[], boolean>()
/** Lists of keys that are remembered are looked at once. */
function isOfOwnOrder(keys: readonly string[]): boolean {
  if (keys.length < 2) return keys.some((k) => OWN_ORDER.test(k))
  let is = ownOrder.get(keys)
  if (is === undefined) ownOrder.set(keys, (is = keys.some((k) => OWN_ORDER.test(k))))
  return is
}
/** The same data with its keys in order; null where an engine would not keep that order. */
function copyInOrder(data: object): object | null {
  if (Array.isArray(data)) {
    const list = new Array<unknown>(data.length)
    for (let i = 0; i < data.length; i++) {
      const item: unknown = data[i]
      list[i] = item !== null && typeof item === 'object' ? copyInOrder(item) : item
      if (list[i] === null && item !== null) return null
    }
    return list
  }
  const members = data as Record<string, unknown>
  const copy: Record<string, unknown> = {}
  const keys = sortedKeys(members)
  if (isOfOwnOrder(keys)) return null
  for (const key of keys) {
    const value = members[key]
    copy[key] = value !== null && typeof value === 'object' ? copyInOrder(value) : value
    if (copy[key] === null && value !== null) return null
  }
  return copy
}

/** The same text, letter by letter: for what the engine would order by itself. */
function spelled(data: unknown): string {
  if (typeof data === 'string') return TO_ESCAPE.test(data) ? JSON.stringify(data) : `"${data}"`
  if (data === null || typeof data !== 'object') return data === undefined ? 'null' : JSON.stringify(data)
  let text = ''
  if (Array.isArray(data)) {
    for (const item of data) text += `${text === '' ? '' : ','}${spelled(item ?? null)}`
    return `[${text}]`
  }
  const members = data as Record<string, unknown>
  for (const key of sortedKeys(members)) {
    const value = members[key]
    if (value !== undefined) text += `${text === '' ? '' : ','}${quoted(key)}:${spelled(value)}`
  }
  return `{${text}}`
}
/** What JSON does not write as it stands: quotes, backslashes, control characters, halves of a pair. */
// eslint-disable-next-line no-control-regex -- they are meant
const TO_ESCAPE = /["\\\u0000-\u001f\ud800-\udfff]/

/** Keys come in the same few orders again and again, and are few. */
const quoted = remembered(5000, (key: string) => JSON.stringify(key))
const inOrder = remembered(
  5000,
  (keys: readonly string[]) => [...keys].sort(),
  (keys) => keys.join('\u0000'),
)
function sortedKeys(members: Record<string, unknown>): readonly string[] {
  const keys = Object.keys(members)
  return keys.length < 2 ? keys : inOrder(keys)
}
