/** What the start is told by its surroundings, and what it says where it cannot go on. */

/** A variable of the environment; empty where it is not set. */
export const env = (name: string): string => process.env[name] ?? ''
/** One without which nothing starts. */
export const need = (name: string): string => {
  const value = env(name)
  if (!value) fail(`${name} is not set: start with ./lea start`)
  return value
}
/** Says why, and ends. */
export function fail(says: string): never {
  process.stderr.write(`lea: ${says}\n`)
  process.exit(2)
}
