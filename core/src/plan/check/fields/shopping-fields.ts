/** Fields of the shopping list and of what it costs. */
import type { Cost, ShoppingRow } from '../../model/shopping-list'
import { fields, flag, list, maybe, name, number, orNone, text, word } from './shape'

export const shoppingRow = fields<ShoppingRow>({
  food: text,
  name: text,
  amount: text,
  unit: text,
  text,
  need: orNone(fields<NonNullable<ShoppingRow['need']>>({ amount: text, unit: text, text, source: text })),
  have: text,
  buy: orNone(
    fields<NonNullable<ShoppingRow['buy']>>({
      text,
      packs: list(
        fields<NonNullable<ShoppingRow['buy']>['packs'][number]>({ size: text, unit: text, n: number, text }),
      ),
      cost: orNone(number),
    }),
  ),
  enough: flag,
  left: orNone(fields<NonNullable<ShoppingRow['left']>>({ text, keeps: text, soon: flag })),
  used: orNone(text),
  got: flag,
  why: text,
})
const cheaper = orNone(word('home', 'ready', 'same'))
export const cost = fields<Cost>({
  currency: name(),
  used: text,
  usedPerPortion: text,
  usedPerChild: text,
  till: number,
  tillPerChild: text,
  unknown: list(text),
  unpaid: maybe(list(text)),
  ready: orNone(
    fields<NonNullable<Cost['ready']>>({
      price: number,
      portions: number,
      perPortion: text,
      byUse: cheaper,
      byPurchase: cheaper,
    }),
  ),
})
