/** The whole setting as one file, out and in; in a worker, with a line of its own to the database. */
import type { MessagePort } from 'node:worker_threads'
import { once } from 'node:events'
import { workerData } from 'piscina'
import { now, today } from '../clock'
import { readArchive, type ReadIn, writeArchive } from '../db/archive'
import { writeAudit } from '../db/audit'
import { asSnapshot, inSetting, openPool } from '../db/pool'
import { Fault } from '../fault'
import type { ArchiveTask, WorkerData } from './tasks'
import { type ToldBack, toldBack } from './told-back'

const pool = openPool((workerData as WorkerData).appUrl, { most: 1 })

export default function ofArchive(
  task: ArchiveTask & { port: MessagePort | null },
): Promise<ToldBack<ReadIn | null>> {
  return toldBack(async () => {
    if (task.kind === 'in') return takeIn(task)
    await writeOut(task)
    return null
  })
}

/** Each piece is sent when the one before is through: a slow line fills no memory. */
async function writeOut({ setting, port }: ArchiveTask & { port: MessagePort | null }): Promise<void> {
  if (!port) throw new Error('nobody takes the archive')
  const send = async (piece: Uint8Array): Promise<void> => {
    const through = once(port, 'message')
    port.postMessage(piece)
    await through
  }
  await asSnapshot(pool, setting, (db) => writeArchive(db, now().toISOString(), send))
  port.close()
}

/** The setting of this archive is still here under its own ids: taken (23505), or behind its policies (42501). */
const TAKEN = ['23505', '42501']

async function takeIn({ setting, by, zip }: ArchiveTask & { kind: 'in' }): Promise<ReadIn> {
  const put = (newIds: boolean): Promise<ReadIn> =>
    inSetting(pool, setting, async (db) => {
      const count = await readArchive(db, setting, zip, today(), newIds)
      await writeAudit(db, setting, by, 'setting', 'read an archive', setting)
      return count
    })
  try {
    return await put(false)
  } catch (fault) {
    if (fault instanceof Fault || !TAKEN.includes((fault as { code?: string }).code ?? '')) throw fault
    return put(true)
  }
}
