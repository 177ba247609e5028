/**
 * Additives by number: "E220", "E 220", "E-220", and "220" after the name of their class. Source: Regulation (EC) 1333/2008 and the food
 * standards code of Australia and New Zealand, which prints the number alone; from memory.
 */
import { remembered } from '../../amount/memo'

/** Class names in the languages that are read, as their words begin (normalised). */
const CLASSES =
  /^(preservativ|preserver|conservat|conservant|conservan|conserveer|konserv|koruyucu|консервант|حافظ|colou?r|color|colorant|colorante|corante|barwnik|farbstoff|kleurstof|renklendirici|барвник|emulsifi|emulgat|emulgent|emulgator|emulsion|emulsifiant|емульгатор|antioxid|antiossid|antyoksyd|przeciwutleniacz|антиоксидант|acidity|acidifi|acidulant|acidulante|saure|regulator|regulateur|correct|correttor|zuurteregelaar|thicken|verdick|epaissi|espes|addens|zageszcz|stabili[sz]|stabilis|estabil|flavou?r|enhancer|geschmacksverst|exhausteur|potenciador|esaltator|sweetener|sussungs|edulcor|dolcific|zoetstof|tatlandirici|raising|backtrieb|poudre|gasific|lievitant|spulchn|rijsmiddel|kabartici|glazing|antica|anticak|bleaching|ins$)/
export const isAdditiveClass = remembered(4000, (word: string): boolean => CLASSES.test(word))

const NUMBERED = /[eE][\s\u00a0]?[-\u2010\u2011]?[\s\u00a0]?(\d{3,4})[\s\u00a0]?([a-zA-Z]?)(?![\p{L}\p{N}])/uy

/** An additive with its letter that begins at a place of a text; null where none does ("vitamin E 220 mg" is none). */
export function additiveAt(
  text: string,
  at: number,
  before: string | undefined,
): { text: string; length: number } | null {
  if ((text[at] !== 'e' && text[at] !== 'E') || /[\p{L}\p{N}]/u.test(text[at - 1] ?? '')) return null
  NUMBERED.lastIndex = at
  const found = NUMBERED.exec(text)
  if (!found?.[1] || Number(found[1]) < 100 || Number(found[1]) > 1599) return null
  if (/^vitamin/.test(before ?? '')) return null
  // "E 100 g": a unit behind it, and no additive.
  const letter = found[2] ?? ''
  if (/^[gl]$/i.test(letter) && /\s/.test(found[0].at(-2) ?? '')) return null
  if (
    /^\s*(g|kg|mg|ml|kj|kcal|%)(?![\p{L}])/iu.test(text.slice(at + found[0].length, at + found[0].length + 6))
  )
    return null
  const parted = letter !== '' && /[\s\u00a0]/.test(found[0].at(-2) ?? '')
  // "E 322 a" at the beginning of the next word was refused above; a letter behind a space is one only where it stands alone.
  return parted && !/^[a-f]$/i.test(letter)
    ? { text: `e${found[1]}`, length: found[0].length - 2 }
    : { text: `e${found[1]}${letter.toLowerCase()}`, length: found[0].length }
}

/** Any additive's number: what is not in the list of words holds none of the allergens. */
export const isAdditive = (word: string): boolean => /^e\d{3,4}[a-z]{0,3}$/.test(word)
