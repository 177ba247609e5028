/** What an adult must lead to do, or stand at, a technique. */
import type { Technique } from '../../craft/techniques'
import type { PlanAdult } from './request'

/** What an adult must lead to stand at a technique. */
export const leadFor = (technique: Pick<Technique, 'hazard'>): 'heat' | 'knives' | null =>
  technique.hazard === 'heat' ? 'heat' : technique.hazard === 'blade' ? 'knives' : null

export const mayLead = (adult: PlanAdult, lead: 'heat' | 'knives' | null): boolean =>
  lead === null || adult.leads.includes(lead)
