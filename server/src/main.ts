/**
 * `node dist/main.js`: migrates, loads the demo where asked and empty, and serves until it is told to stop. The database is brought up to date
 * while the application is read in.
 */
import { fileURLToPath } from 'node:url'
import { migrate } from './db/migrate'
import { poolerFault } from './operator/direct'
import { fail, need } from './start/start-words'

const migrations = fileURLToPath(new URL('../migrations', import.meta.url))

async function openDatabase(): Promise<void> {
  await migrate(need('LEA_OWNER_URL'), migrations).catch((fault: unknown) => {
    fail(fault instanceof Error ? fault.message : String(fault))
  })
  const pooled = await poolerFault(need('LEA_APP_URL'))
  if (pooled) fail(pooled)
}

const [{ serve }] = await Promise.all([import('./start/serve'), openDatabase()])
await serve()
