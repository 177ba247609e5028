/** Fields of findings and of what an adult cleared. */
import type { Decision } from '../../model/decision'
import type { Cleared, Finding, Fix, FixAction } from '../../model/finding'
import { fields, kinds, list, maybe, name, text, told, word } from './shape'

/** Its own schema stands where decisions cross a boundary. */
export const decision = told<Decision>('kind')

const action = kinds<FixAction, 'do'>('do', {
  decide: { decision },
  'choose-other': {},
  'read-packet': { food: text, lookFor: list(text) },
  reason: {},
  stand: {},
  'add-adult': {},
  'start-at': { start: text },
})
export const finding = fields<Finding>({
  id: text,
  cause: text,
  grade: word('stop', 'adult', 'know'),
  pass: name(),
  rule: name(),
  subject: fields<Finding['subject']>({
    line: maybe(text),
    step: maybe(text),
    task: maybe(text),
    tool: maybe(text),
    food: maybe(text),
  }),
  touches: list(
    fields<Finding['touches'][number]>({
      child: text,
      about: text,
      level: maybe(text),
      meeting: maybe(name()),
    }),
  ),
  says: text,
  because: text,
  source: text,
  fixes: list(fields<Fix>({ label: text, cost: text, action })),
})
export const cleared = fields<Cleared>({ finding, who: text, why: text, at: maybe(text) })
