/** The calculations of jobs: dealing turns and places, and schedules. Contract: scheduling.md section 8. */
import { solve } from '@lea/core/lab'
import { type Instance, OP_MODES, type Op, assignTurns } from '@lea/core/plan'
import * as yup from 'yup'
import type { Calculation } from './fields'

const whole = (field: string, least: number, most: number) =>
  yup
    .number()
    .typeError(`${field} must be a number`)
    .integer(`${field} must be whole`)
    .min(least, `${field} must be at least ${least}`)
    .max(most, `${field} may be at most ${most}`)
    .required(`${field} is missing`)
const list = <T>(of: yup.ISchema<T>, field: string, most: number) =>
  yup
    .array()
    .typeError(`${field} must be a list`)
    // eslint-disable-next-line @typescript-eslint/no-unsafe-class-instance-assignment
    .of(of as yup.Schema<T>)
    .max(most, `${field} may hold at most ${most}`)
    .required(`${field} are missing`)

const MOST_CHILDREN = 60
const child = (field: string) => whole(field, 0, MOST_CHILDREN - 1)

const turnsSchema = yup.object({
  base: list(whole('base', 0, 1000), 'base', MOST_CHILDREN),
  tasks: list(
    yup.object({
      n: whole('n', 0, 1000),
      el: list(child('el'), 'el', MOST_CHILDREN),
      cap: whole('cap', 0, 1000),
      cost: list(whole('cost', -1000, 1000), 'cost', MOST_CHILDREN),
      easy: list(whole('easy', 0, 1), 'easy', MOST_CHILDREN),
    }),
    'tasks',
    200,
  ),
})
export const turnsAnswer: Calculation = (value) => {
  const { base, tasks } = turnsSchema.validateSync(value)
  for (const [t, task] of tasks.entries()) {
    const strange = task.el.find((i) => i >= base.length)
    if (strange !== undefined)
      wrong(`tasks[${t}].el`, `child ${strange} is not one of the ${base.length} of base`)
    if (new Set(task.el).size !== task.el.length) wrong(`tasks[${t}].el`, 'a child stands there twice')
    for (const field of ['cost', 'easy'] as const)
      if (task[field].length !== task.el.length) wrong(`tasks[${t}].${field}`, `must hold one for each of el`)
  }
  return assignTurns({
    base,
    tasks: tasks.map((t) => ({ ...t, easy: t.easy.map((e) => (e === 1 ? 1 : 0)) })),
  })
}

const id = (field: string) => yup.string().max(120).required(`${field} is missing`)
const opSchema = yup.object({
  id: id('id'),
  task: id('task'),
  mode: yup
    .string<Op['mode']>()
    .oneOf(OP_MODES, `mode must be one of: ${OP_MODES.join(', ')}`)
    .required('mode is missing'),
  p: whole('p', 0, 5000),
  dur: yup.number().integer().min(0).default(0),
  raw: yup.boolean().default(false),
  q: yup.number().integer().min(0).max(MOST_CHILDREN).default(0),
  slots: yup.number().integer().min(0).max(1000).default(0),
  req: yup.mixed<Record<string, number>>().default({}),
  eligible: yup.array().of(child('eligible')).default([]),
  preds: yup.array().of(id('preds')).default([]),
})
const scheduleSchema = yup.object({
  children: whole('children', 0, MOST_CHILDREN),
  ops: list(opSchema, 'ops', 300),
  resources: list(
    yup.object({
      name: yup.string().max(120),
      eligible: yup.array().of(child('eligible')).default(undefined),
      cap: whole('cap', 0, 10_000),
    }),
    'resources',
    200,
  ),
  taskCaps: yup.mixed<Record<string, number>>().default({}),
  session: yup.number().integer().min(0).optional(),
  seed: yup.number().integer().min(0).default(1),
  iterations: yup.number().integer().min(1).max(100_000).default(800),
})
export const schedule: Calculation = (value) => {
  const r = scheduleSchema.validateSync(value)
  const ids = new Set(r.ops.map((o) => o.id))
  if (ids.size !== r.ops.length) wrong('ops', 'two ops have the same id')
  for (const [i, op] of r.ops.entries()) {
    const strange = op.preds.find((p) => !ids.has(p))
    if (strange !== undefined) wrong(`ops[${i}].preds`, `there is no op '${strange}'`)
    if (op.eligible.some((c) => c >= r.children))
      wrong(`ops[${i}].eligible`, `there are ${r.children} children`)
    if (op.mode === 'TURNS' && op.p < op.slots * op.dur) wrong(`ops[${i}].p`, 'is shorter than its turns')
    if (Object.values(op.req).some((n) => !Number.isInteger(n) || n < 0))
      wrong(`ops[${i}].req`, 'must hold whole amounts')
  }
  const resources = r.resources.map((x, i) => {
    if (x.name !== undefined) return { name: x.name, cap: x.cap }
    if (x.eligible) return { eligible: x.eligible, cap: x.cap }
    return wrong(`resources[${i}]`, 'needs a name, or eligible children')
  })
  const ops = r.ops.map(({ p, q, req, ...op }) => ({ ...op, duration: p, crew: q, demand: req }))
  const instance: Instance = { ...r, ops, resources }
  return solve(instance)
}

function wrong(field: string, says: string): never {
  throw new yup.ValidationError(`${field} ${says}`, undefined, field)
}
