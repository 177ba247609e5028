/**
 * A measure breaks or is lost at the table: what is still to be scooped with it is made with those that are left, exactly; what is
 * in the bowl stays, and so do all other jobs.
 */
import { capitalised } from '../../amount/letter-case'
import { must } from '../../amount/must'
import { rebuildPlan } from './live-changes'
import { bestWay, decompositions } from '../../amount/decompose'
import { ratio } from '../../amount/ratio'
import { amountText } from '../../amount/show'
import { toBase, unitOf } from '../../amount/units'
import type { Measure } from '../../amount/scoops'
import { countLimit } from '../../craft/ages'
import { type LiveChange } from './live-changes'
import type { Plan } from '../model/plan'
import type { PlanRequest } from '../model/request'
import { scoopsOf } from '../model/scoop-sequence'
import type { Measured, ScoopPart } from '../model/line'
import type { Task, Turn } from '../model/task'
import { runsLate } from './runs-late'

/**
 * @param measure id of the one that broke
 * @param done turns that have happened
 */
export function measureBreaks(
  plan: Plan,
  request: PlanRequest,
  measure: string,
  done: ReadonlySet<string>,
): LiveChange {
  const broken = request.kit.measures.find((m) => m.id === measure)
  if (!broken) return { refused: 'This measure is not in the box.' }
  if (broken.count > 1) return { refused: `There is another ${broken.name} in the box.` }
  const box = request.kit.measures.filter((m) => m.id !== measure && m.count > 0)
  let next: Plan = plan
  const says: string[] = []
  for (const task of plan.tasks) {
    const open = plan.turns.filter((t) => t.task === task.id && t.measure === measure && !done.has(t.id))
    if (open.length === 0 || task.measured?.by !== 'scoop') continue
    if (task.portion)
      return {
        refused: `${capitalised(task.name)}: each child measures its own with the ${broken.name}, and no other way is worked out while cooking. Borrow one of that size, or fill to the same height by eye.`,
      }
    const parts = instead(broken, open.length, box, plan, request.rules.maxScoops)
    const name = plan.bowls.find((b) => b.id === task.bowl)?.lines.find((l) => l.id === task.uses[0])?.name
    if (!parts) {
      const rest = amountText(ratio(broken.size).mul(open.length), broken.unit)
      return {
        refused: capitalised(
          `${name ?? task.name}: ${rest} is still to come, and no measure that is left makes it. Weigh it, or borrow one.`,
        ),
      }
    }
    next = withParts(next, task, open, parts, done)
    const text = parts.map((p) => `${p.n} × ${p.name}`).join(' + ')
    says.push(`${name ?? task.name}: ${text} instead of ${open.length} × ${broken.name}.`)
    const longer = parts.reduce((n, p) => n + p.n, 0) - open.length
    const minutes = Math.ceil((longer * task.seconds) / 60)
    if (minutes > 0) {
      const late = runsLate(next, task.step, minutes)
      if ('plan' in late) next = late.plan
    }
  }
  if (says.length === 0) return { plan: next, says: ['Nothing is left to scoop with it: nothing changes.'] }
  return { plan: next, says: [...says, 'What is in the bowl stays; all other jobs stay.'] }
}

/** The same amount with the measures that are left, or null. */
function instead(
  broken: Measure,
  n: number,
  box: readonly Measure[],
  plan: Plan,
  most: number,
): ScoopPart[] | null {
  const volume = box.filter((m) => unitOf(m.unit).dimension === unitOf(broken.unit).dimension)
  if (volume.length === 0) return null
  const amount = toBase(broken.size, broken.unit).mul(n)
  const sizes = volume.map((m) => ({ id: m.id, size: toBase(m.size, m.unit) }))
  const ways = decompositions(amount, sizes, most)
  const best = bestWay(
    ways,
    sizes.map((s) => s.size.valueOf()),
    {
      children: plan.children.length,
      countLimit: countLimit(Math.min(...plan.children.map((c) => c.months))),
    },
  )
  return (
    best &&
    volume
      .flatMap((m, i): ScoopPart[] =>
        (best[i] ?? 0) > 0
          ? [{ measure: m.id, name: m.name, size: m.size, unit: m.unit, n: best[i] ?? 0 }]
          : [],
      )
      .sort((a, b) => toBase(b.size, b.unit).compare(toBase(a.size, a.unit)))
  )
}

function withParts(
  plan: Plan,
  task: Task,
  open: readonly Turn[],
  parts: readonly ScoopPart[],
  done: ReadonlySet<string>,
): Plan {
  const measured = task.measured as Extract<Measured, { by: 'scoop' }>
  const gone = new Set(open.map((t) => t.id))
  const own = plan.turns.filter((t) => t.task === task.id)
  const scoops = scoopsOf(measured)
  const count = parts.reduce((n, p) => n + p.n, 0)
  const ids = freshIds(task.id, own, count)
  const added = parts
    .flatMap((p) => Array.from({ length: p.n }, () => p))
    .map((part, k) => ({
      part,
      turn: {
        id: must(ids[k], 'a fresh id'),
        task: task.id,
        number: 0,
        measure: part.measure,
        child: open[k % open.length]?.child ?? '',
        start: 0,
        end: 0,
      } satisfies Turn,
    }))
  const kept = own
    .filter((t) => !gone.has(t.id))
    .map((turn) => ({ turn, part: scoops[turn.number - 1] as ScoopPart }))
  const past = kept.filter((k) => done.has(k.turn.id))
  const coming = [...kept.filter((k) => !done.has(k.turn.id)), ...added]
  // What is still to come follows one after another from where the first of it stood.
  const from = Math.min(...own.filter((t) => !done.has(t.id)).map((t) => t.start))
  const timed = coming.map(({ turn, part }, k) => ({
    part,
    turn: { ...turn, start: from + k * task.seconds, end: from + (k + 1) * task.seconds },
  }))
  const all = [...past, ...timed]
  const turns = all.map(({ turn }, i): Turn => ({ ...turn, number: i + 1 }))
  const joined = all.reduce<ScoopPart[]>((list, { part }) => {
    const last = list.at(-1)
    if (last?.measure === part.measure) last.n += 1
    else list.push({ ...part, n: 1 })
    return list
  }, [])
  return rebuildPlan({
    ...plan,
    tasks: plan.tasks.map((t) =>
      t.id === task.id
        ? { ...t, n: turns.length, measured: { ...measured, parts: joined, n: turns.length } }
        : t,
    ),
    turns: plan.turns.flatMap((t) => (t.task !== task.id ? [t] : t === own[0] ? turns : [])),
  })
}

/** Ids for turns that come anew: none that a turn of this task has already. */
function freshIds(task: string, own: readonly Turn[], count: number): string[] {
  const taken = new Set(own.map((t) => t.id))
  const ids: string[] = []
  for (let n = own.length + 1; ids.length < count; n++) {
    const id = `${task}#${n}`
    if (!taken.has(id)) ids.push(id)
  }
  return ids
}
