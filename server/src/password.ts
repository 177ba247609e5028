/** Passwords are kept as argon2id digests. Parameters: OWASP password storage cheat sheet (19 MiB, 2, 1), from memory. */
import { hash, verify } from '@node-rs/argon2'

/** argon2id; the package's enum is a const enum that isolated modules cannot read. */
const ARGON2ID = 2

export const hashPassword = (password: string): Promise<string> =>
  // eslint-disable-next-line @typescript-eslint/no-unsafe-enum-assignment
  hash(password, { algorithm: ARGON2ID, memoryCost: 19456, timeCost: 2, parallelism: 1 })

let decoy: Promise<string> | undefined

/** Takes as long for a name that does not exist as for one that does. */
export async function passwordFits(stored: string | undefined, password: string): Promise<boolean> {
  decoy ??= hashPassword('nobody has this password')
  const fits = await verify(stored ?? (await decoy), password)
  return stored !== undefined && fits
}
