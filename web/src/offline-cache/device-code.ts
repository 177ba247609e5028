/** The short code of a device: it wraps the key by which the device keeps things (`device-lock.ts`). */
import { base } from './database'
import { dropCode, hasCode, keyBytes, keyName, nonce, openWith } from './device-lock'

/** Rounds of PBKDF2 with SHA-256: OWASP password storage cheat sheet, from memory. */
const ROUNDS = 600_000
/** Wrong codes until the wrapped key goes. */
const TRIES = 5

async function codeKey(code: string, salt: Uint8Array<ArrayBuffer>): Promise<CryptoKey> {
  const words = await crypto.subtle.importKey('raw', new TextEncoder().encode(code), 'PBKDF2', false, [
    'deriveKey',
  ])
  const how = { name: 'PBKDF2', hash: 'SHA-256', salt, iterations: ROUNDS }
  return crypto.subtle.deriveKey(how, words, { name: 'AES-GCM', length: 256 }, false, ['encrypt', 'decrypt'])
}
/** @returns what is wrong with a code, or an empty text */
export function codeFault(code: string): string {
  if (!/^\d{4,8}$/.test(code)) return 'A code is four to eight digits.'
  const digits = Array.from(code, Number)
  const steps = digits.slice(1).map((d, i) => d - (digits[i] ?? 0))
  if (steps.every((s) => s === steps[0] && Math.abs(s) <= 1))
    return 'All the same, or one after the other, is the first thing that is tried: choose another.'
  return ''
}

/** A code for this device, or another one. @throws where the code is none, nobody is signed in, or nothing can be kept */
export async function setCode(code: string, by: string): Promise<void> {
  const fault = codeFault(code)
  if (fault) throw new Error(fault)
  const raw = keyBytes()
  if (!raw) throw new Error('The network is needed to choose a code.')
  const [salt, iv] = [crypto.getRandomValues(new Uint8Array(16)), nonce()]
  const wrapped = await crypto.subtle.encrypt({ name: 'AES-GCM', iv }, await codeKey(code, salt), raw)
  await (await base()).put('lock', { id: 'code', by, of: await keyName(raw), salt, iv, wrapped, tries: 0 })
  hasCode.value = true
}

/**
 * Opens what is kept here by the code. A try counts before it is made: a page that is closed in between is no way round.
 * @returns how many tries are left after a wrong one; null where it is open
 */
export async function openByCode(code: string): Promise<number | null> {
  const db = await base()
  const tx = db.transaction('lock', 'readwrite')
  const row = await tx.store.get('code')
  const tries = (row?.tries ?? TRIES) + 1
  if (row && tries <= TRIES) await tx.store.put({ ...row, tries })
  else await tx.store.delete('code')
  await tx.done
  if (!row || tries > TRIES) return gone()
  try {
    const opened = await crypto.subtle.decrypt(
      { name: 'AES-GCM', iv: row.iv },
      await codeKey(code, row.salt),
      row.wrapped,
    )
    await openWith(new Uint8Array(opened))
    await db.put('lock', { ...row, tries: 0 })
    hasCode.value = true
    return null
  } catch {
    if (tries < TRIES) return TRIES - tries
    await dropCode()
    return 0
  }
}
function gone(): number {
  hasCode.value = false
  return 0
}
