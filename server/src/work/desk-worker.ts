/** Papers, records and exports, in a worker with a line of its own to the database. */
import { workerData } from 'piscina'
import { openPool } from '../db/pool'
import { makeRecord } from '../files/records'
import { makePaper } from '../papers/make-paper'
import type { MadePaper } from '../papers/paper-task'
import type { DeskTask, WorkerData } from './tasks'
import { type ToldBack, toldBack } from './told-back'

const pool = openPool((workerData as WorkerData).appUrl, { most: 2 })

export default function atTheDesk(task: DeskTask): Promise<ToldBack<MadePaper>> {
  return toldBack(async () => {
    if ('session' in task) return makePaper(pool, task)
    return { title: task.kind, bytes: new TextEncoder().encode(JSON.stringify(await makeRecord(pool, task))) }
  })
}
