/**
 * The mail stand-in: what would be sent is written as a standard message file (RFC 5322, .eml) to the outbox folder, from where any mail
 * program opens it. Nothing leaves the machine.
 */
import { randomBytes } from 'node:crypto'
import { mkdir, readdir, readFile, rm, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { createTransport } from 'nodemailer'
import { now } from '../clock'

export interface Letter {
  to: string
  subject: string
  text: string
  /** Id of the child that it is about; null for the group. */
  about: string | null
  attachments: { filename: string; content: Buffer; contentType: string }[]
}
export interface MailOutbox {
  /** @returns the name of the file in the setting's outbox */
  send(setting: string, letter: Letter): Promise<string>
  /** The newest first. */
  list(setting: string): Promise<string[]>
  read(setting: string, name: string): Promise<Buffer | null>
  /** An erased child leaves no letter behind. */
  forget(setting: string, child: string): Promise<void>
  /** Letters that were written before a day (`YYYY-MM-DD`) go. @returns how many */
  sweep(setting: string, before: string): Promise<number>
}

/** Made up: nothing is sent from it. */
const FROM = { name: 'Lea', address: 'lea@saltmere.example' }

export function openMailOutbox(folder: string): MailOutbox {
  const writer = createTransport({ streamTransport: true, buffer: true, newline: 'windows' })
  return {
    async send(setting, { to, subject, text, about, attachments }) {
      const { message } = await writer.sendMail({ from: FROM, to, subject, text, attachments })
      await mkdir(join(folder, setting), { recursive: true, mode: 0o700 })
      const stamp = now().toISOString().replace(/[:.]/g, '-')
      const name = `${stamp}-${randomBytes(3).toString('hex')}-${about ?? 'group'}.eml`
      await writeFile(join(folder, setting, name), message, { mode: 0o600, flag: 'wx' })
      return name
    },
    async list(setting) {
      const names = await readdir(join(folder, setting)).catch(() => [] as string[])
      return names
        .filter((n) => n.endsWith('.eml'))
        .sort()
        .reverse()
    },
    async forget(setting, child) {
      const names = await readdir(join(folder, setting)).catch(() => [] as string[])
      for (const name of names.filter((n) => n.endsWith(`-${child}.eml`)))
        await rm(join(folder, setting, name))
    },
    async sweep(setting, before) {
      const names = await readdir(join(folder, setting)).catch(() => [] as string[])
      // A name begins with the day on which it was written.
      const old = names.filter(
        (n) => /^\d{4}-\d\d-\d\dT/.test(n) && n.endsWith('.eml') && n.slice(0, 10) < before,
      )
      for (const name of old) await rm(join(folder, setting, name), { force: true })
      return old.length
    },
    async read(setting, name) {
      if (!/^[\w-]+\.eml$/.test(name)) return null
      return readFile(join(folder, setting, name)).catch(() => null)
    },
  }
}
