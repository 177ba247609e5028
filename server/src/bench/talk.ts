/** The talk of a session alone: 12 children, 12 steps, with and without a record; beside the whole plan; and the choice beside HiGHS. */
import highsLoader from 'highs'
import { TARGETS } from '@lea/core/learn'
import { type PlanRequest, compile } from '@lea/core/plan'
import { type Recipe, SHIPPED_RECIPES } from '@lea/core/recipe'
import { beforeTalk, chooseTalk, talk } from '@lea/core/lab'
import { drawnTalk } from '../../../core/test/plan/talk/drawn-talk'
import { talkOptimum, talkValue } from '../../../core/test/outside/talk-model'
import { keepFigure } from './table'

const out = (text: string): void => void process.stdout.write(`${text}\n`)
const at = (values: number[], share: number): number =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * share))] ?? 0
const ms = (n: number): string => `${n.toFixed(1)} ms`

/** A recipe drawn out to twelve steps. */
const twelve = (recipe: Recipe): Recipe => ({
  ...recipe,
  steps: [...recipe.steps, ...recipe.steps.map((s) => ({ ...s, id: `${s.id}-again` }))].slice(0, 12),
})

/** Six noted answers a child, as after a term. */
const noted = (request: PlanRequest): PlanRequest => ({
  ...request,
  rules: { ...request.rules, targets: ['frac-half-object', 'lang-predict', 'count-one-to-one-10'] },
  children: request.children.map((c, i) => ({
    ...c,
    talk: {
      heard: [i % 3, 1, (i + 1) % 2],
      marks: Array.from({ length: 6 }, (_, k) => ({
        target: TARGETS[(i * 5 + k * 11) % TARGETS.length]?.id ?? '',
        on: `2026-10-${String(10 + k).padStart(2, '0')}`,
        how: (['said', 'helped', 'showed'] as const)[(i + k) % 3] ?? 'said',
        level: 'focused' as const,
      })),
    },
  })),
})

export async function benchTalk(requestOf: (children: number, recipe: Recipe) => PlanRequest): Promise<void> {
  const highs = (await highsLoader()) as Parameters<typeof talkOptimum>[1]
  out('\nTalk, 12 children and 12 steps (goal: under 20 ms median)')
  for (const [name, change] of [
    ['nothing noted yet', (r: PlanRequest) => r],
    ['with a record, three targets of the week', noted],
  ] as const) {
    const requests = SHIPPED_RECIPES.map((r) => change(requestOf(12, twelve(r))))
    const drafts = requests.map((r) => beforeTalk(r).draft)
    const alone: number[] = []
    const whole: number[] = []
    for (let run = 0; run < 8; run++)
      requests.forEach((request, i) => {
        const draft = drafts[i]
        if (!draft) return
        let start = performance.now()
        talk(draft, request)
        if (run > 0) alone.push(performance.now() - start)
        start = performance.now()
        compile(request)
        if (run > 0) whole.push(performance.now() - start)
      })
    keepFigure('talk', {
      what: `talk, 12 children × 12 steps, ${name}, median`,
      value: at(alone, 0.5),
      unit: 'ms',
      goal: 12,
      why: 'what may be said is worked out for every child and step before it is chosen from',
    })
    out(
      `  ${name}: median ${ms(at(alone, 0.5))}, p95 ${ms(at(alone, 0.95))}; of the whole plan ${((100 * at(alone, 0.5)) / at(whole, 0.5)).toFixed(0)} %`,
    )
  }
  let equal = 0
  const [ours, theirs]: [number[], number[]] = [[], []]
  const [above, sum] = [[0], [0]]
  for (let seed = 1; seed <= 200; seed++) {
    const problem = drawnTalk(seed)
    let start = performance.now()
    const value = talkValue(problem, chooseTalk(problem))
    ours.push(performance.now() - start)
    start = performance.now()
    const best = talkOptimum(problem, highs)
    theirs.push(performance.now() - start)
    if (value.first > best.first) continue
    equal += 1
    above[0] = (above[0] ?? 0) + value.second - best.second
    sum[0] = (sum[0] ?? 0) + best.second
  }
  keepFigure('talk', {
    what: 'choice of what is said, 200 drawn sessions, median',
    value: at(ours, 0.5),
    unit: 'ms',
    beside: { what: `HiGHS (first goal equal in ${equal})`, value: at(theirs, 0.5), unit: 'ms' },
  })
  out(
    `  choice beside HiGHS, 200 drawn sessions: what matters first equal in ${equal}; the rest ${((100 * (above[0] ?? 0)) / (sum[0] || 1)).toFixed(2)} % above; median ${ms(at(ours, 0.5))} against ${ms(at(theirs, 0.5))}`,
  )
}
