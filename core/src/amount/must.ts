/**
 * What cannot be missing: a fault of the program, never of the data, so that a wrong id is heard of instead of showing nothing.
 * @param what in words, for the message
 * @throws Error that names what is missing
 */
export function must<T>(value: T | null | undefined, what: string): T {
  if (value === null || value === undefined) throw new Error(`${what} is missing`)
  return value
}

/** The value of a key that is there. @throws Error that names the key */
export const mustGet = <K, V>(map: ReadonlyMap<K, V>, key: K, what: string): V =>
  must(map.get(key), `${what} '${String(key)}'`)
