/** Keys of answers: of what is asked about, never of a place in a list, so that the same answers in any order make the same recipe. */

/** FNV-1a in 32 bits: short, and the same everywhere. Two texts of one recipe that meet in it are told apart by `keyIn`. */
function digest(text: string): string {
  let h = 0x811c9dc5
  for (const c of text.toLowerCase().replace(/\s+/g, ' ').trim()) {
    h ^= c.codePointAt(0) ?? 0
    h = Math.imul(h, 0x01000193) >>> 0
  }
  return h.toString(36)
}

/** @param what the kind of thing that is asked about: `line`, `add`, `sentence` */
export const contentKey = (what: string, text: string): string => `${what}:${digest(text)}`

/** The same text twice is two things: the second has its number behind the key. */
export function keyIn(taken: Map<string, number>, what: string, text: string): string {
  const key = contentKey(what, text)
  const n = (taken.get(key) ?? 0) + 1
  taken.set(key, n)
  return n === 1 ? key : `${key}.${n}`
}
