/** What stands over a job whatever its verb is, as techniques of the catalogue whose ages hold as well: heat, raw meat, what nobody tastes. */
import { ageText } from '../../craft/ages'
import { agesOf, techniqueFor } from '../../craft/setting-techniques'
import type { Technique } from '../../craft/techniques'
import type { Hazards } from '../../recipe/states/hazards'
import type { PlanLine } from '../model/line'
import type { PlanRequest } from '../model/request'
import type { Task } from '../model/task'

export interface StandingOver {
  technique: Technique
  cause: Task['barred'][number]['cause']
  /** In words, small letters. */
  why: string
}

/** @param line what is measured: only its own heat and rawness then count. @returns the gravest first */
export function standingOver(
  { rawMeat, rawTaste, heat, deepOil, covered }: Hazards,
  line: Pick<PlanLine, 'name'> | null,
  { rules }: Pick<PlanRequest, 'rules'>,
): StandingOver[] {
  const out: StandingOver[] = []
  const add = (id: string, cause: StandingOver['cause'], why: string): void => {
    const technique = techniqueFor(id, rules.techniques)
    if (technique) out.push({ technique, cause, why })
  }
  const raw = line ? rawMeat.filter((name) => name === line.name) : rawMeat
  if (deepOil) add('deep-fry', 'heat', 'oil for deep frying: an adult only, the children in another room')
  if (raw.length > 0) add('handle-raw-meat', 'raw', `raw ${raw.map(plainName).join(', ')}: an adult only`)
  if (rawTaste.length > 0)
    add('handle-raw-meat', 'raw', `${rawTaste.map(plainName).join(', ')} not cooked yet: nobody tastes it`)
  if (heat === 'scalding') add('carry-hot', 'heat', 'boiling hot: an adult only')
  else if (heat === 'hot') add('use-hob', 'heat', `hot: an adult${fromText(rules)}`)
  const taste = covered && techniqueFor('taste', rules.techniques)
  if (taste)
    out.push({
      technique: { ...taste, supervision: COVERED },
      cause: 'age',
      why: 'eyes covered: an adult beside',
    })
  return out
}
/** With eyes covered an adult gives every taste, at most three children in reach. Source: common practice, from memory. */
const COVERED: Technique['supervision'] = [
  { code: 'N', below: 12 },
  { code: 'B', children: 3, below: null },
]

/** From which age a child may stand at a hob here: the catalogue's, or later by the setting. */
function fromText({ techniques }: PlanRequest['rules']): string {
  const hob = techniqueFor('use-hob', techniques)
  const from = hob && agesOf(hob).from
  return from ? `, or from ${ageText(from)} with one beside` : ' only'
}

const plainName = (name: string): string => name.replace(/^raw /, '')
