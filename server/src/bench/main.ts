/** `./lea bench [NAME]`: all benchmarks, or one of them; ratios side by side in one run. */
import { join } from 'node:path'
import { benchBasics, request } from './basics'
import { benchChoose } from './choose'
import { benchDevices } from './devices'
import { benchEvents } from './events'
import { benchGrowth } from './growth'
import { benchReading } from './reading'
import { benchKills } from './kills'
import { benchNeighbours } from './neighbours'
import { benchPlans } from './plans'
import { benchSchedules } from './schedules'
import { benchTalk } from './talk'
import { benchTaps } from './taps'
import { writeTable } from './table'

const [, , asked, more] = process.argv
const writes = asked === '--write'
/** `--write` alone for all of the table, or with one part of it. */
const only = writes ? more : asked
/** How often, where that can be said. */
const times = writes ? 100 : Number(more ?? 100)
const PARTS: Record<string, () => Promise<void>> = {
  basics: benchBasics,
  choose: benchChoose,
  talk: () => benchTalk(request),
  schedules: benchSchedules,
  plans: benchPlans,
  devices: benchDevices,
  taps: benchTaps,
  events: benchEvents,
  growth: () => benchGrowth(),
  reading: benchReading,
  neighbours: benchNeighbours,
  kills: async () => {
    if (!(await benchKills(times))) process.exitCode = 1
  },
}

if (!Number.isSafeInteger(times) || times < 1) {
  process.stderr.write('lea: how many must be a whole number from 1\n')
  process.exit(2)
}
/** What is measured for the table: the others take hours, or measure no time. */
const TABLE = ['basics', 'choose', 'talk', 'schedules', 'plans', 'taps', 'growth']
if (only !== undefined && !PARTS[only]) {
  process.stderr.write(
    `lea: there is no benchmark '${only}'; there are: ${[...Object.keys(PARTS), 'offline', 'drawn'].join(', ')}\n`,
  )
  process.exit(2)
}
for (const [name, run] of Object.entries(PARTS))
  if ((only === undefined || only === name) && (!writes || TABLE.includes(name))) {
    await run()
    // After each: what was measured is kept, whatever becomes of the next.
    if (writes) writeTable(join(process.env['LEA_ROOT'] ?? '.', 'docs/bench.md'))
  }
