import { describe, expect, it } from 'vitest'
import { unitOf } from '../../src/amount/units'
import { foodName, SHIPPED_BOOK } from '../../src/food/foods'
import { compile } from '../../src/plan/compile'
import type { Plan } from '../../src/plan/model/plan'
import type { Recipe } from '../../src/recipe/recipe'
import { stateLines, statesOf } from '../../src/recipe/states/hazards'
import type { RecipeRead } from '../../src/recipe/text/understood'
import { readRecipeFile } from '../../src/schema/recipe/recipe-file'
import { CASES, type Case } from '../recipe/corpus/texts'
import { child, request } from '../group'

const env = (globalThis as unknown as { process: { env: Record<string, string | undefined> } }).process.env
const out = (globalThis as unknown as { console: { log: (...a: unknown[]) => void } }).console

/** As a leader settles it: every question that must be answered, by what lies nearest. */
export function settled(c: Case): RecipeRead {
  const answers: Record<string, string> = {}
  let read = readRecipeFile(c.text, c.system)
  for (let i = 0; i < 12; i++) {
    const q = read.questions.find((x) => x.must)
    if (!q) break
    answers[q.key] = q.choices[0]?.answer ?? ''
    read = readRecipeFile(c.text, c.system, undefined, answers)
  }
  return read
}

const ages = [49, 51, 52, 54, 56, 58]
function planOf(read: RecipeRead): Plan {
  const r = request(
    ages.map((m, i) => child(String.fromCharCode(97 + i), m)),
    { recipe: read.recipe },
  )
  return compile(r)
}

describe('every text becomes a plan', () => {
  it.each(CASES.map((c) => [`${c.style}/${c.name}`, c] as const))('%s', (name, c) => {
    const read = settled(c)
    expect(read.questions.filter((q) => q.must)).toEqual([])
    const plan = planOf(read)
    expect(plan.tasks.length).toBeGreaterThan(0)
    if (env['PLANS'] && (env['PLANS'] === '1' || name.includes(env['PLANS'])))
      out.log(
        `== ${name}: ${read.recipe.title} for ${read.recipe.serves}\n` +
          plan.tasks
            .map(
              (t) =>
                `${t.step} | ${t.technique}${t.uses.length === 1 && t.measured ? `(${t.uses[0]})` : ''} ${t.mode} n${t.n} ${t.seconds}s ${t.place}${t.measured ? ` M:${t.measured.by}` : ''}${t.hazard ? ` !${t.hazard}` : ''}`,
            )
            .join('\n') +
          `\n${plan.findings.map((f) => `  ? ${f.says}`).join('\n')}`,
      )
    // Every line with a measure of volume or weight is measured by somebody, once.
    for (const line of read.recipe.lines) {
      if (
        line.byEye ||
        unitOf(line.unit).dimension === 'count' ||
        !read.recipe.steps.some((s) => s.uses.some((u) => u.line === line.id))
      )
        continue
      const tasks = plan.tasks.filter(
        (t) => t.measured && t.uses.length === 1 && t.uses[0]?.endsWith(line.id),
      )
      expect(tasks.length, `${line.id} is measured by ${tasks.length}`).toBeGreaterThan(0)
    }
    // An egg is cracked, never poured or scooped.
    for (const t of plan.tasks)
      if (t.measured && t.handles.some((f) => /^egg-(?:hen|yolk|white)$/.test(f)))
        expect(['crack-egg', 'separate-egg', 'count-out']).toContain(t.technique)
  })
})

/** The recipe with what was put in taken back into the step that it was put in for. */
function takenBack(recipe: Recipe): Recipe {
  const steps: Recipe['steps'] = []
  let held: Pick<Recipe['steps'][number], 'uses' | 'tasks'> = { uses: [], tasks: [] }
  for (const step of recipe.steps) {
    if (/-(?:ready|measured)(?:-\d+)?$/.test(step.id))
      held = { uses: [...held.uses, ...step.uses], tasks: [...held.tasks, ...step.tasks] }
    else {
      steps.push({ ...step, uses: [...held.uses, ...step.uses], tasks: [...held.tasks, ...step.tasks] })
      held = { uses: [], tasks: [] }
    }
  }
  return { ...recipe, steps }
}

describe('what is put in cools nothing', () => {
  it('a job that is hot with its measuring in its step is hot without it, and what is raw stays raw', () => {
    const cooled: string[] = []
    for (const c of CASES) {
      const { recipe } = settled(c)
      const lines = stateLines(
        recipe.lines.map((l) => ({ ...l, line: l.id, name: foodName(SHIPPED_BOOK.of(l.food)) })),
        SHIPPED_BOOK,
      )
      const back = takenBack(recipe)
      const [now, whole] = [statesOf(recipe, lines), statesOf(back, lines)]
      for (const step of recipe.steps)
        for (const task of step.tasks) {
          if (/-(?:ready|measured)(?:-\d+)?$/.test(step.id) || task.mode === 'ADULT') continue
          const [a, b] = [now.at(step.id, task.technique), whole.at(step.id, task.technique)]
          if (b.heat !== null && a.heat === null)
            cooled.push(`${c.name} ${step.id} ${task.technique}: not hot`)
          if (b.rawMeat.some((m) => !a.rawMeat.includes(m)))
            cooled.push(`${c.name} ${step.id} ${task.technique}: not raw`)
        }
    }
    expect(cooled).toEqual([])
  })
})
