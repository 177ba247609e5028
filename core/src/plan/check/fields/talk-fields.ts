/** Fields of what is said of a step. */
import type { Fact } from '../../../learn/facts'
import type { StepWord } from '../../../learn/glossary'
import type { Prompt } from '../../../learn/prompts'
import type { Ask, StepTalk, Uncovered } from '../../model/step-talk'
import { fields, list, maybe, name, orNone, text, told, word } from './shape'

const fact = told<Fact>('kind')
const stepWord = told<StepWord>('word')
const ask = fields<Ask>({
  child: orNone(text),
  target: text,
  also: maybe(list(text)),
  level: name(),
  says: text,
  answer: text,
  why: name(),
  line: maybe(text),
  key: maybe(text),
  rungs: maybe(list(fields<NonNullable<Ask['rungs']>[number]>({ level: name(), says: text }))),
  task: maybe(text),
  kind: maybe(name()),
})
const factOfBowl = fields<NonNullable<StepTalk['facts']>[number]>({ bowl: text, fact, task: maybe(text) })
export const talk = fields<StepTalk>({
  step: text,
  fact: orNone(fact),
  child: orNone(text),
  prompts: maybe(list(told<Prompt>('says'))),
  start: maybe(name()),
  words: list(stepWord),
  pair: maybe(list(stepWord)),
  idea: maybe(text),
  ideas: maybe(list(fields<NonNullable<StepTalk['ideas']>[number]>({ id: text, says: text }))),
  facts: maybe(list(factOfBowl)),
  tell: maybe(fact),
  beside: maybe(list(factOfBowl)),
  asks: maybe(list(ask)),
})
export const uncovered = fields<Uncovered>({
  kind: word('child', 'week', 'due'),
  child: maybe(text),
  target: maybe(text),
  why: text,
})
