import type { Request, Response } from 'express'
import { leftBy } from './left-by'
import { personOf } from '../auth'
import type { RecordTask } from '../files/records'
import type { WorkerPools } from './pools'

type Wish<T> = T extends RecordTask ? Omit<T, 'setting' | 'reader'> : never

/** A record, made where nobody else is kept waiting. @param file its name, where it is one */
export async function sendRecord(
  plans: WorkerPools,
  req: Request,
  res: Response,
  wish: Wish<RecordTask>,
  file?: string,
): Promise<void> {
  const { settingId: setting, id: reader } = personOf(req)
  const made = await plans.desk({ ...wish, setting, reader }, { setting, left: leftBy(res) })
  if (file !== undefined) res.attachment(file)
  res.type('json').send(Buffer.from(made.bytes))
}
