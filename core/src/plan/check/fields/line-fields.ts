/** Fields of bowls, of their lines, and of how much is made. */
import type { Tin } from '../../../amount/packs'
import type { Make } from '../../../recipe/make'
import type { Bowl, EachSize, Measured, PlanLine, ScoopPart } from '../../model/line'
import type { BatchChoice, Making } from '../../model/making'
import {
  fields,
  flagField,
  kinds,
  listField,
  maybe,
  nameField,
  numberField,
  orNone,
  textValue,
  told,
  wordField,
  trueField,
} from './shape'

const scoopPart = fields<ScoopPart>({
  measure: textValue,
  name: textValue,
  size: textValue,
  unit: textValue,
  n: numberField,
})
export const measuredShape = kinds<Measured, 'by'>('by', {
  scoop: {
    parts: listField(scoopPart),
    n: numberField,
    errPct: textValue,
    any: maybe(trueField),
    jug: maybe(trueField),
    pinned: maybe(trueField),
    because: maybe(textValue),
  },
  pieces: { n: numberField, text: maybe(textValue) },
  weight: { text: textValue, why: textValue, because: maybe(textValue), lack: maybe(trueField) },
})
const line = fields<PlanLine>({
  id: textValue,
  line: textValue,
  food: textValue,
  name: textValue,
  role: nameField(),
  amount: textValue,
  unit: textValue,
  text: textValue,
  swappedFrom: maybe(textValue),
  method: maybe(textValue),
  prep: maybe(textValue),
  variety: maybe(textValue),
  shape: maybe(textValue),
  byEye: maybe(nameField()),
  each: maybe(
    fields<NonNullable<PlanLine['each']>>({
      amount: textValue,
      text: textValue,
      sizes: maybe(
        listField(fields<EachSize>({ children: listField(textValue), amount: textValue, text: textValue })),
      ),
    }),
  ),
  takers: maybe(fields<NonNullable<PlanLine['takers']>>({ n: numberField, of: numberField })),
  only: maybe(wordField('apart', 'rest')),
  recipeText: textValue,
  also: maybe(fields<NonNullable<PlanLine['also']>>({ text: textValue, source: textValue })),
})
export const bowlShape = fields<Bowl>({
  id: textValue,
  name: textValue,
  children: listField(textValue),
  factor: textValue,
  lines: listField(line),
})

const tin = told<Tin>('shape')
const make = kinds<Make, 'by'>('by', {
  children: { more: numberField },
  portions: { portions: textValue },
  pieces: { pieces: numberField },
  batches: { batches: textValue },
  tin: { tin },
  cases: { cases: numberField, mL: textValue, fill: textValue },
})
const batchChoice = fields<BatchChoice>({
  batches: textValue,
  makes: textValue,
  left: textValue,
  eggs: textValue,
  chosen: flagField,
})
export const makingShape = fields<Making>({
  make,
  factor: textValue,
  portions: textValue,
  left: textValue,
  batches: listField(batchChoice),
  pieces: orNone(fields<{ what: string; n: number }>({ what: textValue, n: numberField })),
  oven: orNone(
    fields<NonNullable<Making['oven']>>({
      trayloads: numberField,
      batches: numberField,
      lastBatchPieces: numberField,
      minutes: textValue,
    }),
  ),
  tins: listField(
    fields<Making['tins'][number]>({ tin: maybe(tin), name: textValue, fills: textValue, near: flagField }),
  ),
  cases: listField(
    fields<Making['cases'][number]>({
      name: textValue,
      n: numberField,
      tins: numberField,
      estimated: flagField,
    }),
  ),
  refused: orNone(textValue),
})
