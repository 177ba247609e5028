/** Fields of free choices, and of pictures that are built. */
import type { ChoiceOffer, PlanChoice } from '../../model/choice'
import { GROUNDS, SCENE_PLACES, type ScenePart } from '../../../recipe/kinds/scene-parts'
import type { Plan } from '../../model/plan'
import { fields, listField, maybe, numberField, textValue, trueField, wordField } from './shape'

const offer = fields<ChoiceOffer>({
  child: textValue,
  lines: listField(textValue),
  atOnce: numberField,
  picks: listField(textValue),
  settled: maybe(trueField),
  not: listField(fields<ChoiceOffer['not'][number]>({ line: textValue, why: textValue })),
})
export const choiceShape = fields<PlanChoice>({
  id: textValue,
  what: textValue,
  step: textValue,
  take: numberField,
  lines: listField(
    fields<PlanChoice['lines'][number]>({ line: textValue, food: textValue, name: textValue }),
  ),
  offers: listField(offer),
})
export const sceneShape = fields<NonNullable<Plan['scenes']>[number]>({
  step: textValue,
  of: textValue,
  on: wordField(...GROUNDS),
  parts: listField(
    fields<ScenePart>({
      what: textValue,
      at: wordField(...SCENE_PLACES),
      n: numberField,
      lines: listField(textValue),
    }),
  ),
})
