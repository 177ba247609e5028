/**
 * Numbers as they are said, 0 to 100, to count together in a child's language: the counting row, without a noun.
 * Source: the registry package n2words (CLDR-like rules by locale); Welsh by the modern decimal rule, from memory (learning.md E).
 */
import { toCardinal as ar } from 'n2words/ar-SA'
import { toCardinal as enGB } from 'n2words/en-GB'
import { toCardinal as enUS } from 'n2words/en-US'
import { toCardinal as es } from 'n2words/es-ES'
import { toCardinal as fr } from 'n2words/fr-FR'
import { toCardinal as pl } from 'n2words/pl-PL'
import { toCardinal as pt } from 'n2words/pt-PT'
import { toCardinal as uk } from 'n2words/uk-UA'
import { toCardinal as ur } from 'n2words/ur-PK'
import { toCardinal as it } from 'n2words/it-IT'
import { toCardinal as de } from 'n2words/de-DE'
import { toCardinal as ro } from 'n2words/ro-RO'
import { toCardinal as tr } from 'n2words/tr-TR'
import type { Glossary } from './glossary'

const WELSH = 'dim un dau tri pedwar pump chwech saith wyth naw deg'.split(' ')
/** Modern Welsh is decimal and regular: 11 un deg un, 20 dau ddeg, 21 dau ddeg un, 100 cant. */
function welsh(n: number): string {
  if (n === 100) return 'cant'
  if (n <= 10) return WELSH[n] ?? ''
  const tens = Math.floor(n / 10)
  const ten = `${tens === 6 ? 'chwe' : tens === 5 ? 'pum' : WELSH[tens]} ${tens === 2 ? 'ddeg' : 'deg'}`
  const one = n % 10
  return one === 0 ? ten : `${ten} ${WELSH[one] ?? ''}`
}

const SAY: Record<string, (n: number) => string> = {
  en: enGB,
  'en-GB': enGB,
  'en-US': enUS,
  ...{ ar, de, fr, it, pl, pt, ro, tr },
  // The package leaves out two accents and misspells one number.
  es: (n) => es(n).replace('dieciseis', 'dieciséis').replace('veintiseis', 'veintiséis'),
  ur: (n) => (n === 46 ? 'چھیالیس' : ur(n)),
  // The package writes a Latin i in Ukrainian words: it looks alike and is read aloud wrongly.
  uk: (n) => uk(n).replaceAll('i', 'і'),
  cy: welsh,
}
/** How the numbers to twenty sound, for readers of Latin letters. Source: learning.md E; common readings, from memory. */
const READ: Record<string, string[]> = {
  ar: (
    "sifr waahid ithnaan thalaatha arba'a khamsa sitta sab'a thamaaniya tis'a ashara ahada-ashar ithna-ashar thalaathata-ashar " +
    "arba'ata-ashar khamsata-ashar sittata-ashar sab'ata-ashar thamaaniyata-ashar tis'ata-ashar ishroon"
  ).split(' '),
  ur: 'sifar ek do teen chaar paanch chhe saat aath nau das gyaarah baarah terah chaudah pandrah solah satrah athaarah unnees bees'.split(
    ' ',
  ),
  uk: (
    'nul odyn dva try chotyry piat shist sim visim deviat desiat odynadtsiat dvanadtsiat trynadtsiat chotyrnadtsiat piatnadtsiat ' +
    'shistnadtsiat simnadtsiat visimnadtsiat deviatnadtsiat dvadtsiat'
  ).split(' '),
}

export interface NumberWord {
  n: number
  word: string
  reading?: string
}

/**
 * One number said in a language.
 * @param n whole, 0 to 100
 * @returns null where Lea has no number words for the language, or the number is not in reach
 */
export function numberWord(n: number, language: string, glossary?: Glossary): NumberWord | null {
  if (!Number.isInteger(n) || n < 0 || n > 100) return null
  const own = glossary?.home(`number-${n}`, language)
  if (own) return { n, word: own.word, ...(own.roman && { reading: own.roman }) }
  const say = SAY[language]
  if (!say) return null
  const reading = READ[language]?.[n]
  return { n, word: say(n), ...(reading && { reading }) }
}

/** One to n, to say together; empty where the language has no number words. */
export const countAlong = (n: number, language: string, glossary?: Glossary): NumberWord[] =>
  Array.from({ length: Math.max(0, Math.min(100, n)) }, (_, i) =>
    numberWord(i + 1, language, glossary),
  ).flatMap((w) => w ?? [])

/** Languages for which Lea has number words. */
export const NUMBER_LANGUAGES = Object.keys(SAY).filter((code) => !code.startsWith('en'))
