/** Events of the table as they cross a boundary: each kind with its own body; a field that does not belong there is refused. */
import * as yup from 'yup'
import { HOWS } from '../craft/skills'
import { TECHNIQUES } from '../craft/techniques'
import { SUPPORT_LEVELS } from '../learn/levels'
import { ANSWERS } from '../learn/marks'
import { TARGETS } from '../learn/targets'
import { MAX_CHILDREN } from '../plan/model/request'
import {
  EVENT_KINDS,
  GATES,
  INCIDENTS,
  KEPT_PLACES,
  MET,
  SCRAP_WAYS,
  TASTES,
  type EventKind,
} from '../session/event'
import { id, line, listOf, oneOf, required, uuid, whole } from './text'

const word = (label: string) => required(label, 300)
const celsius = yup
  .number()
  .typeError('Temperature must be a number')
  .min(-60, 'Temperature must be at least -60 °C')
  .max(400, 'Temperature may be at most 400 °C')
  .required('Temperature is missing')

const eventBodies: Record<EventKind, yup.ObjectSchema<object>> = {
  begin: yup.object({}),
  finish: yup.object({}),
  gate: yup.object({
    gate: oneOf(GATES, 'Gate'),
    step: line('Step', 120).optional(),
    by: listOf(id('Adult'), 'By', 4, 1),
    foods: listOf(line('Food', 120), 'Foods', 80).optional().default(undefined),
    children: listOf(id('Child'), 'Children', MAX_CHILDREN).optional().default(undefined),
  }),
  step: yup.object({ step: word('Step') }),
  turn: yup.object({ turn: word('Turn'), child: word('Child') }),
  skip: yup.object({ turn: word('Turn'), child: word('Child') }),
  undo: yup.object({ event: uuid('Event') }),
  timer: yup.object({
    name: word('Timer'),
    seconds: whole('Seconds', 1, 86400),
    every: whole('Every', 5, 86400).optional(),
  }),
  'timer-seen': yup.object({ timer: uuid('Timer'), round: whole('Round', 1, 20000).optional() }),
  note: yup.object({ text: required('Note', 500), child: line('Child', 120).optional() }),
  skill: yup.object({
    child: word('Child'),
    technique: oneOf(
      TECHNIQUES.map((t) => t.id),
      'Technique',
    ),
    how: oneOf(HOWS, 'How it went'),
  }),
  taste: yup.object({ child: word('Child'), taste: oneOf(TASTES, 'Taste') }),
  talk: yup.object({
    child: word('Child'),
    target: oneOf(
      TARGETS.map((t) => t.id),
      'Target',
    ),
    how: oneOf(ANSWERS, 'Answer'),
    level: oneOf(SUPPORT_LEVELS, 'Level'),
    food: line('Food', 120).optional(),
  }),
  memo: yup.object({ lines: listOf(line('Line', 300), 'Lines', 3) }),
  temperature: yup.object({
    what: word('What was measured'),
    food: line('Food', 120).optional(),
    celsius,
    held: whole('Seconds held', 0, 36000),
    by: id('Adult'),
    from: oneOf(['probe', 'typed'] as const, 'Where the reading is from'),
  }),
  incident: yup.object({
    what: oneOf(INCIDENTS, 'What happened'),
    who: listOf(word('Who'), 'Who', MAX_CHILDREN + 12),
    text: line('What happened, in words', 1000),
    done: required('What was done', 1000),
    by: id('Adult'),
  }),
  'incident-seen': yup.object({ incident: uuid('Incident'), by: id('Adult') }),
  met: yup.object({ child: word('Child'), food: word('Food'), how: oneOf(MET, 'How it was met') }),
  'taste-word': yup.object({ word: required('Word', 60), child: line('Child', 120).optional() }),
  leftover: yup.object({
    what: word('What is left'),
    amount: line('How much', 120),
    place: oneOf(KEPT_PLACES, 'Where it is kept'),
    until: line('Until', 10).matches(/^\d{4}-\d\d-\d\d$/, 'Until must be a day such as 2026-11-28'),
  }),
  scrap: yup.object({ what: word('Scraps'), to: oneOf(SCRAP_WAYS, 'Where scraps go') }),
  cleaned: yup.object({ job: word('Job'), child: word('Child') }),
}

const eventBody = (kind: unknown): yup.ObjectSchema<object> =>
  typeof kind === 'string' && Object.hasOwn(eventBodies, kind)
    ? eventBodies[kind as EventKind]
    : yup.object({})

/** One event of a table, by its kind. */
export const eventSchema = yup
  .object({
    id: uuid('Event id'),
    device: required('Device', 60),
    lamport: whole('Lamport number', 0, 1_000_000_000),
    at: required('Time', 40),
    kind: oneOf(EVENT_KINDS, 'Event'),
    body: yup
      .object()
      .when('kind', ([kind]) => eventBody(kind))
      .required('Event body is missing'),
  })
  .noUnknown()
/** A message of events, at most 500. */
export const eventsSchema = yup.object({ events: listOf(eventSchema, 'Events', 500, 1) }).noUnknown()
