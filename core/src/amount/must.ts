/**
 * What cannot be missing: a fault of the program, never of the data, so that a wrong id is heard of instead of showing nothing.
 * @param what in words, for the message
 * @throws Error that names what is missing
 */
export function must<T>(value: T | null | undefined, what: string): T {
  if (value === null || value === undefined) throw new Error(`${what} is missing`)
  return value
}
