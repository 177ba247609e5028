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

let raw: Uint8Array<ArrayBuffer> | null = null
let key: CryptoKey | null = null
/** This device has a code. */
export const hasCode = ref(false)
export const canSeal = (): boolean => (globalThis.crypto.subtle as SubtleCrypto | undefined) !== undefined
export const isOpen = (): boolean => key !== null

const aes = (bytes: Uint8Array<ArrayBuffer>): Promise<CryptoKey> =>
  crypto.subtle.importKey('raw', bytes, 'AES-GCM', false, ['encrypt', 'decrypt'])
export const nonce = (): Uint8Array<ArrayBuffer> => crypto.getRandomValues(new Uint8Array(12))
const codeRow = async () => (await base().catch(() => null))?.get('lock', 'code')

const same = (a: Uint8Array, b: Uint8Array): boolean => a.length === b.length && a.every((x, i) => x === b[i])

/** The key of this device and setting, from the server; a code that wraps another one, or is somebody else's, goes. @param by who is signed in */
export async function useKey(bytes: Uint8Array<ArrayBuffer>, by: string): Promise<void> {
  if (!canSeal()) return
  const other = raw !== null && !same(raw, bytes)
  raw = bytes
  key = await aes(bytes)
  const row = await codeRow()
  if (row && (row.by !== by || other || row.of !== (await keyName(bytes)))) await dropCode()
  else hasCode.value = row !== undefined
}
/** By what a key is known without saying it. */
export async function keyName(bytes: Uint8Array<ArrayBuffer>): Promise<string> {
  const sum = new Uint8Array(await crypto.subtle.digest('SHA-256', bytes))
  return [...sum.slice(0, 8)].map((x) => x.toString(16).padStart(2, '0')).join('')
}

export async function dropCode(): Promise<void> {
  const db = await base().catch(() => null)
  await db?.delete('lock', 'code')
  hasCode.value = false
}

/** The key itself, to be wrapped by a code; null where nobody has opened this device. */
export const keyBytes = (): Uint8Array<ArrayBuffer> | null => raw
/** A code has unwrapped it. */
export async function openWith(bytes: Uint8Array<ArrayBuffer>): Promise<void> {
  raw = bytes
  key = await aes(bytes)
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
