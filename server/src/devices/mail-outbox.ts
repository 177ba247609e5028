/**
 * The mail stand-in: what would be sent is written as a standard message (RFC 5322, an .eml file for any mail program) and kept with the
 * setting. Nothing leaves the machine.
 */
import { randomBytes } from 'node:crypto'
import { readdir, readFile, rm } from 'node:fs/promises'
import { join } from 'node:path'
import type { Pool } from 'pg'
import { now } from '../clock'
import { keepLetter, type StoredLetter } from '../db/letters'
import { inSetting } from '../db/pool'
import { isUuid } from '../uuid'

export interface Letter {
  to: string
  subject: string
  text: string
  /** Id of the child that it is about; null for the group. */
  about: string | null
  attachments: { filename: string; content: Buffer; contentType: string }[]
}

/** Made up: nothing is sent from it. */
const FROM = { name: 'Lea', address: 'lea@saltmere.example' }
/** Read in with the first letter. */
const openWriter = async () => {
  const { createTransport } = await import('nodemailer')
  return createTransport({ streamTransport: true, buffer: true, newline: 'windows' })
}
let writer: ReturnType<typeof openWriter> | null = null

/** @returns the message, with the name of its file */
export async function writtenLetter({
  to,
  subject,
  text,
  about,
  attachments,
}: Letter): Promise<StoredLetter> {
  writer ??= openWriter()
  const { message } = await (await writer).sendMail({ from: FROM, to, subject, text, attachments })
  const writtenAt = now()
  const stamp = writtenAt.toISOString().replace(/[:.]/g, '-')
  return {
    name: `${stamp}-${randomBytes(3).toString('hex')}-${about ?? 'group'}.eml`,
    about,
    writtenAt,
    message: message as Buffer,
  }
}

const OLD_NAME = /^(\d{4}-\d\d-\d\d)T(\d\d)-(\d\d)-(\d\d)-(\d{3})Z-[0-9a-f]{6}-([a-z0-9-]+)\.eml$/

/**
 * Up to 0.20 letters lay in a folder of the server, one folder in it for each setting. What still lies there is taken over, once: a file goes
 * when its letter is kept. A folder of a setting that is no more stays as it is.
 * @returns how many were taken over
 */
export async function takeOldLetters(pool: Pool, folder: string): Promise<number> {
  const settings = new Set(
    (await pool.query<{ setting_id: string }>('select setting_id from all_doors()')).rows.map(
      (r) => r.setting_id,
    ),
  )
  let taken = 0
  for (const setting of (await readdir(folder).catch(() => [])).filter((s) => isUuid(s) && settings.has(s)))
    for (const name of await readdir(join(folder, setting))) {
      const [, day, h, m, s, ms, about] = OLD_NAME.exec(name) ?? []
      if (day === undefined) continue
      const file = join(folder, setting, name)
      // Another server that starts may be quicker.
      const message = await readFile(file).catch(() => null)
      if (message === null) continue
      const letter = {
        name,
        about: about === 'group' ? null : (about ?? null),
        writtenAt: new Date(`${day}T${h}:${m}:${s}.${ms}Z`),
        message,
      }
      await inSetting(pool, setting, (db) => keepLetter(db, setting, letter))
      await rm(file, { force: true })
      taken += 1
    }
  return taken
}
