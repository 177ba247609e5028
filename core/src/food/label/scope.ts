/**
 * The parts of a label: its list and summary (*contains*), its warnings (*may*), its claims (*free*), and what says
 * nothing of what is inside (*none*). A part ends at a sentence's end, at its closing bracket, or where another opens.
 * Patterns: allergens.md B5 and B6 (FSA guidance; common practice), from memory.
 */
import type { Read } from './spelling'
import { TRIGGERS, type Trigger } from './label-words'

export type Scope = 'contains' | 'may' | 'free' | 'none'

export interface Scoped {
  scope: Scope
  /** The word belongs to the phrase that opens a part ("may contain"), and is no ingredient. */
  opens: boolean
  /** A warning that nothing can be promised: "X-free" inside it is a warning too. */
  firm: boolean
}

const SENTENCE = /[.!?¶]/
const OPEN = /[([{]/
const CLOSE = /[)\]}]/

export const isPlainGap = (gap: string): boolean => /^['’\-/]?$/.test(gap)

function matches(words: readonly Read[], at: number, phrase: readonly string[]): boolean {
  return phrase.every((p, i) => {
    const word = words[at + i]
    return word !== undefined && word.text === p && (i === 0 || isPlainGap(word.gap))
  })
}

/** The longest trigger that begins at a word. */
function triggerAt(
  words: readonly Read[],
  at: number,
): { kind: Trigger; length: number; phrase: string } | null {
  let best: { kind: Trigger; length: number; phrase: string } | null = null
  for (const kind of ['may', 'free', 'contains', 'ingredients', 'suitable', 'stop', 'made'] as const) {
    for (const phrase of TRIGGERS[kind]) {
      if (phrase.length > (best?.length ?? 0) && matches(words, at, phrase)) {
        best = { kind, length: phrase.length, phrase: phrase.join(' ') }
      }
    }
  }
  return best
}

const endsSentence = (word: Read): boolean => SENTENCE.test(word.gap)

/** Where the sentence of a word ends: the index after its last word. */
function sentenceEnd(words: readonly Read[], at: number): number {
  let end = at + 1
  for (let word = words[end]; word !== undefined && !endsSentence(word); word = words[end]) end += 1
  return end
}

/** Index of the place word ("factory") of a "made in ..." sentence, or -1. */
function placeOf(words: readonly Read[], from: number): number {
  const end = Math.min(sentenceEnd(words, from), from + 16)
  for (let i = from; i < end; i++) {
    const place = TRIGGERS.place.find((p) => matches(words, i, p))
    if (place) return i + place.length - 1
  }
  return -1
}

interface State {
  scope: Scope
  firm: boolean
  /** Claims of one word ("no", "sans") end at the next comma. */
  short: boolean
}
const LIST: State = { scope: 'contains', firm: false, short: false }

/**
 * The part each word stands in.
 * @param isAllergen whether a word alone names an allergen: a claim's list goes on over commas only while it does
 */
export function scopes(words: readonly Read[], isAllergen: (index: number) => boolean): Scoped[] {
  const out: Scoped[] = words.map(() => ({ scope: 'contains', opens: false, firm: false }))
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
      } else if (char === ';' && state.scope === 'free') state = LIST
      else if (/[,:]/.test(char) && state.scope === 'free') {
        const isAll =
          item.length > 0 &&
          item.every(
            (k) =>
              isAllergen(k) ||
              /^(and|or|nor|y|o|et|ou|und|oder|e|i|lub|oraz|ni|any|of|the)$/.test(words[k]?.text ?? ''),
          )
        // A comma straight after the word ("no, milk") parts the two: no claim.
        const nothing = item.length === 0 && char !== ','
        if (state.short ? !nothing : item.length > 0 && !isAll) state = LIST
        item = []
      }
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
          state = { scope: 'may', firm: /guarant/.test(trigger.phrase), short: false }
        else if (trigger.kind === 'free' && !state.firm)
          state = { scope: 'free', firm: false, short: trigger.length === 1 || trigger.phrase === 'no added' }
        else if (trigger.kind === 'suitable') state = { scope: 'none', firm: false, short: false }
        else if (trigger.kind === 'made') {
          mayFrom = placeOf(words, i)
          opensUntil = i
        } else if (trigger.kind !== 'free') state = LIST
      }
    }
    const opens = i < opensUntil
    out[i] = { scope: state.scope, opens, firm: state.firm }
    if (!opens) item.push(i)
    if (i === mayFrom) state = { scope: 'may', firm: false, short: false }
  })
  wholeSentences(words, out)
  return out
}

/** Verb-last warnings (Urdu), and "... used elsewhere": the sentence up to the verb is a warning. */
function wholeSentences(words: readonly Read[], out: Scoped[]): void {
  words.forEach((_, i) => {
    const hit = TRIGGERS.whole.find((p) => matches(words, i, p))
    if (!hit) return
    for (let k = i; k >= warningStart(words, i); k--) {
      const old = out[k]
      if (old) out[k] = { scope: 'may', opens: old.opens || k >= i, firm: true }
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
