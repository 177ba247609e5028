/**
 * A short digest of plain data: 53 bits of the two-lane multiplicative hash known as cyrb53 over a canonical JSON
 * text (keys sorted), so that equal data give equal digests whatever the order of their keys.
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

/** JSON with sorted keys; `undefined` members are left out. */
export function canonical(data: unknown): string {
  if (Array.isArray(data)) return `[${data.map((x) => canonical(x ?? null)).join(',')}]`
  if (data !== null && typeof data === 'object') {
    const members = Object.entries(data)
      .filter(([, v]) => v !== undefined)
      .sort(([x], [y]) => (x < y ? -1 : 1))
      .map(([k, v]) => `${JSON.stringify(k)}:${canonical(v)}`)
    return `{${members.join(',')}}`
  }
  return JSON.stringify(data) ?? 'null'
}

/** The same under a digest of its own, of all that it holds. */
export function withDigest<T extends { digest: string }>(whole: T): T {
  const { digest: _before, ...rest } = whole
  return { ...whole, digest: digest(rest) }
}
