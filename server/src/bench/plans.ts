/** Plans of real recipes: the checker over many of them, what would make one shorter, and our search beside HiGHS. */
import { PlanError, type PlanRequest, compile, shorter } from '@lea/core/plan'
import { SHIPPED_RECIPES } from '@lea/core/recipe'
import { bestOfRules, improve, lowerBound, networkOf, seeded } from '@lea/core/lab'
import { drawn } from '../../../core/test/plan/clock/schedule/generate'
import { timeIndexed } from '../../../core/test/plan/clock/schedule/time-indexed'
import { startingKit, startingRules } from '../starting'
import { startSolver } from './solver'
import { keepFigure } from './table'

const out = (text: string): void => void process.stdout.write(`${text}\n`)
const at = (values: number[], share: number): number =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * share))] ?? 0

/** A drawn session of a shipped recipe. */
function session(seed: number, children: number): PlanRequest {
  const random = seeded(seed)
  const any = (n: number): number => Math.floor(random() * n)
  const recipe = SHIPPED_RECIPES[any(SHIPPED_RECIPES.length)]
  if (!recipe) throw new Error('no recipe')
  const allergens = ['milk', 'egg', 'wheat', 'sesame'] as const
  const kit = startingKit('nursery')
  return {
    version: 1,
    session: { id: `bench-${seed}`, date: '2026-11-26', start: '10:15', until: any(2) ? '10:50' : '11:30' },
    recipe,
    children: Array.from({ length: children }, (_, i) => ({
      id: `c${i}`,
      months: 14 + any(100),
      concerns:
        any(6) === 0 ? [{ allergen: allergens[any(4)] ?? 'milk', level: 'allergy-strict' as const }] : [],
      diets: [],
      languages: [],
      needs: [],
    })),
    adults: Array.from({ length: 1 + any(4) }, (_, i) => ({
      id: `adult-${i}`,
      leads: i === 0 ? ['knives', 'heat'] : any(2) ? ['knives'] : [],
    })),
    kit: { ...kit, equipment: [...kit.equipment, 'fire'], sinkPlaces: 1 + any(4) },
    foods: [],
    rules: {
      ...startingRules('nursery', 'england'),
      grouping: any(3) ? 'groups' : 'together',
      groupSize: 2 + any(4),
    },
    decisions: [],
    seed: 1,
    effort: 'draft',
  }
}

const CHECKED = 2000

/** `compile` asks the independent checker of every plan and throws where a rule is broken. */
function checked(): void {
  let broken = 0
  const start = performance.now()
  for (let seed = 1; seed <= CHECKED; seed++) {
    try {
      compile(session(seed, 1 + (seed % 16)))
    } catch (fault) {
      if (!(fault instanceof PlanError)) throw fault
      broken += 1
      out(`  seed ${seed}: ${fault.message}`)
    }
  }
  const seconds = (performance.now() - start) / 1000
  out(`\nchecker over ${CHECKED} plans of real recipes: ${broken} broken (${seconds.toFixed(0)} s)`)
}

function advice(): void {
  out('what would make it shorter, every mend through the whole pipeline (ms)')
  for (const [n, goal] of [
    [4, 150],
    [8, 200],
    [12, 300],
    [30, 500],
  ] as const) {
    const times = Array.from({ length: 8 }, (_, i) => {
      const r = session(500 + i, n)
      const plan = compile(r)
      const start = performance.now()
      shorter(r, plan)
      return performance.now() - start
    })
    keepFigure('plans', {
      what: `what would make it shorter, ${n} children, median`,
      value: at(times, 0.5),
      unit: 'ms',
      goal,
      why: 'nine or ten mends, each put through all passes up to the clock',
    })
    out(`  ${String(n).padStart(2)} children: median ${at(times, 0.5).toFixed(0)} (goal ${goal})`)
  }
}

async function besideHighs(): Promise<void> {
  const solver = startSolver(20_000)
  const rows: { ours: number; highs: number | null; same: boolean | null; gap: number }[] = []
  for (let seed = 1; seed <= 10; seed++) {
    const net = networkOf(drawn('S', seed))
    if ('cause' in net) continue
    const start = performance.now()
    const bound = lowerBound(net)
    const found = improve(net, net.rows, bestOfRules(net, net.rows), bound.units, 800, seeded(seed))
    const ours = performance.now() - start
    const answer = await solver.optimum({ model: timeIndexed(net, found.length) })
    const optimum = answer.objective?.[0]
    rows.push({
      ours,
      highs: answer.took,
      same: optimum === undefined ? null : optimum === found.length,
      gap: optimum === undefined ? 0 : (optimum - bound.units) / optimum,
    })
  }
  await solver.end()
  const proven = rows.filter((r) => r.same !== null)
  keepFigure('plans', {
    what: `schedules of size S: ours the optimum in ${proven.filter((r) => r.same).length} of ${proven.length} proven, median`,
    value: at(
      rows.map((r) => r.ours),
      0.5,
    ),
    unit: 'ms',
    beside: {
      what: 'HiGHS, time-indexed',
      value: at(
        proven.map((r) => r.highs ?? 0),
        0.5,
      ),
      unit: 'ms',
    },
  })
  out('\nanonymous schedules of size S beside HiGHS, time-indexed, 20 s each')
  out(
    `  proven ${proven.length} of ${rows.length}; ours the optimum in ${proven.filter((r) => r.same).length}; median ${at(
      rows.map((r) => r.ours),
      0.5,
    ).toFixed(1)} ms against ${at(
      proven.map((r) => r.highs ?? 0),
      0.5,
    ).toFixed(0)} ms; our bound below the optimum by ${(
      (100 * proven.reduce((sum, r) => sum + r.gap, 0)) /
      Math.max(1, proven.length)
    ).toFixed(1)} % on average`,
  )
}

export async function benchPlans(): Promise<void> {
  checked()
  advice()
  await besideHighs()
}
