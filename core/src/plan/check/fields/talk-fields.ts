/** Fields of what is said of a step. */
import type { Fact } from '../../../learn/facts'
import type { StepWord } from '../../../learn/glossary'
import type { Prompt } from '../../../learn/prompts'
import type { Ask, StepTalk, Uncovered } from '../../model/step-talk'
import { fields, listField, maybe, nameField, orNone, textValue, told, wordField } from './shape'

const fact = told<Fact>('kind')
const stepWord = told<StepWord>('word')
const ask = fields<Ask>({
  child: orNone(textValue),
  target: textValue,
  also: maybe(listField(textValue)),
  level: nameField(),
  says: textValue,
  answer: textValue,
  why: nameField(),
  line: maybe(textValue),
  key: maybe(textValue),
  rungs: maybe(listField(fields<NonNullable<Ask['rungs']>[number]>({ level: nameField(), says: textValue }))),
  task: maybe(textValue),
  kind: maybe(nameField()),
})
const factOfBowl = fields<NonNullable<StepTalk['facts']>[number]>({
  bowl: textValue,
  fact,
  task: maybe(textValue),
})
/** What is said of one step. */
export const talkShape = fields<StepTalk>({
  step: textValue,
  fact: orNone(fact),
  child: orNone(textValue),
  prompts: maybe(listField(told<Prompt>('says'))),
  start: maybe(nameField()),
  words: listField(stepWord),
  pair: maybe(listField(stepWord)),
  idea: maybe(textValue),
  ideas: maybe(listField(fields<NonNullable<StepTalk['ideas']>[number]>({ id: textValue, says: textValue }))),
  facts: maybe(listField(factOfBowl)),
  tell: maybe(fact),
  beside: maybe(listField(factOfBowl)),
  asks: maybe(listField(ask)),
})
export const uncoveredShape = fields<Uncovered>({
  kind: wordField('child', 'week', 'due'),
  child: maybe(textValue),
  target: maybe(textValue),
  why: textValue,
})
