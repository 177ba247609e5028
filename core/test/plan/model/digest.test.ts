/** Digests and seals: of the content alone, whatever the order of keys, and SHA-256 as others compute it. */
import fc from 'fast-check'
import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js'
import { describe, expect, it } from 'vitest'
import { digest, seal } from '../../../src/plan/model/digest'

/** Sorted by JSON itself, in another way than the source does it. */
function reference(data: unknown): string {
  return JSON.stringify(data, (_, value: unknown) =>
    value !== null && typeof value === 'object' && !Array.isArray(value)
      ? Object.fromEntries(
          Object.entries(value as Record<string, unknown>).sort(([a], [b]) => (a < b ? -1 : 1)),
        )
      : value,
  )
}
const turnedRound = (data: unknown): unknown => {
  if (Array.isArray(data)) return data.map(turnedRound)
  if (data === null || typeof data !== 'object') return data
  return Object.fromEntries(
    Object.entries(data)
      .reverse()
      .map(([k, v]) => [k, turnedRound(v)]),
  )
}

describe('digests', () => {
  // Keys that look like numbers come first in every object, whatever anybody sorts: data of Lea have none.
  const keys = fc.string({ maxLength: 8 }).filter((k) => !/^\d+$/.test(k) && k !== '__proto__')
  const plain = fc.letrec((tie) => ({
    value: fc.oneof(
      { maxDepth: 4 },
      fc.string({ unit: 'binary' }),
      fc.constantFrom('"', '\\', '\u0000', '\ud800', 'é', '🍐', '½'),
      fc.integer(),
      fc.boolean(),
      fc.constant(null),
      fc.array(tie('value'), { maxLength: 5 }),
      fc.dictionary(keys, tie('value'), { maxKeys: 6 }),
    ),
  })).value
  it('are of the content, not of the order of keys', () => {
    fc.assert(
      fc.property(plain, (data) => {
        expect(seal(turnedRound(data))).toBe(seal(data))
        expect(digest(turnedRound(data))).toBe(digest(data))
      }),
      { numRuns: 300 },
    )
  })
  it('seal the canonical text with SHA-256 (FIPS 180-4), as a second writing of it has it', () => {
    fc.assert(
      fc.property(plain, (data) => {
        expect(seal(data)).toBe(bytesToHex(sha256(utf8ToBytes(reference(data)))).slice(0, 32))
      }),
      { numRuns: 300 },
    )
  })
  it('take keys as text also where an engine takes them as numbers, at any depth', () => {
    const sealOf = (text: string): string => bytesToHex(sha256(utf8ToBytes(text))).slice(0, 32)
    expect(seal({ b: 1, '9': 2, '10': 3 })).toBe(sealOf('{"10":3,"9":2,"b":1}'))
    expect(seal({ z: [{ '2': 'x', '11': undefined, '1': null }], a: 'ü' })).toBe(
      sealOf('{"a":"ü","z":[{"1":null,"2":"x"}]}'),
    )
    const held = JSON.parse('{"b":{"__proto__":{"c":1},"a":2}}') as unknown
    expect(seal(held)).toBe(sealOf('{"b":{"__proto__":{"c":1},"a":2}}'))
    expect(seal({ a: {}, b: [] })).toBe(sealOf('{"a":{},"b":[]}'))
  })
  it('differ where anything differs, and leave out what is not there', () => {
    expect(seal({ a: 1, b: undefined })).toBe(seal({ a: 1 }))
    expect(seal({ a: 1 })).not.toBe(seal({ a: '1' }))
    expect(seal({ a: ['1,2'] })).not.toBe(seal({ a: ['1', '2'] }))
    expect(seal([undefined])).toBe(seal([null]))
  })
})
