/** What each worker is told, and what it is asked: known to those who ask and to those who do it. */
import type { RecordTask } from '../files/records'
import type { SessionTask } from '../papers/paper-task'

/** When it starts. */
export interface WorkerData {
  /** The database, as the role that sees one setting at once. */
  appUrl: string
  /** How far it stands back behind the server's own thread, from 0 to 19. */
  nice: number
  /** What it does, as the address of its script. */
  script: string
}
export type DeskTask = SessionTask | RecordTask
export type ArchiveTask = { setting: string; by: string } & (
  { kind: 'out' } | { kind: 'in'; zip: Uint8Array }
)
