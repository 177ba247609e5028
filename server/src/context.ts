import type { Pool } from 'pg'
import type { Logger } from 'pino'
import type { Kitchens } from './devices/devices'
import type { TableFeed } from './live/table-feed'
import type { WorkerPools } from './work/pools'
import type { Metrics } from './metrics'
import type { Stopping } from './stopping'

/** How often something may be done. */
export interface Limits {
  /** Failed sign-ins from one address in a quarter of an hour. */
  signIns: number
  /** Changes by one person in a minute; a message of many taps is one. */
  writes: number
  /** Papers for one person in a minute. */
  papers: number
}

/** What the routes are given: the database, the workers and the settings of this server. */
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
  metrics: Metrics
  /** By which sign-ins are sealed: the first seals, all others still open what they sealed before. */
  secrets: readonly string[]
  limits: Limits
  /** Served over https (a proxy in front): cookies are then Secure. */
  https: boolean
  /** From where it is believed whom a request comes from: addresses and networks. */
  proxy: string
  /** Folder of the built pages, or null for the interface of the server alone. */
  pages: string | null
}
