/** Every field of a plan: what comes from outside, from an archive, is held to it before it is kept. */
import type { Probe } from '../../../food/core-temperature'
import {
  type Check,
  type HeldUpBy,
  type HygieneNote,
  type KitTool,
  type NoteSubject,
  PLAN_VERSION,
  type Plan,
  type SwapSet,
  type WatchNote,
} from '../../model/plan'
import { cleared, decision, finding } from './finding-fields'
import { bowl, making } from './line-fields'
import { cost, shoppingRow } from './shopping-fields'
import { talk, uncovered } from './talk-fields'
import { background, stepTime, task, turn, waitingJob } from './task-fields'
import { fields, flag, kinds, list, maybe, name, number, orNone, text, told, word, yes } from './shape'

const heldUpBy = told<HeldUpBy>('kind')
const about = kinds<NoteSubject, 'kind'>('kind', { work: {}, child: { child: text } })
type Totals = Plan['totals']
const totals = fields<Totals>({
  seconds: number,
  startsAt: text,
  endsAt: text,
  spareMinutes: maybe(number),
  latestStart: maybe(text),
  bound: maybe(fields<NonNullable<Totals['bound']>>({ seconds: number, cause: heldUpBy })),
  sittings: number,
  perChild: list(
    fields<Totals['perChild'][number]>({
      child: text,
      turns: number,
      jobs: number,
      longestWait: number,
      idle: maybe(number),
      idleFilled: maybe(number),
    }),
  ),
  buffer: maybe(number),
  clearUp: maybe(fields<NonNullable<Totals['clearUp']>>({ start: number, end: number })),
  standing: maybe(
    list(
      fields<NonNullable<Totals['standing']>[number]>({
        step: text,
        bowl: text,
        seconds: number,
        most: number,
      }),
    ),
  ),
})

const plan = fields<Plan>({
  version: word(PLAN_VERSION),
  session: text,
  recipe: fields<Plan['recipe']>({
    id: text,
    title: text,
    serves: number,
    pieces: maybe(
      fields<NonNullable<Plan['recipe']['pieces']>>({
        what: text,
        n: number,
        perTray: maybe(number),
        rows: maybe(number),
        cols: maybe(number),
        from: maybe(text),
      }),
    ),
  }),
  children: list(
    fields<Plan['children'][number]>({
      id: text,
      months: number,
      ageText: text,
      plan: maybe(yes),
      card: maybe(text),
    }),
  ),
  adults: list(text),
  bowls: list(bowl),
  making,
  checks: list(fields<Check>({ line: text, child: text, about: text, meeting: name(), contact: maybe(yes) })),
  swapSet: orNone(
    fields<SwapSet>({
      decisions: list(decision),
      swaps: list(fields<SwapSet['swaps'][number]>({ from: text, to: orNone(text) })),
      stuck: list(text),
      packets: list(text),
    }),
  ),
  hygiene: list(
    fields<HygieneNote>({ when: word('before', 'order', 'table', 'after'), says: text, source: text }),
  ),
  probes: maybe(list(fields<Probe>({ food: text, name: text, kind: name(), country: name(), after: text }))),
  findings: list(finding),
  cleared: list(cleared),
  tasks: list(task),
  turns: list(turn),
  schedule: list(stepTime),
  waitingJobs: maybe(list(waitingJob)),
  background: maybe(list(background)),
  talk: list(talk),
  uncovered: maybe(list(uncovered)),
  week: maybe(list(text)),
  locale: maybe(name()),
  talking: maybe(name()),
  linesNot: maybe(list(text)),
  linesKept: maybe(list(fields<NonNullable<Plan['linesKept']>[number]>({ step: text, line: text }))),
  ownRules: maybe(list(text)),
  watch: list(
    fields<WatchNote>({
      step: text,
      bowl: maybe(text),
      grade: word('stop', 'adult', 'know'),
      about,
      says: text,
      source: text,
    }),
  ),
  kit: fields<Plan['kit']>({
    measures: list(text),
    tools: list(
      fields<KitTool>({
        tool: text,
        name: text,
        n: number,
        where: word('place', 'tray', 'adult'),
        jobs: list(text),
        children: maybe(list(text)),
        washed: maybe(text),
        laid: flag,
      }),
    ),
    equipment: list(text),
  }),
  ahead: list(fields<Plan['ahead'][number]>({ when: text, says: text })),
  shopping: list(shoppingRow),
  cost,
  measuring: fields<Plan['measuring']>({ way: name(), scooping: word('fair', 'quick') }),
  bounds: fields<Plan['bounds']>({ leastTurns: number, mostTurns: number }),
  totals,
  ineffective: list(decision),
  digest: text,
})

/** @returns the first field that is not what it should be, and what is wrong with it; null where the value is a plan of today's version */
export const planFault = (value: unknown): string | null => plan(value, 'plan')
