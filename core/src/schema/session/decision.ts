/** Decisions as they cross a boundary. */
import * as yup from 'yup'
import type { Decision } from '../../plan/model/decision'
import { LINE_KINDS } from '../../learn/line/line'
import { MAX_CHILDREN } from '../../plan/model/request'
import { ROUNDS_MOST } from '../../recipe/kinds/kinds'
import { HEAT_PLACES } from '../../recipe/heat-places'
import { makeSchema, measuringSchema, waysSchema } from '../amounts'
import { allergenWords } from '../allergen'
import { type Parts, byKind, id, ids, line, listOf, oneOf, required, maybeWhole, whole } from '../text'

const HEAT_IDS = HEAT_PLACES.map((p) => p.id)

const decisionParts: Parts<Decision, 'kind'> = {
  swap: yup.object({ line: id('Line'), swap: required('Swap', 120) }),
  'leave-out': yup.object({ line: id('Line') }),
  chooses: yup.object({ choice: id('Free choice'), child: id('Child'), lines: ids('Lines', 12) }),
  apart: yup.object({
    children: ids('Children', MAX_CHILDREN),
    swaps: listOf(yup.object({ line: id('Line'), swap: required('Swap', 120) }).noUnknown(), 'Swaps', 40),
  }),
  shape: yup.object({ line: id('Line'), shape: required('Shape', 60) }),
  measure: yup.object({ line: id('Line'), measure: id('Measure') }),
  scoops: yup.object({ task: required('Task', 200), ways: waysSchema }),
  scooping: yup.object({ way: oneOf(['fair', 'quick'] as const, 'Scooping') }),
  measuring: yup.object({ way: measuringSchema }),
  make: yup.object({ make: makeSchema }),
  got: yup.object({ food: id('Food'), buy: line('What was bought', 300) }),
  packet: yup.object({
    food: id('Food'),
    lists: listOf(allergenWords('Allergen'), 'Lists', 60),
    may: listOf(allergenWords('Allergen'), 'May contain', 60),
    lookedFor: listOf(allergenWords('Allergen'), 'Looked for', 120),
    readBy: listOf(id('Adult'), 'Read by (two adults, or one twice)', 2, 2),
    at: required('Time', 40),
    packet: line('Packet', 60).optional(),
    text: line('Text of the packet', 6000).optional(),
    open: listOf(line('Word', 200), 'Words to ask about', 200).optional().default(undefined),
  }),
  pin: yup.object({
    task: required('Task', 200),
    child: id('Child'),
    number: maybeWhole('Turn', 1, 500),
  }),
  stands: yup.object({ task: required('Task', 200), adult: id('Adult') }),
  move: yup.object({ step: id('Step'), before: id('Step') }),
  place: yup.object({ from: oneOf(HEAT_IDS, 'Place'), to: oneOf(HEAT_IDS, 'Place') }),
  laid: yup.object({ tool: id('Tool'), n: whole('How many', 1, 60) }),
  'adult-does': yup.object({ task: required('Task', 200) }),
  'two-sittings': yup.object({ after: id('Step') }),
  'open-eyes': yup.object({ step: id('Step') }),
  rounds: yup.object({ step: id('Step'), times: whole('How often it goes round', 1, ROUNDS_MOST) }),
  idea: yup.object({ step: id('Step'), idea: required('Idea', 120) }),
  ask: yup.object({ step: id('Step'), child: id('Child') }),
  quiet: yup.object({ step: id('Step') }),
  'own-prompt': yup.object({
    step: id('Step'),
    child: yup.string().nullable().max(120).default(null),
    says: required('What to say', 240),
    answer: line('Answer', 120),
    line: yup
      .string()
      .oneOf([...LINE_KINDS], `Sort of line must be one of: ${LINE_KINDS.join(', ')}`)
      .optional(),
  }),
  line: yup.object({
    step: id('Step'),
    line: required('Line', 60),
    use: oneOf(['not', 'keep'] as const, 'Use'),
  }),
  clear: yup.object({
    finding: required('Finding', 200),
    cause: required('Cause', 40),
    who: id('Adult'),
    why: required('Reason', 400),
    at: line('Time', 40).optional(),
  }),
}

/** One decision of a session, by its kind. */
export const decisionSchema = byKind<Decision, 'kind'>('kind', decisionParts, 'Decision')
/** All decisions of a session. */
export const decisionListSchema = listOf(decisionSchema, 'Decisions', 400)
