/** Fields of the shopping list and of what it costs. */
import type { Cost, ShoppingRow } from '../../model/shopping-list'
import {
  fields,
  flagField,
  listField,
  maybe,
  nameField,
  numberField,
  orNone,
  textValue,
  wordField,
} from './shape'

export const shoppingRowShape = fields<ShoppingRow>({
  food: textValue,
  name: textValue,
  amount: textValue,
  unit: textValue,
  text: textValue,
  need: orNone(
    fields<NonNullable<ShoppingRow['need']>>({
      amount: textValue,
      unit: textValue,
      text: textValue,
      source: textValue,
    }),
  ),
  have: textValue,
  buy: orNone(
    fields<NonNullable<ShoppingRow['buy']>>({
      text: textValue,
      packs: listField(
        fields<NonNullable<ShoppingRow['buy']>['packs'][number]>({
          size: textValue,
          unit: textValue,
          n: numberField,
          text: textValue,
        }),
      ),
      cost: orNone(numberField),
    }),
  ),
  enough: flagField,
  left: orNone(
    fields<NonNullable<ShoppingRow['left']>>({ text: textValue, keeps: textValue, soon: flagField }),
  ),
  used: orNone(textValue),
  got: flagField,
  why: textValue,
})
const cheaper = orNone(wordField('home', 'ready', 'same'))
export const costShape = fields<Cost>({
  currency: nameField(),
  used: textValue,
  usedPerPortion: textValue,
  usedPerChild: textValue,
  till: numberField,
  tillPerChild: textValue,
  unknown: listField(textValue),
  unpaid: maybe(listField(textValue)),
  ready: orNone(
    fields<NonNullable<Cost['ready']>>({
      price: numberField,
      portions: numberField,
      perPortion: textValue,
      byUse: cheaper,
      byPurchase: cheaper,
    }),
  ),
})
