/** Fields of findings and of what an adult cleared. */
import type { Decision } from '../../model/decision'
import type { Cleared, Finding, Fix, FixAction } from '../../model/finding'
import { fields, kinds, listField, maybe, nameField, textValue, told, wordField } from './shape'

/** Its own schema stands where decisions cross a boundary. */
export const decisionShape = told<Decision>('kind')

const action = kinds<FixAction, 'do'>('do', {
  decide: { decision: decisionShape },
  'choose-other': {},
  'read-packet': { food: textValue, lookFor: listField(textValue) },
  reason: {},
  stand: {},
  'add-adult': {},
  'start-at': { start: textValue },
})
export const findingShape = fields<Finding>({
  id: textValue,
  cause: textValue,
  grade: wordField('stop', 'adult', 'know'),
  pass: nameField(),
  rule: nameField(),
  subject: fields<Finding['subject']>({
    line: maybe(textValue),
    step: maybe(textValue),
    task: maybe(textValue),
    tool: maybe(textValue),
    food: maybe(textValue),
  }),
  touches: listField(
    fields<Finding['touches'][number]>({
      child: textValue,
      about: textValue,
      level: maybe(textValue),
      meeting: maybe(nameField()),
    }),
  ),
  says: textValue,
  because: textValue,
  source: textValue,
  fixes: listField(fields<Fix>({ label: textValue, cost: textValue, how: maybe(textValue), action })),
})
export const clearedShape = fields<Cleared>({
  finding: findingShape,
  who: textValue,
  why: textValue,
  at: maybe(textValue),
})
