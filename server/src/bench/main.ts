/** `./lea bench [NAME]`: all benchmarks, or one of them; ratios side by side in one run. */
import { benchBasics, request } from './basics'
import { benchChoose } from './choose'
import { benchPlans } from './plans'
import { benchSchedules } from './schedules'
import { benchTalk } from './talk'

const PARTS: Record<string, () => Promise<void>> = {
  basics: benchBasics,
  choose: benchChoose,
  talk: () => benchTalk(request),
  schedules: benchSchedules,
  plans: benchPlans,
}

const only = process.argv[2]
if (only !== undefined && !PARTS[only]) {
  process.stderr.write(`lea: there is no benchmark '${only}'; there are: ${Object.keys(PARTS).join(', ')}\n`)
  process.exit(2)
}
for (const [name, run] of Object.entries(PARTS)) if (only === undefined || only === name) await run()
