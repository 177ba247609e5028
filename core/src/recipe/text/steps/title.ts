/** A title of a step in five words or fewer, cut at a sense: the first thing that is done, and to what. */
import { capitalised } from '../../../amount/letter-case'
import { commanded, verbHits } from './verbs'

const LINKS =
  /^(?:until|for|with|into|in|on|onto|at|to|from|then|so|while|over|by|till|using|if|when|as|and|or|but|of|the|a|an|your|each|its|about|through)$/i
const STOP = /^(?:until|till|for|with|while|so|then|using|if|when|at|by)$/i
const MOST = 5
const INTO: Record<string, string> = {
  oven: 'Into the oven',
  fire: 'On the fire',
  fridge: 'Into the fridge',
  freezer: 'Into the freezer',
}

/** @param text the step's words; its verb leads, or its head where it has none */
export function titleOf(text: string): string {
  const sentences = text.split(/(?<=[.!?;])\s+/)
  const first = sentences.find((s) => verbHits(s).length > 0) ?? sentences[0] ?? text
  const plain = commanded(first)
  const hit = verbHits(first)[0]
  const there = hit?.verb.anywhere ? INTO[hit.verb.place ?? ''] : undefined
  if (there !== undefined) return there
  const from =
    hit && !hit.verb.anywhere
      ? plain.slice(hit.at)
      : plain.replace(/^(?:in|into|on|with|using|for|once|when|after|meanwhile)\b[^,]{0,60},\s*/i, '')
  const clause = from.split(/[,;:.!?(–—]|\s[-&+/]\s/)[0] ?? from
  const bare = clause.replace(
    /\b(?:\d[\d./]*|[½¼¾⅓⅔]|an?|two|half an?) ?(?:g|kg|ml|l|oz|lb|grams?|litres?|tbsp|tsp|tablespoons?|teaspoons?|cups?|pinch)\b(?: of)? /gi,
    '',
  )
  const plainest = bare
    .replace(
      /(?:\bat )?\b\d{2,3} ?(?:°|º|degrees?)?\s?[CF]?\b(?!\s?(?:min|hour|sec|g\b|ml|cm))(?:\/\S+)*(?: fan\b)?/gi,
      ' ',
    )
    .replace(/\bgas(?: mark)? ?\d?|\bth\b ?\d?/gi, ' ')
  const words = plainest.split(/\s+/).filter((w) => w !== '')
  const stop = words.findIndex((w, i) => i >= 2 && STOP.test(w))
  const kept = words.slice(0, stop > 0 ? Math.min(stop, MOST) : MOST)
  while (kept.length > 1 && LINKS.test(kept.at(-1) ?? '')) kept.pop()
  // "Pour into a lined 20": a number or an adjective in the air ends no title.
  if (words.length > kept.length)
    while (
      kept.length > 2 &&
      /^(?:\d.*|lined|greased|large|small|big|floured|clean|heatproof|medium|low|hot|cold|dry|wet|little|baking|remaining|mixing)$/i.test(
        kept.at(-1) ?? '',
      )
    ) {
      kept.pop()
      while (kept.length > 1 && LINKS.test(kept.at(-1) ?? '')) kept.pop()
    }
  const title = kept
    .join(' ')
    .slice(0, 60)
    .replace(/["“”']+$/, '')
    .trim()
  return capitalised(title)
}
