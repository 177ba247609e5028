/** Which adult a job goes to. */
import type { Technique } from '../../craft/techniques'
import type { PlanAdult, PlanRequest } from '../model/request'
import { leadFor, mayLead } from '../model/lead'

/** Why an adult cannot stand at a job, or null where they can. `{{id}}` stands for the name. */
export function cannotSupervise(
  technique: Pick<Technique, 'name' | 'hazard'>,
  adult: PlanAdult | undefined,
): string | null {
  if (!adult) return 'This adult is not in the session.'
  const lead = leadFor(technique)
  return mayLead(adult, lead) ? null : `{{${adult.id}}} does not lead ${lead ?? ''}: ${technique.name}.`
}

/** Those who take the jobs that hold an adult. */
export const adultsOnTasks = (request: PlanRequest): PlanAdult[] =>
  request.adults.slice(0, request.holding ?? request.adults.length)

/** The adult of a bowl, by turns; heat and blades go to one who leads them. */
export function adultFor(technique: Technique, bowlIndex: number, request: PlanRequest): string | undefined {
  const adults = adultsOnTasks(request)
  const lead = leadFor(technique)
  const own = adults[bowlIndex % Math.max(1, adults.length)]
  if (own && mayLead(own, lead)) return own.id
  return [...adults, ...request.adults].find((a) => mayLead(a, lead))?.id
}

/**
 * A different adult for each of several jobs at once, by augmenting paths.
 * @param leads what each job asks of its adult
 * @returns one adult for each job, or null where there are not enough
 */
export function adultsApart(
  leads: readonly ('heat' | 'knives' | null)[],
  adults: readonly PlanAdult[],
): string[] | null {
  const jobOf = new Map<string, number>()
  const place = (job: number, seen: Set<string>): boolean =>
    adults.some((a) => {
      if (seen.has(a.id) || !mayLead(a, leads[job] ?? null)) return false
      seen.add(a.id)
      const held = jobOf.get(a.id)
      if (held !== undefined && !place(held, seen)) return false
      jobOf.set(a.id, job)
      return true
    })
  if (!leads.every((_, job) => place(job, new Set()))) return null
  const adultOf = new Map([...jobOf].map(([adult, job]) => [job, adult]))
  return leads.map((_, job) => adultOf.get(job) as string)
}
