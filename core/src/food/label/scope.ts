/**
 * The parts of a label: its list and summary (*contains*), its warnings (*may*), its claims (*free*), and what says
 * nothing of what is inside (*none*). A part ends at a sentence's end, at its closing bracket, or where another opens; a claim is short.
 * Patterns: allergens.md B5 and B6 (FSA guidance; common practice), from memory.
 */
import { TRIGGERS, type Trigger } from './triggers'
import type { Read } from './spelling'
import { isLoose } from './text'

export type Scope = 'contains' | 'may' | 'free' | 'none'

export interface Scoped {
  scope: Scope
  /** The word belongs to the phrase that opens a part ("may contain"), and is no ingredient. */
  opens: boolean
  /** A warning that nothing can be promised: "X-free" inside it is a warning too. */
  firm: boolean
  /** In a claim that may have ended: what stands here is asked about. */
  loose: boolean
  /** Opened by "contains" or "may contain": a list of names, where no name changes its neighbour. */
  summary: boolean
  /** No ingredient at all: how to store it, what it is called. */
  aside: boolean
}

const SENTENCE = /[.!?¶]/
const OPEN = /[([{]/
const CLOSE = /[)\]}]/

export function matches(words: readonly Read[], at: number, phrase: readonly string[]): boolean {
  return phrase.every((p, i) => {
    const word = words[at + i]
    return word !== undefined && word.text === p && (i === 0 || isLoose(word))
  })
}

type Opening = Exclude<Trigger, 'whole' | 'place' | 'after'>
const KINDS: readonly Opening[] = [
  'may',
  'free',
  'contains',
  'ingredients',
  'suitable',
  'stop',
  'made',
  'how',
]
let firsts: Map<string, { kind: Opening; phrase: readonly string[] }[]> | undefined
/** Trigger phrases by their first word. */
function openings(word: string): readonly { kind: Opening; phrase: readonly string[] }[] {
  if (!firsts) {
    firsts = new Map()
    for (const kind of KINDS)
      for (const phrase of TRIGGERS[kind]) {
        const first = phrase[0] ?? ''
        firsts.set(first, [...(firsts.get(first) ?? []), { kind, phrase }])
      }
  }
  return firsts.get(word) ?? []
}

/** The longest trigger that begins at a word. */
function triggerAt(
  words: readonly Read[],
  at: number,
): { kind: Opening; length: number; phrase: string } | null {
  let best: { kind: Opening; length: number; phrase: string } | null = null
  for (const { kind, phrase } of openings(words[at]?.text ?? ''))
    if (
      phrase.length > (best?.length ?? 0) &&
      matches(words, at, phrase) &&
      (kind !== 'how' || beginsSentence(words, at))
    )
      best = { kind, length: phrase.length, phrase: phrase.join(' ') }
  // Welsh "di-laeth"; "di" alone is an Italian "of".
  if (!best && words[at]?.text === 'di' && words[at + 1]?.gap === '-')
    return { kind: 'free', length: 1, phrase: 'di' }
  return best
}

/** Where a sentence or a line begins, and something stood before it: a list does not begin with how to cook it. */
const beginsSentence = (words: readonly Read[], at: number): boolean => {
  const word = words[at]
  return at > 0 && word !== undefined && (SENTENCE.test(word.gap) || (word.line && !/[,(&]/.test(word.gap)))
}

const endsSentence = (word: Read): boolean => SENTENCE.test(word.gap)

/** Where the sentence of a word ends: the index after its last word. */
export function sentenceEnd(words: readonly Read[], at: number): number {
  let end = at + 1
  for (let word = words[end]; word !== undefined && !endsSentence(word); word = words[end]) end += 1
  return end
}

/** "made in our bakery with butter": what it is made of; "... that also uses butter": what is about. */
const MADE_OF = new Set(['with', 'from', 'using', 'of', 'mit', 'aus', 'avec', 'con', 'com', 'z', 'ze', 'met'])

/** Index of the place word ("factory") of a "made in ..." sentence after which a warning stands, or -1. */
function placeOf(words: readonly Read[], from: number): number {
  const end = Math.min(sentenceEnd(words, from), from + 16)
  for (let i = from; i < end; i++) {
    const place = TRIGGERS.place.find((p) => matches(words, i, p))
    if (!place) continue
    const last = i + place.length - 1
    const next = words[last + 1]
    return next && MADE_OF.has(next.text) && isLoose(next) ? -1 : last
  }
  return -1
}

interface State {
  scope: Scope
  firm: boolean
  /** Claims of one word ("no", "sans") end at the next comma. */
  short: boolean
  /** Whether something that is no allergen stood in the claim: it has ended, or may have. */
  loose: boolean
  summary: boolean
  aside: boolean
}
const LIST: State = {
  scope: 'contains',
  firm: false,
  short: false,
  loose: false,
  summary: false,
  aside: false,
}
const CONNECTS =
  /^(and|or|nor|any|of|the|all|a|added|y|o|u|ni|et|ou|und|oder|noch|e|i|lub|oraz|ani|de|d|des|du|la|le|les|l|el|los|las|von|od|z|en|of|met|ve|veya|și|si|sau|та|і|й|або|و|او|اور|یا|di|da|dal|ac|neu|na|cow|cows|s|trace|traces|any)$/
/** What ends a claim at once, whatever stands in it. */
const ENDS_CLAIM = /[•|–—;¦#]/

/**
 * The part each word stands in.
 * @param isAllergen whether a word alone names an allergen: a claim goes on over commas only while it does
 */
export function scopes(words: readonly Read[], isAllergen: (index: number) => boolean): Scoped[] {
  const out: Scoped[] = words.map(() => ({ ...LIST, opens: false }))
  const outer: State[] = []
  let state = LIST
  let item: number[] = []
  let opensUntil = 0
  let mayFrom = -1
  words.forEach((word, i) => {
    for (const char of word.gap) {
      if (OPEN.test(char)) outer.push(state)
      else if (CLOSE.test(char)) state = outer.pop() ?? LIST
      else if (SENTENCE.test(char)) {
        state = LIST
        outer.length = 0
      } else if (state.scope === 'none' && /[,:•|–—;]/.test(char)) state = LIST
      else if (state.scope === 'free' && ENDS_CLAIM.test(char)) state = LIST
      else if (/[,:]/.test(char) && state.scope === 'free') {
        const isAll =
          item.length > 0 && item.every((k) => isAllergen(k) || CONNECTS.test(words[k]?.text ?? ''))
        // A comma straight after the word ("no, milk") parts the two: no claim.
        const nothing = item.length === 0 && char !== ','
        if (state.short ? !nothing : item.length > 0 && (!isAll || char === ':')) state = LIST
        item = []
      }
    }
    if (word.line && (state.scope === 'free' || state.scope === 'none')) {
      // A claim ends with its line; where the line ended with a comma, the next one is asked about.
      state = state.scope === 'free' && !state.short && /,$/.test(word.gap) ? { ...state, loose: true } : LIST
    }
    if (i >= opensUntil) {
      const trigger = triggerAt(words, i)
      if (
        trigger &&
        !(trigger.kind === 'free' && trigger.phrase === 'no' && /[a-z]\d/.test(words[i + 1]?.text ?? ''))
      ) {
        opensUntil = i + trigger.length
        item = []
        if (trigger.kind === 'may')
          state = { ...LIST, scope: 'may', firm: /guarant/.test(trigger.phrase), summary: true }
        else if (trigger.kind === 'free' && !state.firm)
          state = {
            ...LIST,
            scope: 'free',
            short: trigger.length === 1 || trigger.phrase === 'no added',
          }
        else if (trigger.kind === 'suitable') state = { ...LIST, scope: 'none' }
        else if (trigger.kind === 'made') {
          mayFrom = placeOf(words, i)
          opensUntil = i
        } else if (trigger.kind !== 'free')
          state = {
            ...LIST,
            summary: trigger.kind === 'contains',
            aside: trigger.kind === 'stop' || trigger.kind === 'how',
          }
      }
    }
    const opens = i < opensUntil
    out[i] = { ...state, opens }
    if (!opens) {
      item.push(i)
      if (state.scope === 'free' && !isAllergen(i) && !CONNECTS.test(word.text))
        state = state.short ? LIST : { ...state, loose: true }
    }
    if (i === mayFrom) state = { ...LIST, scope: 'may' }
  })
  wholeSentences(words, out)
  return out
}

/** Verb-last warnings (Urdu, Turkish), and "... used elsewhere": the sentence up to the verb is a warning. */
function wholeSentences(words: readonly Read[], out: Scoped[]): void {
  words.forEach((_, i) => {
    const hit = TRIGGERS.whole.find((p) => matches(words, i, p))
    if (!hit) return
    // "May be present: milk" has nothing before it.
    for (let k = i + hit.length - 1; k >= warningStart(words, i); k--) {
      const old = out[k]
      if (old) out[k] = { ...LIST, scope: 'may', opens: old.opens || k >= i, firm: true, summary: true }
    }
  })
}

/**
 * Where the warning that ends at a verb begins: at its sentence, or at its "this". Where neither parts it from the list of
 * ingredients, only its last item is a warning: too much listed costs less than too little.
 */
function warningStart(words: readonly Read[], verb: number): number {
  for (let k = verb; k > 0; k--) {
    const word = words[k]
    if (!word || endsSentence(word) || word.text === 'اس') return k
    if (TRIGGERS.ingredients.some((p) => matches(words, k - 1, p))) {
      let item = verb
      while (item > k && !/[,:]/.test(words[item]?.gap ?? '')) item -= 1
      return item
    }
  }
  return 0
}
