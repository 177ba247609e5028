/** Whether a stored value has the shape that records, exports and the table walk over: so that one bad row breaks none of them. */
import type { Plan } from '../model/plan'

/** Lists of a plan, whose members are objects with these texts. */
const LISTS: Record<string, readonly string[]> = {
  children: ['id'],
  bowls: ['id', 'name'],
  tasks: ['id', 'technique', 'mode'],
  turns: ['id', 'task', 'child'],
  schedule: ['step', 'title'],
  talk: ['step'],
  cleared: [],
  findings: ['id', 'grade', 'says'],
  checks: ['line', 'child'],
}

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** Of today's version, as `upgradePlan` gives it. @returns false where a list is missing, or a member of one is not what it should be */
export function hasPlanShape(value: unknown): value is Plan {
  if (!isObject(value) || !isObject(value['recipe']) || typeof value['recipe']['title'] !== 'string')
    return false
  const lists = Object.entries(LISTS).every(([name, texts]) => {
    const list = value[name]
    return (
      Array.isArray(list) &&
      list.every((x) => isObject(x) && texts.every((text) => typeof x[text] === 'string'))
    )
  })
  if (!lists) return false
  const bowls = value['bowls'] as Record<string, unknown>[]
  const asks = (value['talk'] as Record<string, unknown>[]).every(
    ({ asks: list }) => list === undefined || (Array.isArray(list) && list.every(isObject)),
  )
  return (
    asks &&
    bowls.every(
      (b) => Array.isArray(b['lines']) && b['lines'].every(isObject) && Array.isArray(b['children']),
    )
  )
}
