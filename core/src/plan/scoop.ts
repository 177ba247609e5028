/**
 * Pass 5, scoop: amounts into scoops of the measures in the box, fitted to the children of the bowl.
 *
 * Does little yet: one measure for each line. A line that no measure makes, exactly or within the tolerance of its role,
 * is weighed, one turn for each child who takes part.
 */
import { ratio, toInteger, toMixed, toText } from '../amount/ratio'
import { bestSingleMeasure, isScoopable, type Measure } from '../amount/scoops'
import { countLimit } from '../craft/ages'
import { unitOf } from '../amount/units'
import { TOLERANCE } from '../recipe/recipe'
import type { Pass, Scooped, Split } from './draft'
import { finding, type Finding } from './finding'
import type { Bowl, Measured, PlanLine, Task } from './plan'
import type { PlanRequest } from './request'

export const scoop: Pass<Split, Scooped> = (draft, request) => {
  const findings: Finding[] = []
  const tasks = draft.tasks.map((task) => {
    const step = draft.recipe.steps.find((s) => s.id === task.step)
    const isMeasuring = step?.tasks.some((t) => t.technique === task.technique && t.measures)
    const bowl = draft.bowls.find((b) => b.id === task.bowl)
    const line = bowl?.lines.find((l) => l.id === task.uses[0])
    if (!isMeasuring || !bowl || !line) return task
    const part = step?.uses.find((u) => u.line === line.line)?.part ?? '1'
    const measured = measure(line, part, bowl, draft, request)
    findings.push(...nearFindings(line, measured))
    return task.mode === 'TURNS' ? withTurns(task, measured) : { ...task, measured }
  })
  return { draft: { ...draft, tasks }, findings: unique(findings) }
}

function withTurns(task: Task, measured: Measured): Task {
  const able = task.forms.reduce((n, f) => n + f.children.length, 0)
  return { ...task, measured, n: measured.by === 'weight' ? able : measured.n }
}

function measure(line: PlanLine, part: string, bowl: Bowl, draft: Split, request: PlanRequest): Measured {
  const amount = ratio(line.amount).mul(part)
  if (unitOf(line.unit).dimension === 'count') {
    const whole = amount.ceil()
    return { by: 'pieces', n: Math.max(1, toInteger(whole)) }
  }
  if (!isScoopable(line.unit)) return { by: 'weight', why: 'the recipe gives a weight' }
  const chosen = request.decisions.find((d) => d.kind === 'measure' && d.line === line.line)
  // A measure of which none is in the box is lost.
  const box = request.kit.measures.filter((m) => m.count > 0)
  const wanted = box.filter((m) => chosen?.kind === 'measure' && m.id === chosen.measure)
  const youngest = Math.min(
    ...bowl.children.flatMap((id) => draft.people.find((p) => p.id === id)?.age ?? []),
  )
  const options = {
    children: bowl.children.length,
    countLimit: countLimit(youngest),
    maxScoops: request.rules.maxScoops,
    tolerance: TOLERANCE[line.role],
  }
  const best =
    bestSingleMeasure(amount, line.unit, wanted, options) ??
    bestSingleMeasure(amount, line.unit, box, options)
  if (!best) return { by: 'weight', why: 'no measure in the box comes near enough' }
  return scoopsOf(best.measure, best.n, best.errPct)
}

const scoopsOf = (m: Measure, n: number, errPct: string): Measured => ({
  by: 'scoop',
  measure: m.id,
  measureName: m.name,
  size: toText(ratio(m.size)),
  unit: m.unit,
  n,
  errPct,
})

/** How far off a near measure is, said once for each line and error. */
function nearFindings(line: PlanLine, measured: Measured): Finding[] {
  if (measured.by === 'pieces') return []
  if (measured.by === 'scoop' && measured.errPct === '0') return []
  const says =
    measured.by === 'weight'
      ? `${line.name}: ${line.text}, weighed or filled by eye: ${measured.why}.`
      : `${line.name}: ${measured.n} × ${measured.measureName} is ${off(measured.errPct)} than ${line.text}.`
  const tolerance = toMixed(ratio(TOLERANCE[line.role]).mul(100))
  return [
    finding({
      rule: 'near-measure',
      pass: 'scoop',
      grade: 'know',
      subject: { line: line.id },
      touches: [],
      says: `${says[0]?.toUpperCase() ?? ''}${says.slice(1)}`,
      because:
        measured.by === 'weight'
          ? 'A scale is exact enough.'
          : `For this ingredient up to ${tolerance} % does not matter.`,
      source: 'common practice',
      fixes: [],
      restsOn: measured,
    }),
  ]
}

const off = (errPct: string): string => {
  const shown = errPct
    .replace('-', '')
    .replace(/(\.\d)\d*$/, '$1')
    .replace(/\.0$/, '')
  return `${shown} % ${errPct.startsWith('-') ? 'less' : 'more'}`
}

const unique = (list: Finding[]): Finding[] => [...new Map(list.map((f) => [f.id, f])).values()]
