/** Who takes part in a task, in which form; who does not, and why; and what they do instead. */
import { sideJob } from '../../craft/side-jobs'
import { helpsFor } from '../../craft/helps'
import { gentleJob } from '../../craft/jobs-by-age'
import { formFor, type Form } from '../../craft/form'
import type { Technique } from '../../craft/techniques'
import { allergenName } from '../../food/allergens'
import { barsHandling, meet } from '../../food/concerns'
import type { DraftChild, Portioned } from '../model/draft'
import { circumstancesOf, foodsInHand } from '../model/circumstances'
import type { PlanLine } from '../model/line'
import type { PlanRequest } from '../model/request'
import type { Task, TaskForm } from '../model/task'
import type { StandingOver } from './standing-over'

export interface Partake {
  forms: TaskForm[]
  barred: Task['barred']
  instead: { child: string; job: string }[]
  helps: { child: string; says: string }[]
}

type Foods = Pick<Portioned, 'foods' | 'packets'>

/** Each child's form, or the reason why it takes no part. Age, plan and allergy are hard filters, never preferences. */
export function partake(
  crew: readonly DraftChild[],
  technique: Technique,
  /** Ids of the foods that a child's hands meet here. */
  handles: (child: string) => readonly string[],
  /** The lines that come in at this step: what the hands work on, and what a neighbour job is about. */
  lines: readonly PlanLine[],
  /** What stands over it whatever its verb is: heat, raw meat. */
  around: readonly StandingOver[],
  draft: Foods,
  request: PlanRequest,
): Partake {
  const forms = new Map<string, TaskForm>()
  const foods = foodsInHand(lines)
  const out: Partake = { forms: [], barred: [], instead: [], helps: [] }
  for (const child of crew) {
    const touch = forbiddenTouch(child, handles(child.id), draft)
    const overIt = around.map((a) => ({ a, form: formFor(a.technique, child.age) }))
    const form = strictest(
      formFor(technique, child.age, circumstancesOf(technique.id, child, request, foods)),
      overIt.map((o) => o.form),
    )
    const over = overIt.find((o) => o.form.kind !== 'do')?.a
    const bar = barOf(child, technique, touch, over, form)
    if (bar !== null || form.kind !== 'do') {
      if (bar) out.barred.push({ child: child.id, ...bar })
      // By its own plan a child leaves out the technique, not the food; by age it has a gentle job with that food.
      const gentle =
        touch === null && form.kind === 'not-yet'
          ? gentleJob(
              lines.map((l) => l.food),
              child.age,
            )
          : null
      const job = gentle ?? sideJob(technique, child.age, touch === null)?.job
      if (job !== undefined) out.instead.push({ child: child.id, job })
      continue
    }
    for (const says of helpsFor(technique, child)) out.helps.push({ child: child.id, says })
    const key = `${form.rung ?? ''}/${form.tool}/${form.code}/${form.perAdult}`
    const same = forms.get(key)
    if (same) same.children.push(child.id)
    else
      forms.set(key, {
        technique: technique.id,
        name: technique.name,
        ...(form.rung !== undefined && { rung: form.rung }),
        tool: form.tool,
        with: form.with,
        says: form.says,
        children: [child.id],
        supervision: form.code,
        perAdult: form.perAdult,
      })
  }
  out.forms = [...forms.values()]
  return out
}

/** A job in the hand of who may do it and may stand by what is over it: as near an adult as the nearer of them asks. */
function strictest(form: Form, over: readonly Form[]): Form {
  return over.reduce<Form>((a, b) => {
    if (a.kind !== 'do') return a
    if (b.kind !== 'do') return b
    return {
      ...a,
      code: a.code === 'B' || b.code === 'B' ? 'B' : 'O',
      perAdult: Math.min(a.perAdult, b.perAdult),
    }
  }, form)
}

/** What keeps a child from a technique, the gravest first: its own plan, an allergy, its age. */
function barOf(
  child: DraftChild,
  technique: Technique,
  touch: string | null,
  over: StandingOver | undefined,
  form: Form,
): Omit<Task['barred'][number], 'child'> | null {
  if (child.limits?.includes(technique.id))
    return { cause: 'plan', why: `${technique.name}: not by the child's own plan` }
  if (touch !== null) return { cause: 'touch', why: `does not touch ${touch}` }
  if (over) return { cause: over.cause, why: over.why }
  return form.kind === 'do' ? null : { cause: 'age', why: `${technique.name}: ${form.why}` }
}

/** The food with its allergen that a child must not handle, or null. */
export function forbiddenTouch(
  child: Pick<DraftChild, 'concerns'>,
  handles: readonly string[],
  { foods, packets }: Foods,
): string | null {
  for (const id of handles) {
    const food = foods.of(id)
    const concern = child.concerns.find((c) => barsHandling(meet(c.allergen, food, packets.get(id)), c))
    if (concern) return `${food.name} (${allergenName(concern.allergen)})`
  }
  return null
}
