/**
 * What this device keeps of children is sealed (AES-GCM, Web Crypto). The key comes from the server with a sign-in and stands in no file here;
 * a short code that somebody chose for this device wraps it (PBKDF2), so that a page can be opened again without a network. After five
 * wrong codes the wrapped key is thrown away, and only the network opens it. A code of four digits stops who picks up a tablet, not who takes its
 * storage apart and reckons.
 *
 * Where a browser has no Web Crypto (plain http in a local network), answers are kept by the open page alone.
 */
import { ref } from 'vue'
import { base, type Sealed } from './database'

/** Rounds of PBKDF2 with SHA-256: OWASP password storage cheat sheet, from memory. */
const ROUNDS = 600_000
/** Wrong codes until the wrapped key goes. */
const TRIES = 5

let raw: Uint8Array<ArrayBuffer> | null = null
let key: CryptoKey | null = null
/** This device has a code. */
export const hasCode = ref(false)
export const canSeal = (): boolean => (globalThis.crypto.subtle as SubtleCrypto | undefined) !== undefined
export const isOpen = (): boolean => key !== null

const aes = (bytes: Uint8Array<ArrayBuffer>): Promise<CryptoKey> =>
  crypto.subtle.importKey('raw', bytes, 'AES-GCM', false, ['encrypt', 'decrypt'])
const nonce = (): Uint8Array<ArrayBuffer> => crypto.getRandomValues(new Uint8Array(12))
const codeRow = async () => (await base().catch(() => null))?.get('lock', 'code')

async function codeKey(code: string, salt: Uint8Array<ArrayBuffer>): Promise<CryptoKey> {
  const words = await crypto.subtle.importKey('raw', new TextEncoder().encode(code), 'PBKDF2', false, [
    'deriveKey',
  ])
  const how = { name: 'PBKDF2', hash: 'SHA-256', salt, iterations: ROUNDS }
  return crypto.subtle.deriveKey(how, words, { name: 'AES-GCM', length: 256 }, false, ['encrypt', 'decrypt'])
}
const same = (a: Uint8Array, b: Uint8Array): boolean => a.length === b.length && a.every((x, i) => x === b[i])

/** The key of this device and setting, from the server; a code that wraps another one, or is somebody else's, goes. @param by who is signed in */
export async function useKey(bytes: Uint8Array<ArrayBuffer>, by: string): Promise<void> {
  if (!canSeal()) return
  const other = raw !== null && !same(raw, bytes)
  raw = bytes
  key = await aes(bytes)
  const row = await codeRow()
  if (row && (row.by !== by || other || row.of !== (await nameOf(bytes)))) await dropCode()
  else hasCode.value = row !== undefined
}
/** By what a key is known without saying it. */
async function nameOf(bytes: Uint8Array<ArrayBuffer>): Promise<string> {
  const sum = new Uint8Array(await crypto.subtle.digest('SHA-256', bytes))
  return [...sum.slice(0, 8)].map((x) => x.toString(16).padStart(2, '0')).join('')
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
  if (!raw) throw new Error('The network is needed to choose a code.')
  const [salt, iv] = [crypto.getRandomValues(new Uint8Array(16)), nonce()]
  const wrapped = await crypto.subtle.encrypt({ name: 'AES-GCM', iv }, await codeKey(code, salt), raw)
  await (await base()).put('lock', { id: 'code', by, of: await nameOf(raw), salt, iv, wrapped, tries: 0 })
  hasCode.value = true
}

export async function dropCode(): Promise<void> {
  const db = await base().catch(() => null)
  await db?.delete('lock', 'code')
  hasCode.value = false
}

/** Nobody is signed in any more. */
export function forgetKey(): void {
  raw = null
  key = null
}

/** Whether this device could be opened by a code. */
export async function lookForCode(): Promise<boolean> {
  hasCode.value = canSeal() && (await codeRow()) !== undefined
  return hasCode.value
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
    raw = new Uint8Array(opened)
    key = await aes(raw)
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

/** @returns null where nobody has opened this device */
export async function sealFor(value: unknown): Promise<Sealed | null> {
  if (!key) return null
  const iv = nonce()
  const bytes = await crypto.subtle.encrypt(
    { name: 'AES-GCM', iv },
    key,
    new TextEncoder().encode(JSON.stringify(value)),
  )
  return { iv, bytes }
}

/** @returns null where it is not to be opened: nobody has, or it was sealed by another key */
export async function unseal(sealed: Sealed): Promise<unknown> {
  if (!key) return null
  try {
    const bytes = await crypto.subtle.decrypt({ name: 'AES-GCM', iv: sealed.iv }, key, sealed.bytes)
    return JSON.parse(new TextDecoder().decode(bytes)) as unknown
  } catch {
    return null
  }
}
