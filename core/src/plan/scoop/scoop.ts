/**
 * Pass 5, scoop: amounts into scoops of the measures in the box, fitted to the children of the bowl: over the whole bowl, so
 * that turns come out even (`fair-bowl`), or with any cup in parts, or on the scale.
 */
import { capitalised } from '../../amount/letter-case'
import { ratio, toMixed, toText } from '../../amount/ratio'
import { timesOf } from '../../amount/scoops'
import { countLimit } from '../../craft/ages'
import { lineAmount } from '../../recipe/by-eye'
import { TOLERANCE } from '../../recipe/recipe'
import { inParts } from './any-cup'
import { ownWeights } from '../model/cupboard'
import type { Pass, Scooped, Split } from '../model/draft'
import { scoopBowl, type BowlTask } from './fair-bowl'
import { finding, type Finding } from '../model/finding'
import { demandOf, measuringOf, type Demand } from './measuring'
import { measureErrorText } from '../model/measure-error'
import type { PlanRequest } from '../model/request'
import { scoopsText } from '../model/scoop-sequence'
import { ownShare, sizeTotal, type Bowl, type Measured, type PlanLine } from '../model/line'
import type { Task } from '../model/task'

export const scoop: Pass<Split, Scooped> = (draft, request) => {
  const findings: Finding[] = []
  const measured = new Map<string, Measured>()
  const known: BowlTask['known'] = new Map()
  for (const bowl of draft.bowls) {
    for (const [task, how] of measureBowl(bowl, draft, request, known)) measured.set(task, how)
  }
  const tasks = draft.tasks.map((task) => {
    const how = measured.get(task.id)
    const line = how && lineOf(task, draft)
    if (!how || !line) return task
    const own = isPortion(task, line) ? { ...line, text: ownShare(line, task.size)?.text ?? line.text } : line
    findings.push(...nearFindings(own, how))
    if (isPortion(task, line)) return withPortions(task, how, draft.bowls.length, request)
    return task.mode === 'TURNS' ? withTurns(task, how) : { ...task, measured: how }
  })
  return { draft: { ...draft, tasks }, findings: unique(findings) }
}

const lineOf = (task: Task, draft: Split): PlanLine | undefined =>
  draft.bowls.find((b) => b.id === task.bowl)?.lines.find((l) => l.id === task.uses[0])

function withTurns(task: Task, measured: Measured): Task {
  const able = task.forms.reduce((n, f) => n + f.children.length, 0)
  return { ...task, measured, n: measured.by === 'weight' ? able : measured.n }
}

/** Everybody measures the own. */
const isPortion = (task: Task, line: PlanLine): boolean => task.mode === 'EACH' && line.each !== undefined

/** A go for each scoop of each child; as many at once as the box has measures for in each bowl. What is taken by hand waits for none. */
function withPortions(task: Task, measured: Measured, bowls: number, { kit }: PlanRequest): Task {
  const able = task.forms.reduce((n, f) => n + f.children.length, 0)
  const scoops = measured.by === 'scoop' ? measured.n : 1
  const there =
    measured.by === 'scoop' && measured.any !== true && measured.jug !== true
      ? measured.parts.map((p) => kit.measures.find((m) => m.id === p.measure)?.count ?? 1)
      : [measured.by === 'pieces' ? able : 1]
  const atOnce = task.passes
    ? 1
    : Math.max(1, ...(measured.by === 'pieces' ? there : [Math.floor(Math.min(...there) / bowls)]))
  return { ...task, measured, portion: { atOnce }, n: able * scoops }
}

/** One child's portion; of sizes by age an adult measures that of all who have this one; else all of it. */
function measuredHere(task: Task, line: PlanLine, bowl: Bowl): PlanLine {
  if (isPortion(task, line)) return { ...line, ...ownShare(line, task.size) }
  const amount = sizeTotal(line, task.size, bowl.children.length)
  return amount === undefined ? line : { ...line, amount, text: lineAmount(line, amount) }
}

/** How everything is measured that goes into one bowl. */
function measureBowl(
  bowl: Bowl,
  draft: Split,
  request: PlanRequest,
  known: BowlTask['known'],
): Map<string, Measured> {
  const out = new Map<string, Measured>()
  const shared: Demand[] = []
  const apart: Demand[] = []
  let otherTurns = 0
  for (const task of draft.tasks.filter((t) => t.bowl === bowl.id)) {
    const step = draft.recipe.steps.find((s) => s.id === task.step)
    const line = lineOf(task, draft)
    if (!line || !step?.tasks.some((t) => t.technique === task.technique && t.measures)) continue
    // Over several rounds each has its share of it in each.
    const part = ratio(step.uses.find((u) => u.line === line.line)?.part ?? '1').div(task.passes?.of ?? 1)
    const own = measuredHere(task, line, bowl)
    const what = demandOf(task, own, toText(part), bowl, request)
    if ('measured' in what) {
      out.set(task.id, what.measured)
      if (task.mode === 'TURNS') otherTurns += withTurns(task, what.measured).n
    } else if (task.mode === 'TURNS') shared.push(what.demand)
    else apart.push(isPortion(task, line) ? { ...what.demand, portion: true } : what.demand)
  }
  for (const [task, how] of scooped(shared, otherTurns, false, bowl, draft, request, known))
    out.set(task, how)
  // What an adult does, or each child alone, is no turn of the bowl: as few scoops as can be.
  for (const [task, how] of scooped(apart, 0, true, bowl, draft, request, known)) out.set(task, how)
  return out
}

function scooped(
  demands: readonly Demand[],
  otherTurns: number,
  quick: boolean,
  bowl: Bowl,
  draft: Split,
  request: PlanRequest,
  known: BowlTask['known'],
): Map<string, Measured> {
  if (demands.length === 0) return new Map()
  const { maxScoops } = request.rules
  const parts = measuringOf(request) === 'parts' ? inParts(demands, maxScoops) : new Map<string, Measured>()
  const inPartTurns = [...parts.values()].reduce((n, m) => n + (m.by === 'scoop' ? m.n : 0), 0)
  const ages = bowl.children.flatMap((id) => draft.people.find((p) => p.id === id)?.age ?? [])
  const rest = scoopBowl(
    {
      demands: demands.filter((d) => !parts.has(d.task)),
      otherTurns: otherTurns + inPartTurns,
      children: Math.max(1, bowl.children.length),
      countLimit: countLimit(Math.min(...ages)),
      maxScoops,
      quick: quick || request.decisions.some((d) => d.kind === 'scooping' && d.way === 'quick'),
      pins: pinsOf(demands, request),
      weights: ownWeights(request),
      known,
    },
    request.kit.measures,
  )
  return new Map([...parts, ...rest])
}

/** Ways chosen by hand for a task; or one measure for a line, as often as comes nearest. */
function pinsOf(
  demands: readonly Demand[],
  { decisions, kit }: PlanRequest,
): Map<string, Record<string, number>> {
  const pins = new Map<string, Record<string, number>>()
  for (const { task, line, mL } of demands) {
    const ways = decisions.find((d) => d.kind === 'scoops' && d.task === task)
    const one = decisions.find((d) => d.kind === 'measure' && d.line === line.line)
    if (ways?.kind === 'scoops') pins.set(task, ways.ways)
    else if (one?.kind === 'measure') {
      const measure = kit.measures.find((m) => m.id === one.measure && m.count > 0)
      const n = measure ? timesOf(measure, mL) : 0
      if (n > 0) pins.set(task, { [one.measure]: n })
    }
  }
  return pins
}

/** How far off a near measure is, said once for each line and error. */
function nearFindings(line: PlanLine, measured: Measured): Finding[] {
  if (measured.by === 'pieces' || (measured.by === 'scoop' && measured.errPct === '0')) return []
  if (measured.by === 'weight' && !measured.lack) return []
  const says =
    measured.by === 'weight'
      ? `${line.name}: ${line.text}, weighed as ${measured.text}: ${measured.why}.`
      : `${line.name}: ${scoopsText(measured)} is ${measureErrorText(measured.errPct)} than ${line.text}.`
  const tolerance = toMixed(ratio(TOLERANCE[line.role]).mul(100))
  return [
    finding({
      rule: 'near-measure',
      pass: 'scoop',
      grade: 'know',
      subject: { line: line.id },
      touches: [],
      says: capitalised(says),
      because:
        measured.by === 'weight'
          ? (measured.because ?? 'A scale is exact enough.')
          : [`For this ingredient up to ${tolerance} % does not matter.`, measured.because ?? '']
              .filter(Boolean)
              .join(' '),
      source: 'common practice',
      fixes: [],
      dependsOn: measured,
    }),
  ]
}

const unique = (list: Finding[]): Finding[] => [...new Map(list.map((f) => [f.id, f])).values()]
