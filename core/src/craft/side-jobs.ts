/**
 * What a child does instead, and meanwhile: the neighbour job of a technique that is not for this age yet, and jobs that are
 * always there for those who would wait. None of them needs a blade or heat.
 * Source: common practice (age-skill-safety A1, B, F2: a side job while waiting), from memory.
 */
import type { Technique } from './techniques'

export interface BesideJob {
  job: string
  /** It touches the food of the step: not for a child who must not. */
  touches: boolean
}

interface Row extends BesideJob {
  fromMonths: number
}

/** By kind of work: the part of it that small hands can take. The one for the oldest age stands first. */
const BY_KIND: Readonly<Record<string, readonly Row[]>> = {
  blade: [
    { job: 'lays the cut pieces in rows', touches: true, fromMonths: 18 },
    { job: 'counts the pieces aloud', touches: false, fromMonths: 30 },
  ],
  heat: [{ job: 'watches from behind the line and says what changes', touches: false, fromMonths: 24 }],
  egg: [{ job: 'carries the empty cups to the table', touches: false, fromMonths: 24 }],
  measure: [
    { job: 'says stop when it is level', touches: false, fromMonths: 30 },
    { job: 'pours the pre-measured pot', touches: true, fromMonths: 18 },
  ],
  mix: [{ job: 'holds the bowl with two hands', touches: false, fromMonths: 18 }],
  hands: [{ job: 'pats and pokes a piece of its own', touches: true, fromMonths: 18 }],
  cut: [{ job: 'presses and pats the next piece', touches: true, fromMonths: 18 }],
}
/** Where nothing else fits, also for a child that must not touch what is there. */
const ALWAYS: readonly Row[] = [
  { job: 'turns the sand timer and says when it is through', touches: false, fromMonths: 42 },
  { job: 'holds up the picture of the step', touches: false, fromMonths: 18 },
]

const kindOf = (technique: Technique): string =>
  /egg/.test(technique.id) ? 'egg' : (technique.hazard ?? technique.family)

/**
 * The neighbour job for a child that takes no part in a technique.
 * @param months age in completed months
 * @param mayTouch the child may handle the food of the step
 * @returns null where the child is too young for any: it sits with its adult
 */
export function sideJob(technique: Technique, months: number, mayTouch: boolean): BesideJob | null {
  const own: Row[] = technique.neighbour
    ? [
        {
          job: technique.neighbour.job,
          touches: !technique.hazard,
          fromMonths: technique.neighbour.fromMonths,
        },
      ]
    : []
  const found = [...own, ...(BY_KIND[kindOf(technique)] ?? []), ...ALWAYS].find(
    (r) => months >= r.fromMonths && (mayTouch || !r.touches),
  )
  return found ? { job: found.job, touches: found.touches } : null
}

export interface SideJob {
  id: string
  job: string
  /** The technique whose ages and supervision hold, or else the age in completed months. */
  technique?: string
  fromMonths?: number
  /** Children at it at once, and how often in a session; no limit where it is not said. */
  places?: number
  once?: true
  /** Needs a place at the sink. */
  sink?: true
  /** Only while the table is free: in a wait for the oven, or at the end. */
  freeTable?: true
  /** Touches what was left over of the food. */
  touches?: true
  /** Belongs to clearing up. */
  clears?: true
  /** With washed hands only. */
  clean?: true
  /** It takes at least so many seconds to be worth it. */
  least: number
}

/** Jobs for those who would wait, the useful ones first. */
export const FILLER_JOBS: readonly SideJob[] = [
  {
    id: 'wash-up',
    job: 'wash up',
    technique: 'wash-up',
    places: 2,
    sink: true,
    clears: true,
    least: 120,
  },
  {
    id: 'dry',
    job: 'dry and put away',
    technique: 'dry-put-away',
    places: 2,
    clears: true,
    least: 120,
  },
  {
    id: 'wipe',
    job: 'wipe the table',
    technique: 'wipe-table',
    places: 2,
    once: true,
    freeTable: true,
    clears: true,
    least: 60,
  },
  {
    id: 'scraps',
    job: 'sort the scraps',
    technique: 'sort-scraps',
    places: 2,
    once: true,
    touches: true,
    clears: true,
    least: 60,
  },
  {
    id: 'sweep',
    job: 'sweep the floor',
    technique: 'sweep',
    places: 1,
    once: true,
    freeTable: true,
    clears: true,
    least: 60,
  },
  {
    id: 'lay',
    job: 'lay the table for tasting',
    technique: 'lay-table',
    places: 2,
    once: true,
    clean: true,
    least: 60,
  },
  { id: 'labels', job: 'draw the labels', fromMonths: 42, places: 3, once: true, least: 120 },
  { id: 'order', job: 'put the picture cards of the recipe in order', fromMonths: 36, places: 2, least: 60 },
  { id: 'count', job: 'count the spoons and bowls', fromMonths: 30, places: 2, least: 60, clean: true },
  { id: 'draw', job: 'draw the recipe so far', fromMonths: 24, least: 60 },
  { id: 'book', job: 'look at the picture book', fromMonths: 12, least: 30 },
]
