/**
 * In which form a food is, read from words. Safe order: only what is plainly said of this food settles a rule; 'not', 'some', 'whole', a
 * stone, a bone or a second food in the words never do, and of 'quarters or whole' each way has to do.
 */
import { AGAINST, FILLER, FORM_WORDS, NEGATES, TAKEN_AWAY, UNSURE } from './form-words'

/** The ways that the words leave open, each as the preparation codes that hold in it. At least one; `[[]]`: nothing is said. */
export type Forms = readonly (readonly string[])[]

/** The form of a line as it is stored: codes joined by `+`. */
export const formsOfCodes = (shape: string | undefined): Forms => [shape ? shape.split('+') : []]

/** Do the words settle a rule in each way they leave open? `DESTONE+QL` wants both. */
export const settles = (unless: readonly string[], forms: Forms): boolean =>
  forms.every((codes) => {
    const all = withImplied(codes)
    return unless.some((way) => way.split('+').every((code) => all.has(code)))
  })

/** What is mashed is flat and smooth too; what is ground is chopped; what squashes is cooked. */
const IMPLIED: Record<string, readonly string[]> = {
  MASH: ['FLAT', 'PUREE'],
  GROUND: ['CHOP'],
  COOKSOFT: ['COOKED'],
}
const withImplied = (codes: readonly string[]): Set<string> =>
  new Set(codes.flatMap((code) => [code, ...(IMPLIED[code] ?? [])]))

/** Small letters, no hyphens and apostrophes, what is taken away as one word. */
export function plainWords(text: string): string {
  const plain = ` ${text.toLowerCase().normalize('NFC')} `
    .replace(/[’'`]s\b/g, 's')
    .replace(/[’'`]/g, ' ')
    .replace(/[-‐‑]/g, ' ')
    .replace(/\s+/g, ' ')
  return TAKEN_AWAY.reduce((words, [from, to]) => words.replace(from, to), plain)
}

/** Parts of a text that say one thing each. */
export function clausesOf(plain: string): string[] {
  const parts = plain
    .trim()
    .split(
      /[,;.:()|•·–—]|\s(?:and|then|but|while|plus)\s|[&+]|\s(?=(?:with|without|on|in|into|over|beside|alongside|topped) )/,
    )
    .map((c) => c.trim())
    .filter((c) => c !== '')
  // "Mostly, in strips": what only says how far it holds is said of what follows.
  return parts.reduceRight<string[]>((list, c) => {
    const [next, ...rest] = list
    const alone = c.split(' ').length <= 3 && (UNSURE.test(c) || NEGATES.test(c))
    return alone && next !== undefined && FORM_WORDS.every(([words]) => c.search(words) < 0)
      ? [`${c} ${next}`, ...rest]
      : [c, ...list]
  }, [])
}

interface Clause {
  text: string
  /** It speaks of this food by name. */
  named: boolean
  /** The name, as it stands in it. */
  name?: string
}

/** Codes of one way of a clause, and what stands against codes. */
function codesOf({ text, named, name }: Clause, way: string): { codes: string[]; against: string[] } {
  // "Raw beetroot, cooked until soft": what a food is called stands against nothing that is said of it.
  const said = name ? way.replaceAll(name, ' ') : way
  const against = AGAINST.filter(([words]) => said.search(words) >= 0).flatMap(([, codes]) => codes)
  if (UNSURE.test(text)) return { codes: [], against }
  const no = NEGATES.exec(text)
  const negated = no === null ? '' : text.slice(no.index)
  const codes = FORM_WORDS.flatMap(([words, list]) =>
    [...way.matchAll(words)].some((m) => !isNegated(m[0], negated) && (named || ownWord(way, m))) ? list : [],
  )
  return { codes: [...new Set(codes)], against }
}

const isNegated = (word: string, negated: string): boolean =>
  negated.includes(` ${word}`) || negated.includes(`${word} `)

/** "Thin toast" is no thin spread: a form directly before another word is that word's. */
function ownWord(way: string, match: RegExpMatchArray): boolean {
  const next =
    way
      .slice((match.index ?? 0) + match[0].length)
      .trim()
      .split(' ')[0] ?? ''
  return next === '' || !/^\p{L}+$/u.test(next) || FILLER.has(next) || isFormWord(next)
}
const isFormWord = (word: string): boolean =>
  FORM_WORDS.some(([words]) => word.replace(words, '') === '') ||
  AGAINST.some(([words]) => word.replace(words, '') === '')

const MOST_WAYS = 16

/** @param clauses what is said of one food, in its order */
export function formsOf(clauses: readonly Clause[]): Forms {
  let ways: { codes: string[]; out: Set<string> }[] = [{ codes: [], out: new Set() }]
  for (const clause of clauses) {
    const open = clause.text.split(/\sor\s|\sor$|^or\s|\//).map((way) => codesOf(clause, way.trim()))
    ways = ways.flatMap((w) =>
      open.map(({ codes, against }) => ({
        codes: against.includes('*') ? [] : [...w.codes, ...codes],
        out: new Set([...w.out, ...against]),
      })),
    )
    if (ways.length > MOST_WAYS) return [[]]
  }
  return ways.map(({ codes, out }) => [...new Set(codes)].filter((c) => !out.has(c)).sort())
}

/** The form that a food's own name says: "cooked beetroot", "flaked almonds". */
export const formsInName = (name: string): Forms => formsOf([{ text: plainWords(name).trim(), named: true }])

/** The form that a preparation in words has, of a line whose food is known. */
const formsInWords = (prep: string): Forms =>
  formsOf(clausesOf(plainWords(prep)).map((text) => ({ text, named: false })))

/** As it is stored with a line: the codes that hold in every way; undefined where there are none. */
export function shapeIn(prep: string | undefined): string | undefined {
  const [first = [], ...others] = formsInWords(prep ?? '')
  const all = first.filter((code) => others.every((way) => way.includes(code)))
  const implied = new Set(all.flatMap((code) => IMPLIED[code] ?? []))
  const plain = all.filter((code) => !implied.has(code))
  return plain.length > 0 ? plain.join('+') : undefined
}

/** What a line's words take away from the form that is stored with it: "stone in", "whole". */
export function withoutAgainst(forms: Forms, prep: string | undefined): Forms {
  if (!prep) return forms
  const plain = plainWords(prep)
  const out = new Set(AGAINST.filter(([words]) => plain.search(words) >= 0).flatMap(([, codes]) => codes))
  for (const free of ['*', 'SLICE', 'STRIP', 'BATON', 'THIN', 'CHOP', 'HALVE', 'COOKSOFT', 'COOKED'])
    out.delete(free)
  return forms.map((codes) => codes.filter((c) => !out.has(c)))
}

/** Prepared so, a hard food is soft under the knife. */
export const SOFTENED: ReadonlySet<string> = new Set(['COOKSOFT', 'MASH', 'GRATE'])
