/** `./lea bench`: compile time for 4, 12 and 30 children, side by side in one run. */
import { compile, SHIPPED_RECIPES, type PlanChild, type PlanRequest } from '@lea/core'
import { startingKit, startingRules } from '../starting'

const SIZES = [4, 12, 30]
const RUNS = 25

const children = (n: number): PlanChild[] =>
  Array.from({ length: n }, (_, i) => ({
    id: `child-${i}`,
    months: 30 + ((i * 7) % 40),
    concerns: i % 4 === 0 ? [{ allergen: 'milk', level: 'allergy-strict' as const }] : [],
    diets: i % 5 === 0 ? ['vegetarian' as const] : [],
    languages: i % 6 === 0 ? ['pl', 'ar'] : [],
    needs: [],
  }))

function request(n: number, recipe: PlanRequest['recipe']): PlanRequest {
  return {
    version: 1,
    session: { id: 'bench', date: '2026-11-26', start: '10:15', until: '11:30' },
    recipe,
    children: children(n),
    adults: [
      { id: 'a', leads: ['knives', 'heat'] },
      { id: 'b', leads: ['knives'] },
      { id: 'c', leads: [] },
    ],
    kit: startingKit('nursery'),
    foods: [],
    rules: startingRules('nursery', 'uk'),
    decisions: [],
    seed: 1,
    effort: 'draft',
  }
}

function median(values: number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  return sorted[Math.floor(sorted.length / 2)] ?? 0
}

const rows = SIZES.map((n) => {
  const all = SHIPPED_RECIPES.map((recipe) => request(n, recipe))
  const first = performance.now()
  for (const r of all) compile(r)
  const cold = (performance.now() - first) / all.length
  const times = Array.from({ length: RUNS }, () =>
    all.map((r) => {
      const start = performance.now()
      compile(r)
      return performance.now() - start
    }),
  ).flat()
  return { n, cold, median: median(times), max: Math.max(...times) }
})

const base = rows[0]?.median ?? 1
process.stdout.write(`compile a plan, ${SHIPPED_RECIPES.length} recipes, ${RUNS} runs each (ms)\n`)
process.stdout.write('children   first   median      max   × the first row\n')
for (const r of rows) {
  const cells = [r.cold.toFixed(2).padStart(7), r.median.toFixed(2).padStart(8), r.max.toFixed(2).padStart(8)]
  process.stdout.write(`${String(r.n).padStart(8)} ${cells.join(' ')}   ${(r.median / base).toFixed(1)}\n`)
}
