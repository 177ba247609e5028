/** Events of the table as they cross a boundary: each kind with its own body; a field that does not belong there is refused. */
import * as yup from 'yup'
import { HOWS } from '../../craft/skills'
import { TECHNIQUES } from '../../craft/techniques'
import { SUPPORT_LEVELS } from '../../learn/levels'
import { ANSWERS } from '../../learn/marks'
import { TARGETS } from '../../learn/targets'
import { LOOK_DAY_MOST } from '../../recipe/kinds/growing'
import { MAX_CHILDREN } from '../../plan/model/request'
import {
  GATES,
  INCIDENTS,
  KEPT_PLACES,
  MET,
  SCRAP_WAYS,
  TASTES,
  THUMBS,
  type TableEvent,
} from '../../session/event'
import {
  type Parts,
  byKind,
  isoDate,
  isoTime,
  id,
  ids,
  line,
  listOf,
  oneOf,
  required,
  uuid,
  whole,
} from '../text'

const word = (label: string) => required(label, 300)
const celsius = yup
  .number()
  .typeError('Temperature must be a number')
  .min(-60, 'Temperature must be at least -60 °C')
  .max(400, 'Temperature may be at most 400 °C')
  .required('Temperature is missing')

/** What every event has, whatever its kind. */
const common = {
  id: uuid('Event id'),
  device: required('Device', 60),
  lamport: whole('Lamport number', 0, 1_000_000_000),
  at: isoTime('Time'),
  /** Who was signed in: of an archive; what a device says of it counts for nothing. */
  by: line('Signed in', 120)
    .optional()
    .transform((value: unknown) => value ?? undefined),
}
/** An event whose body has these fields. */
const having = <S extends yup.ObjectShape>(fields: S) =>
  yup.object({ ...common, body: yup.object(fields).required('Event body is missing') })

const eventParts: Parts<TableEvent, 'kind'> = {
  begin: having({}),
  finish: having({}),
  reopen: having({ reason: required('Reason', 400) }),
  gate: having({
    gate: oneOf(GATES, 'Gate'),
    step: line('Step', 120).optional(),
    by: listOf(id('Adult'), 'By', 4, 1),
    foods: listOf(line('Food', 120), 'Foods', 80).optional().default(undefined),
    children: listOf(id('Child'), 'Children', MAX_CHILDREN).optional().default(undefined),
  }),
  step: having({ step: word('Step') }),
  turn: having({ turn: word('Turn'), child: word('Child') }),
  skip: having({ turn: word('Turn'), child: word('Child') }),
  undo: having({ event: uuid('Event') }),
  timer: having({
    name: word('Timer'),
    seconds: whole('Seconds', 1, 86400),
    every: whole('Every', 5, 86400).optional(),
  }),
  'timer-seen': having({ timer: uuid('Timer'), round: whole('Round', 1, 20000).optional() }),
  note: having({ text: required('Note', 500), child: line('Child', 120).optional() }),
  skill: having({
    child: word('Child'),
    technique: oneOf(
      TECHNIQUES.map((t) => t.id),
      'Technique',
    ),
    how: oneOf(HOWS, 'How it went'),
  }),
  taste: having({ child: word('Child'), taste: oneOf(TASTES, 'Taste') }),
  talk: having({
    child: word('Child'),
    target: oneOf(
      TARGETS.map((t) => t.id),
      'Goal',
    ),
    how: oneOf(ANSWERS, 'Answer'),
    level: oneOf(SUPPORT_LEVELS, 'Level'),
    food: line('Food', 120).optional(),
  }),
  memo: having({ lines: listOf(line('Line', 300), 'Lines', 3) }),
  temperature: having({
    what: word('What was measured'),
    food: line('Food', 120).optional(),
    celsius,
    held: whole('Seconds held', 0, 36000),
    by: id('Adult'),
    from: oneOf(['probe', 'typed'] as const, 'Where the reading is from'),
  }),
  incident: having({
    what: oneOf(INCIDENTS, 'What happened'),
    who: listOf(word('Who'), 'Who', MAX_CHILDREN + 12),
    text: line('What happened, in words', 1000),
    done: required('What was done', 1000),
    by: id('Adult'),
  }),
  'incident-seen': having({ incident: uuid('Incident'), by: id('Adult') }),
  met: having({ child: word('Child'), food: word('Food'), how: oneOf(MET, 'How it was met') }),
  took: having({ choice: word('Free choice'), child: word('Child'), lines: ids('Lines', 12) }),
  thumb: having({
    tasting: word('Tasting'),
    child: word('Child'),
    line: word('Taste'),
    food: word('Food'),
    thumb: oneOf(THUMBS, 'Thumb'),
  }),
  'named-taste': having({
    tasting: word('Tasting'),
    child: word('Child'),
    line: word('Taste'),
    named: word('What it was said to be'),
  }),
  look: having({
    day: whole('Day since the sowing', 1, LOOK_DAY_MOST + 2),
    says: line('What was seen', 300).optional(),
    mm: whole('Height in mm', 0, 3000).optional(),
  }),
  'taste-word': having({ word: required('Word', 60), child: line('Child', 120).optional() }),
  guess: having({
    guess: required('Guess', 80),
    child: word('Child'),
    says: required('What is guessed', 60),
  }),
  'guess-seen': having({ guess: required('Guess', 80), truth: required('What it was', 60) }),
  'look-back': having({
    line: required('Line', 60),
    child: line('Child', 120).optional(),
    says: required('What was said', 300),
  }),
  leftover: having({
    what: word('What is left'),
    amount: line('How much', 120),
    place: oneOf(KEPT_PLACES, 'Where it is kept'),
    until: isoDate('Until'),
  }),
  scrap: having({ what: word('Scraps'), to: oneOf(SCRAP_WAYS, 'Where scraps go') }),
  cleaned: having({ job: word('Job'), child: word('Child') }),
}

const eventSchema = byKind<TableEvent, 'kind'>('kind', eventParts, 'Event')
/** A message of events, at most 500. */
export const eventsSchema = yup.object({ events: listOf(eventSchema, 'Events', 500, 1) }).noUnknown()
/** All events of a session, as an archive keeps them. */
export const eventListSchema = listOf(eventSchema, 'Events', 50_000)
