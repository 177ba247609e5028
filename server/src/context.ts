import type { Pool } from 'pg'
import type { Logger } from 'pino'
import type { Kitchens } from './devices/devices'
import type { TableFeed } from './live/table-feed'
import type { WorkerPools } from './plan/pool'
import type { Stopping } from './stopping'

/** What the routes are given: the database, the plan thread and the settings of this server. */
export interface AppContext {
  pool: Pool
  plans: WorkerPools
  /** News of tables, for the devices that show them. */
  live: TableFeed
  /** Scale and probe of each setting's kitchen, or their stand-ins. */
  kitchens: Kitchens
  /** Whether it is told to stop, and who still waits. */
  stopping: Stopping
  log: Logger
  cookieSecret: string
  /** Failed sign-ins from one address in a quarter of an hour. */
  signInsAllowed: number
  /** Served over https (a proxy in front): cookies are then Secure. */
  https: boolean
  /** Folder of the built pages, or null for the interface of the server alone. */
  pages: string | null
}
