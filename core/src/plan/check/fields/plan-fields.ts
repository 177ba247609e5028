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
import { clearedShape, decisionShape, findingShape } from './finding-fields'
import { choiceShape, growsShape, sceneShape, tastingShape } from './choice-fields'
import { bowlShape, makingShape } from './line-fields'
import { costShape, shoppingRowShape } from './shopping-fields'
import { talkShape, uncoveredShape } from './talk-fields'
import { backgroundShape, stepTimeShape, taskShape, turnShape, waitingJobShape } from './task-fields'
import {
  fields,
  flagField,
  kinds,
  listField,
  maybe,
  nameField,
  numberField,
  orNone,
  textValue,
  told,
  wordField,
  trueField,
} from './shape'

const heldUpBy = told<HeldUpBy>('kind')
const about = kinds<NoteSubject, 'kind'>('kind', { work: {}, child: { child: textValue } })
type Totals = Plan['totals']
const totals = fields<Totals>({
  seconds: numberField,
  startsAt: textValue,
  endsAt: textValue,
  spareMinutes: maybe(numberField),
  latestStart: maybe(textValue),
  bound: maybe(fields<NonNullable<Totals['bound']>>({ seconds: numberField, cause: heldUpBy })),
  sittings: numberField,
  perChild: listField(
    fields<Totals['perChild'][number]>({
      child: textValue,
      turns: numberField,
      jobs: numberField,
      longestWait: numberField,
      idle: maybe(numberField),
      idleFilled: maybe(numberField),
    }),
  ),
  buffer: maybe(numberField),
  clearUp: maybe(fields<NonNullable<Totals['clearUp']>>({ start: numberField, end: numberField })),
  standing: maybe(
    listField(
      fields<NonNullable<Totals['standing']>[number]>({
        step: textValue,
        bowl: textValue,
        seconds: numberField,
        most: numberField,
      }),
    ),
  ),
})

const plan = fields<Plan>({
  version: wordField(PLAN_VERSION),
  session: textValue,
  recipe: fields<Plan['recipe']>({
    id: textValue,
    title: textValue,
    serves: numberField,
    pieces: maybe(
      fields<NonNullable<Plan['recipe']['pieces']>>({
        what: textValue,
        n: numberField,
        perTray: maybe(numberField),
        rows: maybe(numberField),
        cols: maybe(numberField),
        from: maybe(textValue),
      }),
    ),
  }),
  children: listField(
    fields<Plan['children'][number]>({
      id: textValue,
      months: numberField,
      ageText: textValue,
      plan: maybe(trueField),
      card: maybe(textValue),
    }),
  ),
  adults: listField(textValue),
  bowls: listField(bowlShape),
  choices: maybe(listField(choiceShape)),
  scenes: maybe(listField(sceneShape)),
  grows: maybe(growsShape),
  tastings: maybe(listField(tastingShape)),
  making: makingShape,
  checks: listField(
    fields<Check>({
      line: textValue,
      child: textValue,
      about: textValue,
      meeting: nameField(),
      contact: maybe(trueField),
    }),
  ),
  swapSet: orNone(
    fields<SwapSet>({
      decisions: listField(decisionShape),
      swaps: listField(fields<SwapSet['swaps'][number]>({ from: textValue, to: orNone(textValue) })),
      stuck: listField(textValue),
      packets: listField(textValue),
    }),
  ),
  hygiene: listField(
    fields<HygieneNote>({
      when: wordField('before', 'order', 'table', 'after'),
      says: textValue,
      source: textValue,
    }),
  ),
  probes: maybe(
    listField(
      fields<Probe>({
        food: textValue,
        name: textValue,
        kind: nameField(),
        country: nameField(),
        after: textValue,
      }),
    ),
  ),
  findings: listField(findingShape),
  cleared: listField(clearedShape),
  tasks: listField(taskShape),
  turns: listField(turnShape),
  schedule: listField(stepTimeShape),
  waitingJobs: maybe(listField(waitingJobShape)),
  background: maybe(listField(backgroundShape)),
  talk: listField(talkShape),
  uncovered: maybe(listField(uncoveredShape)),
  week: maybe(listField(textValue)),
  locale: maybe(nameField()),
  talking: maybe(nameField()),
  linesNot: maybe(listField(textValue)),
  linesKept: maybe(
    listField(fields<NonNullable<Plan['linesKept']>[number]>({ step: textValue, line: textValue })),
  ),
  ownRules: maybe(listField(textValue)),
  watch: listField(
    fields<WatchNote>({
      step: textValue,
      bowl: maybe(textValue),
      grade: wordField('stop', 'adult', 'know'),
      about,
      says: textValue,
      source: textValue,
    }),
  ),
  kit: fields<Plan['kit']>({
    measures: listField(textValue),
    tools: listField(
      fields<KitTool>({
        tool: textValue,
        name: textValue,
        n: numberField,
        where: wordField('place', 'tray', 'adult'),
        jobs: listField(textValue),
        children: maybe(listField(textValue)),
        washed: maybe(textValue),
        laid: flagField,
      }),
    ),
    equipment: listField(textValue),
  }),
  ahead: listField(fields<Plan['ahead'][number]>({ when: textValue, says: textValue })),
  shopping: listField(shoppingRowShape),
  cost: costShape,
  measuring: fields<Plan['measuring']>({ way: nameField(), scooping: wordField('fair', 'quick') }),
  bounds: fields<Plan['bounds']>({ leastTurns: numberField, mostTurns: numberField }),
  totals,
  ineffective: listField(decisionShape),
  digest: textValue,
})

/** @returns the first field that is not what it should be, and what is wrong with it; null where the value is a plan of today's version */
export const planFault = (value: unknown): string | null => plan(value, 'plan')
