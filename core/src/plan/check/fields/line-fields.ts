/** Fields of bowls, of their lines, and of how much is made. */
import type { Tin } from '../../../amount/packs'
import type { Make } from '../../../recipe/make'
import type { Bowl, Measured, PlanLine, ScoopPart } from '../../model/line'
import type { BatchChoice, Making } from '../../model/making'
import { fields, flag, kinds, list, maybe, name, number, orNone, text, told, word, yes } from './shape'

const scoopPart = fields<ScoopPart>({ measure: text, name: text, size: text, unit: text, n: number })
export const measured = kinds<Measured, 'by'>('by', {
  scoop: {
    parts: list(scoopPart),
    n: number,
    errPct: text,
    any: maybe(yes),
    pinned: maybe(yes),
    because: maybe(text),
  },
  pieces: { n: number },
  weight: { text, why: text, because: maybe(text), lack: maybe(yes) },
})
const line = fields<PlanLine>({
  id: text,
  line: text,
  food: text,
  name: text,
  role: name(),
  amount: text,
  unit: text,
  text,
  swappedFrom: maybe(text),
  method: maybe(text),
  prep: maybe(text),
  shape: maybe(text),
  byEye: maybe(name()),
  each: maybe(fields<NonNullable<PlanLine['each']>>({ amount: text, text })),
  only: maybe(word('apart', 'rest')),
  recipeText: text,
  also: maybe(fields<NonNullable<PlanLine['also']>>({ text, source: text })),
})
export const bowl = fields<Bowl>({
  id: text,
  name: text,
  children: list(text),
  factor: text,
  lines: list(line),
})

const tin = told<Tin>('shape')
const make = kinds<Make, 'by'>('by', {
  children: { more: number },
  portions: { portions: text },
  pieces: { pieces: number },
  batches: { batches: text },
  tin: { tin },
  cases: { cases: number, mL: text, fill: text },
})
const batchChoice = fields<BatchChoice>({ batches: text, makes: text, left: text, eggs: text, chosen: flag })
export const making = fields<Making>({
  make,
  factor: text,
  portions: text,
  left: text,
  batches: list(batchChoice),
  pieces: orNone(fields<{ what: string; n: number }>({ what: text, n: number })),
  oven: orNone(
    fields<NonNullable<Making['oven']>>({
      trayloads: number,
      batches: number,
      lastBatchPieces: number,
      minutes: text,
    }),
  ),
  tins: list(fields<Making['tins'][number]>({ tin: maybe(tin), name: text, fills: text, near: flag })),
  cases: list(fields<Making['cases'][number]>({ name: text, n: number, tins: number, estimated: flag })),
  refused: orNone(text),
})
