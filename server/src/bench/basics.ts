/** Compile time for 4, 12 and 30 children, the whole-table check, the label reader and fair scoops, side by side in one run. */
import { fairScoops } from '@lea/core/amount'
import { readLabel } from '@lea/core/food'
import { type PlanChild, type PlanRequest, checkTable, compile } from '@lea/core/plan'
import { type Role, SHIPPED_RECIPES } from '@lea/core/recipe'
import demoPackets from '@lea/core/data/demo-packets.json'
import { fairProblem } from './fair'
import { percentile } from './serving'
import { startSolver } from './solver'
import { keepFigure } from './table'
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

export function request(n: number, recipe: PlanRequest['recipe']): PlanRequest {
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
    rules: startingRules('nursery', 'england'),
    decisions: [],
    seed: 1,
    effort: 'draft',
  }
}

function median(values: number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  return sorted[Math.floor(sorted.length / 2)] ?? 0
}

export async function benchBasics(): Promise<void> {
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
    const goal = { 4: 30, 12: 60, 30: 60 }[n]
    keepFigure('basics', {
      what: `plan as a draft, ${n} children, ${n === 30 ? 'median' : 'p95'}`,
      value: n === 30 ? median(times) : percentile(times, 0.95),
      unit: 'ms',
      ...(goal !== undefined && n !== 4 && { goal }),
      why: 'the time is spread: the clock takes a fifth, talk a sixth, no single function more than a twentieth',
    })
    return { n, cold, median: median(times), p95: percentile(times, 0.95), max: Math.max(...times) }
  })

  const base = rows[0]?.median ?? 1
  process.stdout.write(`compile a plan, ${SHIPPED_RECIPES.length} recipes, ${RUNS} runs each (ms)\n`)
  process.stdout.write('children   first   median      p95      max   × the first row\n')
  for (const r of rows) {
    const cells = [
      r.cold.toFixed(2).padStart(7),
      r.median.toFixed(2).padStart(8),
      r.p95.toFixed(2).padStart(8),
      r.max.toFixed(2).padStart(8),
    ]
    process.stdout.write(`${String(r.n).padStart(8)} ${cells.join(' ')}   ${(r.median / base).toFixed(1)}\n`)
  }

  // The whole-table check with swaps: 30 children, a recipe of 20 lines, every line against every child, the smallest set.
  const FOODS: [string, string, string, Role][] = [
    ['wheat-flour', '300', 'g', 'structure'],
    ['butter', '100', 'g', 'fat-rubbed'],
    ['milk-cow', '240', 'mL', 'liquid'],
    ['egg-hen', '2', 'item', 'binder'],
    ['buttermilk', '240', 'mL', 'acid-liquid'],
    ['yoghurt-plain', '200', 'g', 'dressing'],
    ['cheddar', '60', 'g', 'topping'],
    ['sesame-seeds', '1', 'tbsp_m', 'topping'],
    ['honey', '2', 'tbsp_m', 'sweet'],
    ['oats-rolled', '100', 'g', 'structure'],
    ['soy-sauce', '1', 'tbsp_m', 'seasoning'],
    ['stock-cube-veg', '1', 'item', 'savour'],
    ['breadcrumbs', '50', 'g', 'topping'],
    ['tahini', '2', 'tbsp_m', 'dressing'],
    ['mustard-prepared', '1', 'tsp_m', 'dressing'],
    ['tofu', '100', 'g', 'main'],
    ['couscous', '200', 'g', 'main'],
    ['strawberry', '100', 'g', 'topping'],
    ['peanut-butter', '2', 'tbsp_m', 'topping'],
    ['celery-stick', '1', 'item', 'savour'],
  ]
  const CONCERNS = [
    'milk',
    'egg',
    'sesame',
    'wheat',
    'soya',
    'peanut',
    'celery',
    'mustard',
    'coeliac',
    'cashew',
  ]
  const wide: PlanRequest = {
    ...request(30, {
      ...SHIPPED_RECIPES[0],
      lines: FOODS.map(([food, amount, unit, role]) => ({ id: food, food, amount, unit, role })),
    } as PlanRequest['recipe']),
    children: children(30).map((c, i) => ({
      ...c,
      concerns: [
        { allergen: CONCERNS[i % CONCERNS.length] ?? 'milk', level: 'allergy-strict' as const },
        { allergen: CONCERNS[(i * 3 + 1) % CONCERNS.length] ?? 'egg', level: 'allergy-strict' as const },
      ],
    })),
  }
  const timed = (runs: number, work: () => void): { median: number; max: number } => {
    work()
    const times = Array.from({ length: runs }, () => {
      const start = performance.now()
      work()
      return performance.now() - start
    })
    return { median: median(times), max: Math.max(...times) }
  }
  const checked = timed(50, () => void checkTable(wide))
  keepFigure('basics', {
    what: 'whole-table check with swaps, 30 children × 20 lines, median',
    value: checked.median,
    unit: 'ms',
    goal: 15,
    why: 'every food that could stand in is met with sixty allergies, and each fix is written out in words',
  })
  process.stdout.write(
    `\nwhole-table check with the smallest set of swaps, 30 children x ${FOODS.length} lines (ms; aim: median under 30)\n`,
  )
  process.stdout.write(
    `median ${checked.median.toFixed(2)}   max ${checked.max.toFixed(2)}   × one compile of 30: ${(checked.median / (rows.at(-1)?.median ?? 1)).toFixed(2)}\n`,
  )
  const labels = demoPackets.packets.map((p) => p.label)
  const readAll = timed(50, () => labels.forEach((t) => readLabel(t)))
  process.stdout.write(
    `\nlabel reader, ${labels.length} packets (ms each)\nmedian ${(readAll.median / labels.length).toFixed(2)}   max ${(readAll.max / labels.length).toFixed(2)}\n`,
  )

  // Fair scoops beside the same problem as a mixed-integer model, solved by HiGHS, in one run: the ratio is what counts.
  const highs = startSolver()
  process.stdout.write('\nfair scoops, 20 lines x 10 measures x 12 scoops (ms; aim: median under 50)\n')
  process.stdout.write('children   median      max   HiGHS model   × as long   same optimum\n')
  for (const n of SIZES) {
    const problem = fairProblem(n)
    const fair = timed(RUNS, () => void fairScoops(problem))
    const model = await highs.optimum({ fair: problem })
    const same = model.objective?.join() === fairScoops(problem).objective?.join()
    keepFigure('basics', {
      what: `fair scoops, ${n} children, median`,
      value: fair.median,
      unit: 'ms',
      goal: 50,
      ...(model.took !== null && { beside: { what: 'HiGHS, same optimum', value: model.took, unit: 'ms' } }),
    })
    const cells = [
      String(n).padStart(8),
      fair.median.toFixed(1).padStart(8),
      fair.max.toFixed(1).padStart(8),
      (model.took === null ? 'ended' : model.took.toFixed(0)).padStart(13),
      (model.took === null ? '-' : (model.took / fair.median).toFixed(0)).padStart(11),
      (model.took === null ? 'not known' : same ? 'yes' : 'NO').padStart(14),
    ]
    process.stdout.write(`${cells.join(' ')}\n`)
  }
  await highs.end()
}
