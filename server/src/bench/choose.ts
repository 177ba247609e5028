/** Reading 100 recipes; 200 ranked for twelve children, in one thread and in two, beside as many whole plans; a half term of twelve days. */
import { Worker } from 'node:worker_threads'
import { dayAfter, ratio, toText } from '@lea/core/amount'
import {
  type Evaluation,
  type ShelfRow,
  type SelectionCriteria,
  layTerm,
  evaluateRecipe,
  ranked,
  remedyFor,
  termRecipe,
} from '@lea/core/choose'
import { compile } from '@lea/core/plan'
import { type Recipe, SHIPPED_RECIPES } from '@lea/core/recipe'
import { readRecipeFile } from '@lea/core/schema'
import { seeded } from '@lea/core/lab'
import { TEXTS } from '../../../core/test/recipe/more-texts'
import { request } from './basics'
import { keepFigure } from './table'

const out = (text: string): void => void process.stdout.write(`${text}\n`)
const RECIPES = 200
const FEW = 4
const THREADS = 2

/** No two alike: amounts from three quarters to five quarters, seconds likewise. */
function drawn(): ShelfRow[] {
  const random = seeded(7)
  const share = (): number => 6 + Math.floor(random() * 5)
  return Array.from({ length: RECIPES }, (_, i) => {
    const base = SHIPPED_RECIPES[i % SHIPPED_RECIPES.length] as Recipe
    const recipe: Recipe = {
      ...base,
      id: `bench-${i}`,
      lines: base.lines.map((l) => ({ ...l, amount: toText(ratio(l.amount).mul(share()).div(8)) })),
      steps: base.steps.map((s) => ({
        ...s,
        tasks: s.tasks.map((t) => ({ ...t, seconds: Math.max(1, Math.round((t.seconds * share()) / 8)) })),
      })),
    }
    return { id: recipe.id, recipe }
  })
}

interface Ranked {
  first: number
  all: number
  looks: Evaluation[]
}

/** The whole shelf in threads, twice: as on the first visit, and once their code is warm. */
async function inThreads(rows: readonly ShelfRow[], wish: SelectionCriteria): Promise<[Ranked, Ranked]> {
  const workers = Array.from(
    { length: THREADS },
    () => new Worker(new URL('./shelf-thread.js', import.meta.url)),
  )
  const ask = (w: Worker, few: ShelfRow[]): Promise<Evaluation[]> =>
    new Promise((done) => {
      w.once('message', done)
      w.postMessage({ rows: few, wish })
    })
  const once = async (): Promise<Ranked> => {
    const queue = [...rows]
    const looks: Evaluation[] = []
    const start = performance.now()
    let first = 0
    await Promise.all(
      workers.map(async (w) => {
        while (queue.length > 0) {
          looks.push(...(await ask(w, queue.splice(0, FEW))))
          first ||= performance.now() - start
        }
      }),
    )
    return { first, all: performance.now() - start, looks: ranked(looks) }
  }
  const both: [Ranked, Ranked] = [await once(), await once()]
  await Promise.all(workers.map((w) => w.terminate()))
  return both
}

export async function benchChoose(): Promise<void> {
  const texts = Array.from({ length: 100 }, (_, i) => {
    const t = TEXTS[i % TEXTS.length]
    return (t?.text ?? '').replace(/\d+/g, (n) => String(Number(n) + (i % 7)))
  })
  texts.forEach((t) => readRecipeFile(t))
  const readStart = performance.now()
  texts.forEach((t) => readRecipeFile(t))
  out(`\nreading 100 recipes: ${(performance.now() - readStart).toFixed(0)} ms`)

  const rows = drawn()
  const { recipe: _, ...base } = request(12, SHIPPED_RECIPES[0] as Recipe)
  const wish: SelectionCriteria = {
    base: { ...base, rules: { ...base.rules, targets: ['frac-half-object', 'lang-predict'] } },
  }
  const single = performance.now()
  const looks = ranked(rows.map((r) => evaluateRecipe(r.id, r.recipe, wish)))
  const alone = performance.now() - single
  const [cold, warm] = await inThreads(rows, wish)
  const whole = performance.now()
  for (const { recipe } of rows) compile({ ...wish.base, recipe })
  const compiled = performance.now() - whole
  const same = warm.looks.every((l, i) => l.recipe === looks[i]?.recipe)
  out(`ranking ${RECIPES} recipes for 12 children (aim: all under 2000 ms)`)
  const line = (name: string, r: Ranked): void =>
    out(`  ${name}: first ${FEW} after ${r.first.toFixed(0)} ms, all after ${r.all.toFixed(0)} ms`)
  const why = 'each recipe is shaped, dealt and put on the clock'
  keepFigure('choose', {
    what: '200 recipes ranked, 2 threads, warm',
    value: warm.all,
    unit: 'ms',
    goal: 1500,
    why,
  })
  keepFigure('choose', {
    what: '200 recipes ranked, 2 threads, the first time',
    value: cold.all,
    unit: 'ms',
    goal: 2500,
    why,
  })
  keepFigure('choose', { what: 'the first four of them, warm', value: warm.first, unit: 'ms' })
  line(`${THREADS} threads, the first time`, cold)
  line(`${THREADS} threads, again`, warm)
  out(`  one thread ${alone.toFixed(0)} ms`)
  out(
    `  as many whole plans ${compiled.toFixed(0)} ms: ${(compiled / alone).toFixed(1)} times as long; the same order in both: ${same ? 'yes' : 'NO'}`,
  )

  const hard = looks.filter((l) => l.against.length > 0).slice(0, 20)
  const remedied = performance.now()
  const helped = hard.filter((l) => {
    const row = rows.find((r) => r.id === l.recipe)
    return row && remedyFor(l, row.recipe, wish)?.clears
  })
  out(
    `  what would help, each tried: ${((performance.now() - remedied) / Math.max(1, hard.length)).toFixed(0)} ms a recipe; clears ${helped.length} of ${hard.length}`,
  )

  const fine = looks.filter((l) => l.against.length === 0)
  const recipes = fine.flatMap((l, i) => {
    const row = rows.find((r) => r.id === l.recipe)
    return row ? [termRecipe(l.recipe, row.recipe, Math.floor((9 * i) / fine.length), l.figures.targets)] : []
  })
  const term = performance.now()
  layTerm({
    days: Array.from({ length: 12 }, (_, i) => ({ date: dayAfter('2026-11-26', 7 * i) })),
    recipes,
    beside: [],
    targets: [],
  })
  out(`  twelve weeks laid out from ${recipes.length}: ${(performance.now() - term).toFixed(0)} ms`)
}
