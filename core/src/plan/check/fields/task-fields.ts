/** Fields of tasks, turns and times. */
import type { Background, StepTime, Task, TaskForm, Turn, WaitingJob } from '../../model/task'
import { measured } from './line-fields'
import { fields, flag, list, maybe, name, number, orNone, text, word, yes } from './shape'

const form = fields<TaskForm>({
  technique: text,
  name: text,
  rung: maybe(text),
  tool: text,
  with: list(text),
  says: text,
  children: list(text),
  supervision: word('B', 'O'),
  perAdult: number,
})
export const task = fields<Task>({
  id: text,
  step: text,
  bowl: text,
  technique: text,
  name: text,
  uses: list(text),
  hand: maybe(orNone(text)),
  handles: list(text),
  forms: list(form),
  barred: list(
    fields<Task['barred'][number]>({
      child: text,
      why: text,
      cause: word('plan', 'touch', 'raw', 'heat', 'age'),
    }),
  ),
  instead: maybe(list(fields<NonNullable<Task['instead']>[number]>({ child: text, job: text }))),
  helps: maybe(list(fields<NonNullable<Task['helps']>[number]>({ child: text, says: text }))),
  rounds: maybe(list(list(text))),
  mode: name(),
  n: number,
  seconds: number,
  place: name(),
  start: maybe(number),
  end: maybe(number),
  hazard: maybe(word('heat', 'blade')),
  adult: maybe(text),
  every: maybe(number),
  shows: maybe(text),
  measured: maybe(measured),
  portion: maybe(fields<NonNullable<Task['portion']>>({ atOnce: number })),
  counts: maybe(fields<NonNullable<Task['counts']>>({ what: text, n: number })),
})
export const turn = fields<Turn>({
  id: text,
  task: text,
  number,
  measure: maybe(text),
  round: maybe(number),
  child: text,
  start: number,
  end: number,
})
export const waitingJob = fields<WaitingJob>({
  child: text,
  step: text,
  sitting: number,
  job: text,
  says: text,
  or: list(text),
  clears: maybe(yes),
  adult: maybe(text),
  start: number,
  end: number,
})
export const background = fields<Background>({
  says: text,
  step: text,
  sitting: number,
  adult: maybe(text),
  start: number,
  seconds: number,
  ready: number,
  at: text,
})
export const stepTime = fields<StepTime>({
  step: text,
  title: text,
  picture: text,
  says: maybe(text),
  sitting: number,
  start: number,
  seconds: number,
  at: text,
  passive: flag,
  place: name(),
})
