/** Fields of free choices, and of pictures that are built. */
import type { ChoiceOffer, PlanChoice, PlanTasting, TastedFood } from '../../model/choice'
import { GROUNDS, SCENE_PLACES, type ScenePart } from '../../../recipe/kinds/scene-parts'
import type { Growing } from '../../../recipe/kinds/kinds'
import type { Plan } from '../../model/plan'
import { fields, flagField, listField, maybe, numberField, textValue, trueField, wordField } from './shape'

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
export const tastingShape = fields<PlanTasting>({
  step: textValue,
  covered: flagField,
  tasters: listField(
    fields<PlanTasting['tasters'][number]>({
      child: textValue,
      tastes: listField(fields<TastedFood>({ line: textValue, food: textValue, name: textValue })),
      covered: maybe(trueField),
    }),
  ),
})
export const growsShape = fields<Growing>({
  what: textValue,
  looks: listField(fields<Growing['looks'][number]>({ day: numberField, says: textValue })),
  measured: maybe(flagField),
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
