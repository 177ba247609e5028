/** Fields of free choices. */
import type { ChoiceOffer, PlanChoice } from '../../model/choice'
import { fields, listField, maybe, numberField, textValue, trueField } from './shape'

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
