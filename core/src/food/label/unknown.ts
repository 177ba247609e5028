/**
 * Words that Lea does not know: each stays open until somebody answers it. A word is known by itself only; one that is a part of a phrase
 * ("latte" of "caffè latte") is not known without it. A script that is not read is unknown at any length.
 */
import type { Hit } from './hit'
import { isInflected, isKnown } from './label-words'
import { TRIGGERS } from './triggers'
import { matches, sentenceEnd, type Scoped } from './scope'
import type { Read } from './spelling'

/** Any letter outside of the scripts that are read. */
const FOREIGN =
  /[^\p{Script=Latin}\p{Script=Cyrillic}\p{Script=Arabic}\p{Script=Common}\p{Script=Inherited}]/u
const isForeign = (text: string): boolean => FOREIGN.test(text.replace(/[^\p{L}\p{M}]/gu, ''))

/** Short words that name nothing: units, particles, plurals of brackets. */
const PARTICLE =
  /^(\d.*|[a-z]|[а-яіїєґ]|[ء-ی]|of|or|in|on|to|at|by|as|is|be|it|we|us|an|up|if|so|no|uk|eu|ue|kg|mg|ml|cl|dl|oz|lb|mm|cm|kj|no|nr|st|co|ag|kg|ab|am|an|de|da|di|do|du|la|le|el|il|lo|un|et|en|au|al|es|se|sa|su|si|te|tu|va|vi|ve|vu|ya|bu|de|da|ki|mi|mu|ne|ni|na|po|za|ze|we|do|od|ku|op|te|of|om|er|je|zo|ei|ii|iv|vi|ix|xi|uv|ph|ca|cu|fe|zn|b1|b2|b6|d2|d3|k1|k2|ir|ar|yr|ac|os|ni|ty|ti|fo|в|у|з|із|зі|до|на|за|по|та|не|їх|من|في|او|ما|لا|ان|هو|ہے|کے|کی|کا|کو|سے|یہ|یا|وہ|پر|جو|اس|هے|یه)$/

/** How a packet is kept and where it comes from, and its name over a list: nothing there is an ingredient. */
export function quietWords(words: readonly Read[], parts: readonly Scoped[]): (index: number) => boolean {
  const title = titleEnd(words)
  return (i) => i < title || parts[i]?.aside === true
}

const FIRST = new Set(TRIGGERS.ingredients.map(([first]) => first))
const opensList = (words: readonly Read[], at: number): boolean =>
  FIRST.has(words[at]?.text) && TRIGGERS.ingredients.some((p) => matches(words, at, p))

/** Where a title ends: before "Ingredients", with no comma in it, or a first short sentence with a list behind it. */
function titleEnd(words: readonly Read[]): number {
  const list = words.slice(0, 14).findIndex((_, i) => opensList(words, i))
  const plain = (to: number): boolean => words.slice(1, to).every((w) => !/[,;•([{]/.test(w.gap))
  if (list > 0 && plain(list)) return list
  const first = words.length === 0 ? 0 : sentenceEnd(words, 0)
  const commas = words.slice(first).filter((w) => w.gap.includes(',')).length
  return first <= 5 && first < words.length && commas >= 2 && plain(first) ? first : 0
}

/**
 * Sentences behind the list that "Ingredients" opened, which list nothing: no colon, no bracket, at most one comma, three words at least.
 * An allergen in them counts all the same; a word that Lea does not know is no ingredient there.
 */
function behindList(words: readonly Read[]): boolean[] {
  const out = new Array<boolean>(words.length).fill(false)
  const list = words.findIndex((_, i) => opensList(words, i))
  if (list < 0) return out
  for (let from = sentenceEnd(words, list); from < words.length;) {
    const to = sentenceEnd(words, from)
    const gaps = words.slice(from + 1, to).map((w) => w.gap)
    const commas = gaps.filter((g) => /[,;•|]/.test(g)).length
    const lists =
      commas > 1 || gaps.some((g) => /[:([{]/.test(g)) || words.slice(from + 1, to).some((w) => w.line)
    if (!lists && to - from >= 3) out.fill(true, from, to)
    from = to
  }
  return out
}

/**
 * @returns the indices of the words that stay open, and whether the text was read at all: most of it in a language that Lea knows
 */
export function unknownWords(
  text: string,
  words: readonly Read[],
  hits: readonly Hit[],
  parts: readonly Scoped[],
): { unknown: number[]; read: boolean } {
  const covered = new Array<boolean>(words.length).fill(false)
  const rest = new Set<number>()
  for (const h of hits) {
    covered.fill(true, h.from, h.to)
    if (h.rest) rest.add(h.from)
  }
  const hasList = words.slice(0, 14).some((_, i) => opensList(words, i))
  const end = titleEnd(words)
  const commas = words.filter((w) => w.gap.includes(',')).length
  // Without "Ingredients" a name of several words over a real list is taken for a title.
  const title = hasList || (end > 1 && commas >= 3) ? end : 0
  const behind = behindList(words)
  const unknown = words.flatMap((w, i) => {
    const raw = text.slice(w.start, w.end)
    if (isForeign(raw)) return [i]
    if (w.unsure || rest.has(i)) return [i]
    if (covered[i] || parts[i]?.opens || isKnown(w.text) || isInflected(w.text)) return []
    if (w.text.length < 3 && PARTICLE.test(w.text)) return []
    return i < title || behind[i] === true || parts[i]?.aside === true ? [] : [i]
  })
  const solid = words.filter((w) => w.text.length > 2).length
  const foreign = unknown.filter((i) => isForeign(text.slice(words[i]?.start, words[i]?.end))).length
  return { unknown, read: foreign === 0 && (unknown.length < 2 || unknown.length * 2 <= solid) }
}
