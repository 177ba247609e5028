/**
 * Verbs of recipes and where they stand. A verb counts where a command can stand: at the head of a clause, after a comma, "and" or "then",
 * after who does it. "The mix", "2 slices" and "a chopped carrot" are none. Verbs: core/data/recipe-verbs.json (from memory).
 */
import data from '../../../../data/recipe-verbs.json'

export interface Verb {
  technique: string
  words: string
  mode: string
  place?: string
  seconds: number
  anywhere?: boolean
}
interface Pattern {
  verb: Verb
  words: RegExp
  /** What the words begin with: where none of it stands in a text the pattern need not be tried. Null: always. */
  heads: string[] | null
}
const ADVERB =
  '(?:gently|lightly|quickly|carefully|well|briefly|thoroughly|roughly|finely|thinly|thickly|coarsely|evenly|slowly|gradually|generously|just|also|first|next|now|finally|meanwhile|either|please|firmly|loosely|simply|together|again|immediately|kindly|then|very|(?:the )?next (?:day|morning)|later|at the end|in the morning)'
const WHO =
  "(?:(?:an? |the )?(?:adult|grown-?up|leader|parent|teacher|carer|child|kid|grown up)s?|children|kids|everyone|everybody|each child|each person|every child|they|you|we|let (?:them|everyone|the children|each child|the kids|everybody)|help (?:them|each child|the children|everyone)(?: to)?|take turns to|takes turns to|to|can|may|must|will|should|be|don['’]t|(?<=(?:^|[,;:.!?()]\\s*|\\b(?:and|then|children|kids|they|you|we|us|them|all|now)\\s+))each|me)"
/** What may stand right before a command. */
const COMMAND = new RegExp(
  `(?:^|[,;:.!?()&+/]\\s*|\\s[–-]\\s|\\b(?:and|n|then|or|but|while|meanwhile|by|next|now|until just)\\s+|\\b${WHO}\\s+)(?:${ADVERB},? )*$`,
  'iu',
)
/** What makes a verb a thing: "the mix", "2 slices", "of mash". */
const THING =
  /(?:^|[^\p{L}])(?:the|a|an|of|with|some|your|in|no|\d+|two|three|four|five|six|each|this|that)\s+$/iu

/** The alternatives of a pattern that stand side by side, not those inside brackets. */
function alternatives(words: string): string[] {
  const out = ['']
  let depth = 0
  let escaped = false
  for (const c of words) {
    if (!escaped && c === '(') depth += 1
    if (!escaped && c === ')') depth -= 1
    escaped = !escaped && c === '\\'
    if (c === '|' && depth === 0) out.push('')
    else out[out.length - 1] = `${out.at(-1) ?? ''}${c}`
  }
  return out
}
/** Whole words: what ends in a letter ends the word; what looks ahead says itself what follows. */
const whole = (words: string): string =>
  alternatives(words)
    .map((w) =>
      /\(\?[=!](?:[^()\\]|\\.|\((?:[^()\\]|\\.)*\))*\)$/.test(w) || !/[\p{L})?]$/u.test(w)
        ? w
        : `${w}(?![\\p{L}])`,
    )
    .join('|')
/** The letters that each alternative begins with: "roll", "chill"; none where one may begin with anything. */
function headsOf(words: string): string[] | null {
  const out: string[] = []
  for (const one of alternatives(words)) {
    const group = /^\(\?:([a-z| -]+)\)(?!\?)/.exec(one)?.[1]
    const heads = group
      ? group.split('|')
      : [/^[a-z]{2,}(?!\?)/.exec(one.replace(/^([a-z]+)[a-z]\?.*$/, '$1'))?.[0] ?? '']
    if (heads.some((h) => h.trim().length < 2)) return null
    out.push(...heads)
  }
  return out
}
const PATTERNS: Pattern[] = (data.verbs as Verb[]).map((verb) => ({
  verb,
  words: new RegExp(`\\b(?:${whole(verb.words)})`, 'giu'),
  heads: headsOf(verb.words),
}))
const standsAsCommand = (plain: string, at: number): boolean =>
  COMMAND.test(plain.slice(Math.max(0, at - 70), at))

export interface VerbHit {
  verb: Verb
  at: number
  end: number
  /** Said beside another job: "whisking". */
  beside?: true
}

/** "tears" is said as "tear", "mixes" as "mix", "whisking" as "whisk": only where somebody is named who does it, or after a comma. */
const STEMS = new Set(
  'tear snip mix stir pour whisk fold grate peel chop slice cut dice mash knead roll shape spread sprinkle scatter brush squeeze crack add put tip spoon fill press shake bake boil fry cook simmer melt warm heat toss coat dip arrange place lay wash rinse scrub drain beat sift sieve measure weigh scoop cool rest chill taste eat serve crush bash blend crumble flake pick strip thread wrap tie core stone halve quarter drizzle combine dissolve grill toast microwave steam poach drop divide share rub lift carry open pipe zest trim shred flatten pat hold take pass turn finish decorate top dust grease line cover leave use make light tear break butter'.split(
    ' ',
  ),
)
const stemOf = (word: string): string | null => {
  const w = word.toLowerCase()
  for (const stem of [w.slice(0, -1), w.slice(0, -2), w.replace(/ies$/, 'y'), w.replace(/ves$/, 'f')])
    if (w.endsWith('s') && STEMS.has(stem)) return stem
  return null
}
const SUBJECT = new RegExp(
  `(?:^|[,;:.!?(]\\s*|\\b(?:and|then|while|when)\\s+)(?:(?:each|every|one|another|the|an?) )?(?:adult|grown-?up|leader|parent|teacher|carer|child|children|person|everyone|everybody|they|one|another|grown up|nobody)s?\\b`,
  'iu',
)

/** A sentence of somebody's doing as a command: "Each child tears the mint and mixes" is "Each child tear the mint and mix". */
export function commanded(sentence: string): string {
  const subject = SUBJECT.exec(sentence)
  if (!subject) return sentence
  const from = subject.index + subject[0].length
  return (
    sentence.slice(0, from) +
    sentence
      .slice(from)
      .replace(
        /(^|and |then |, |\bor )\s*((?:(?:gently|carefully|quickly|slowly|also|then) )*)(\p{L}+s)\b/giu,
        (whole: string, head: string, how: string, word: string) => {
          const stem = stemOf(word)
          return stem === null ? whole : `${head === '' ? ' ' : head}${how}${stem}`
        },
      )
  ).replace(/ {2,}/g, ' ')
}

const ING =
  /(?<=[,(]\s?(?:then |and )?|\band )(whisking|stirring|beating|mixing|folding|shaking|kneading|mashing)\b/giu

/** Every verb in the order of the telling; of several readings of one place the first of the list stands. */
export function verbHits(sentence: string): VerbHit[] {
  const known = remembered.get(sentence)
  if (known) return known
  const hits = hitsIn(sentence)
  if (remembered.size > 2000) remembered.clear()
  remembered.set(sentence, hits)
  return hits
}
const remembered = new Map<string, VerbHit[]>()

function hitsIn(sentence: string): VerbHit[] {
  const plain = commanded(sentence)
  const hits = find(plain, 'command')
  if (!/^(?:in|into|on|onto|using|with|for|to|over|at|after|once|when|if|as|cover|meanwhile)\b/i.test(plain))
    return hits
  // "In another bowl whisk milk, eggs": the verb stands behind the place, without a comma.
  const lead = plain.search(/[,;:]|$/)
  if (hits.some((h) => h.at < lead + 12)) return hits
  const inLead = find(plain, 'after')
    .filter((h) => h.at < lead)
    .slice(0, 1)
  return [...inLead, ...hits].sort((a, b) => a.at - b.at)
}

const add = (out: VerbHit[], hit: VerbHit): void => {
  // "Stir-fry" is more than "stir".
  const same = out.findIndex((h) => h.at === hit.at && hit.end > h.end && hit.verb.mode === 'HEAT')
  if (same >= 0) out.splice(same, 1)
  if (!out.some((h) => hit.at < h.end && hit.end > h.at)) out.push(hit)
}

/** "Each slice of bread": there it is a thing, and nobody slices. */
const isPieceOf = (plain: string, m: RegExpExecArray): boolean =>
  /\beach\s+$/i.test(plain.slice(0, m.index)) &&
  /^s?\s+(?:of|gets?|has|is|needs?)\b/i.test(plain.slice(m.index + m[0].length))

function find(plain: string, by: 'command' | 'after'): VerbHit[] {
  const out: VerbHit[] = []
  const low = plain.toLowerCase()
  const tried = PATTERNS.filter(({ heads }) => heads === null || heads.some((h) => low.includes(h)))
  for (const { verb, words } of tried) {
    if (verb.anywhere) continue
    for (const m of plain.matchAll(words)) {
      const stands =
        by === 'command'
          ? standsAsCommand(plain, m.index) && !isPieceOf(plain, m)
          : !THING.test(plain.slice(Math.max(0, m.index - 12), m.index))
      if (stands) add(out, { verb, at: m.index, end: m.index + Math.max(1, m[0].length) })
    }
  }
  if (by === 'after') return out.sort((a, b) => a.at - b.at)
  for (const { verb, words } of tried) {
    if (!verb.anywhere) continue
    for (const m of plain.matchAll(words)) {
      const [at, end] = [m.index, m.index + m[0].length]
      // "Put the tin in the oven" is one thing: what it begins with gives way.
      for (let i = out.length - 1; i >= 0; i--) {
        const h = out[i]
        const one =
          h?.verb.mode === 'HEAT' &&
          verb.mode === 'HEAT' &&
          h.end <= at &&
          !/[,;.]|\band\b/.test(plain.slice(h.end, at))
        if (h && !h.verb.anywhere && ((at < h.end && end > h.at) || one)) out.splice(i, 1)
      }
      add(out, { verb, at, end })
    }
  }
  for (const m of plain.matchAll(ING)) {
    const stem = stemOfIng(m[1] ?? '')
    const pattern = PATTERNS.find((p) => alternatives(p.verb.words).includes(stem))
    if (pattern) add(out, { verb: pattern.verb, at: m.index, end: m.index + m[0].length, beside: true })
  }
  return out.sort((a, b) => a.at - b.at)
}
const stemOfIng = (word: string): string =>
  ({
    stirring: 'stir',
    whisking: 'whisk',
    beating: 'beat',
    mixing: 'mix',
    folding: 'fold',
    shaking: 'shake',
    kneading: 'knead',
    mashing: 'mash',
  })[word.toLowerCase()] ?? ''

const WHO_LINE =
  /^(?:(?:each|every|one|another|the|an?) (?:child|person|one|children|adult|grown-?up|leader|parent)|every(?:one|body)|an? adult|adult|they|children|grown-?ups?)\b/i
const OTHER_STARTS =
  /^(?:preheat|heat|pre-heat|line|set aside|meanwhile|once|when|while|using|use|make|repeat|turn|remove|take|keep|bring|cover|store|transfer|return|reserve|adjust|check|wait|get|ask|let|allow|have|meanwhile|in a|in the|with a|with the|on a|after|before|for the|as soon|now|next|then|finally|first|lift|hold|work|wet|unwrap|unroll|invert|loosen|run|discard|save|start|begin|continue|stop|switch|light|thaw|defrost)\b/i

/** What may stand before the first command of a line: how, and who. */
const LEADS = new RegExp(`^(?:(?:${ADVERB}|(?!to |be )${WHO}),?\\s*)*$`, 'iu')

/** Does a line begin as steps do: with what is done, or with who does it? */
export function beginsAsStep(line: string): boolean {
  const head = line.slice(0, 70)
  const known = begins.get(head)
  if (known !== undefined) return known
  const yes =
    WHO_LINE.test(head) ||
    OTHER_STARTS.test(head) ||
    find(head, 'command').some((h) => h.at <= 40 && LEADS.test(head.slice(0, h.at)))
  if (begins.size > 5000) begins.clear()
  begins.set(head, yes)
  return yes
}
const begins = new Map<string, boolean>()
