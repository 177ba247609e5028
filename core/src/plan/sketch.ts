/**
 * A plan in outline, to set many recipes beside each other: the passes from adapt to gather without talk, without jobs for those who
 * wait, and with a clock that tries rules of priority only. What is then chosen is compiled whole, and asked by the checker.
 */
import { adapt } from './adapt/adapt'
import { setClock } from './clock/clock'
import { begin } from './begin'
import type { Adapted, Gathered, Out } from './model/draft'
import type { Finding } from './model/finding'
import { gather } from './gather/gather'
import { portion } from './portion/portion'
import type { PlanRequest } from './model/request'
import { scoop } from './scoop/scoop'
import { shape } from './shape/shape'
import { split } from './split/split'
import { turns } from './turns/turns'

/** The whole-table check alone: every line against every child, with the smallest set of swaps (pass 1). */
export const checkTable = (request: PlanRequest): Adapted => tableOf(request).draft
export const tableOf = (request: PlanRequest): Out<Adapted> => adapt(begin(request), request)

/**
 * @param table of this very request, where it was checked already
 * @throws PlanError where there is nobody to plan for, or nothing to do
 */
export function sketch(request: PlanRequest, table?: Out<Adapted>): Out<Gathered> {
  const quick: PlanRequest = { ...request, effort: 'sketch' }
  const findings: Finding[] = []
  const keep = <D>(out: Out<D>): D => {
    findings.push(...out.findings)
    return out.draft
  }
  const parted = keep(split(keep(portion(keep(shape(keep(table ?? tableOf(quick)), quick)), quick)), quick))
  const dealt = keep(turns(keep(scoop(parted, quick)), quick))
  const set = setClock({ ...dealt, steps: dealt.recipe.steps }, quick)
  const timed = { ...dealt, ...set, fill: [], background: [] }
  return { draft: keep(gather(timed, quick)), findings }
}
