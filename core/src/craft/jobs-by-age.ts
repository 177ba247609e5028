/**
 * What hands of an age do with a food, and the knife ladder.
 * Source: core/data/jobs-by-age.json, core/data/knives.json (common practice, from memory).
 */
import jobs from '../../data/jobs-by-age.json'
import knives from '../../data/knives.json'

export interface AgeBand {
  id: string
  /** Completed months: from, and below. */
  from: number
  below: number
}
export interface FoodJobs {
  id: string
  foods: string[]
  /** One phrase for each band. */
  byBand: string[]
  /** What the adult does. */
  adult: string
}
export interface Knife {
  id: string
  name: string
  /** From this age with an adult beside so many children; from that age overseen, so many to an adult. */
  from: number
  beside: number
  overseenFrom: number
  overseen: number
}

/** The ages by which jobs are listed, in months. */
export const AGE_BANDS: readonly AgeBand[] = jobs.bands
export const FOOD_JOBS: readonly FoodJobs[] = jobs.jobs
/** Where the table of jobs comes from. */
export const JOBS_SOURCE = jobs.source
export const KNIVES: readonly Knife[] = knives.knives

const ROW_OF = new Map(FOOD_JOBS.flatMap((row) => row.foods.map((f) => [f, row] as const)))

/** The row of a food, or undefined where the table has none. */
export const jobsOf = (food: string): FoodJobs | undefined => ROW_OF.get(food)

/** Where a child is not there yet for a step, the job of the first band that is surely behind it. */
const SURE_FROM = [24, 60] as const

/**
 * A gentle job with one of these foods for a child who takes no part in a step because of its age.
 * @param months age in completed months
 * @returns null under two years, or where no food is in the table
 */
export function gentleJob(foods: readonly string[], months: number): string | null {
  const band = SURE_FROM.reduce((at, from, i) => (months >= from ? i : at), -1)
  for (const food of foods) {
    const job = band < 0 ? undefined : jobsOf(food)?.byBand[band]
    if (job) return job
  }
  return null
}
