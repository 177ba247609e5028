/** Fields of tasks, turns and times. */
import type { Background, StepTime, Task, TaskForm, Turn, WaitingJob } from '../../model/task'
import { measuredShape } from './line-fields'
import {
  fields,
  flagField,
  listField,
  maybe,
  nameField,
  numberField,
  orNone,
  textValue,
  wordField,
  trueField,
} from './shape'

const form = fields<TaskForm>({
  technique: textValue,
  name: textValue,
  rung: maybe(textValue),
  tool: textValue,
  with: listField(textValue),
  says: textValue,
  children: listField(textValue),
  supervision: wordField('B', 'O'),
  perAdult: numberField,
})
export const taskShape = fields<Task>({
  id: textValue,
  step: textValue,
  bowl: textValue,
  technique: textValue,
  name: textValue,
  uses: listField(textValue),
  hand: maybe(orNone(textValue)),
  handles: listField(textValue),
  forms: listField(form),
  barred: listField(
    fields<Task['barred'][number]>({
      child: textValue,
      why: textValue,
      cause: wordField('plan', 'touch', 'raw', 'heat', 'age'),
    }),
  ),
  instead: maybe(
    listField(fields<NonNullable<Task['instead']>[number]>({ child: textValue, job: textValue })),
  ),
  helps: maybe(listField(fields<NonNullable<Task['helps']>[number]>({ child: textValue, says: textValue }))),
  rounds: maybe(listField(listField(textValue))),
  mode: nameField(),
  n: numberField,
  seconds: numberField,
  place: nameField(),
  start: maybe(numberField),
  end: maybe(numberField),
  hazard: maybe(wordField('heat', 'blade')),
  adult: maybe(textValue),
  every: maybe(numberField),
  shows: maybe(textValue),
  measured: maybe(measuredShape),
  joins: maybe(textValue),
  size: maybe(numberField),
  passes: maybe(
    fields<NonNullable<Task['passes']>>({
      round: numberField,
      of: numberField,
      order: listField(textValue),
      asks: textValue,
      answers: textValue,
      from: maybe(fields<{ child: string; round: number }>({ child: textValue, round: numberField })),
    }),
  ),
  portion: maybe(fields<NonNullable<Task['portion']>>({ atOnce: numberField })),
  counts: maybe(fields<NonNullable<Task['counts']>>({ what: textValue, n: numberField })),
})
export const turnShape = fields<Turn>({
  id: textValue,
  task: textValue,
  number: numberField,
  measure: maybe(textValue),
  round: maybe(numberField),
  child: textValue,
  start: numberField,
  end: numberField,
})
export const waitingJobShape = fields<WaitingJob>({
  child: textValue,
  step: textValue,
  sitting: numberField,
  job: textValue,
  says: textValue,
  or: listField(textValue),
  clears: maybe(trueField),
  adult: maybe(textValue),
  start: numberField,
  end: numberField,
})
export const backgroundShape = fields<Background>({
  says: textValue,
  step: textValue,
  sitting: numberField,
  adult: maybe(textValue),
  start: numberField,
  seconds: numberField,
  ready: numberField,
  at: textValue,
})
export const stepTimeShape = fields<StepTime>({
  step: textValue,
  title: textValue,
  picture: textValue,
  says: maybe(textValue),
  sitting: numberField,
  start: numberField,
  seconds: numberField,
  at: textValue,
  passive: flagField,
  place: nameField(),
})
