/** Sentences of a telling: "then" ends one, an abbreviation does not, a short head with a colon goes with what follows. */
import { beginsAsStep } from './verbs'

const ABBREVIATED =
  /\b(?:min|mins|sec|secs|hr|hrs|approx|ca|tbsp|tsp|oz|lb|pt|fl|no|temp|deg|th|c|e\.g|i\.e|vs|max|qt|pkg)\.$/i
/** Sentences, with "then" as an end and abbreviations as none. */
export function sentencesOf(text: string): string[] {
  const out: string[] = []
  for (const part of text.split(
    /(?<=[.!?;:])\s+|\s*,?\s+(?:and )?then\s+(?=\p{L}+)(?!(?:simmer|cook|reduce|lower|boil|turn|cover|the|a|an|with|to|for|another|add the rest)\b)/iu,
  )) {
    const last = out.at(-1)
    const p = part.trim()
    if (p === '') continue
    if (last !== undefined && ABBREVIATED.test(last) && /^[\p{Ll}\d(]/u.test(p) && !beginsAsStep(p))
      out[out.length - 1] = `${last} ${p}`
    else if (last !== undefined && last.endsWith(':') && last.length < 32)
      out[out.length - 1] = `${last} ${p}`
    else out.push(p)
  }
  return out
}
