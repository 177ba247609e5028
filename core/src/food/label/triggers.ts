/** Phrases that open a part of a label, in the languages that are read. Source: core/data/label-words.json, from memory. */
import data from '../../../data/label-words.json'
import { normaliseLabel } from './text'

const phrases = (text: string): string[][] => text.split('|').map((p) => normaliseLabel(p).split(' '))
const T = data.triggers
/** Phrases that open a part of a label: its list, its summary, its warning, its claims. */
export const TRIGGERS = {
  ingredients: phrases(T.ingredients),
  contains: phrases(T.contains),
  may: phrases(T.may),
  whole: phrases(T.whole),
  made: phrases(T.made),
  place: phrases(T.place),
  free: phrases(T.free),
  suitable: phrases(T.suitable),
  stop: phrases(T.stop),
  /** How it is kept, cooked and where it comes from: only where a sentence begins so. */
  how: phrases(T.how),
  /** A claim that stands behind what it is about: "milk free", "دودھ سے پاک". */
  after: phrases(T.after),
} as const
export type Trigger = keyof typeof TRIGGERS
