/**
 * Which language a stretch of a packet is in, asked only where it matters: "polvo" is powder in Spanish and octopus in Portuguese. Words by
 * ordinary meaning, from memory.
 */
import type { Word } from './text'

/** Words each side of one that are looked at. */
const REACH = 10

/**
 * The language of the words around a place, by how many of them only it knows.
 * @param languagesOf the languages in which a word is known
 * @returns null where none stands out: then a word means the worst of what it can
 */
export function languageAround(
  words: readonly Word[],
  at: number,
  languagesOf: (word: string) => ReadonlySet<string> | undefined,
): string | null {
  const votes = new Map<string, number>()
  for (let i = Math.max(0, at - REACH); i <= Math.min(words.length - 1, at + REACH); i++) {
    if (i === at) continue
    const languages = languagesOf(words[i]?.text ?? '')
    if (!languages) continue
    for (const language of languages) votes.set(language, (votes.get(language) ?? 0) + 1 / languages.size)
  }
  const [first, second] = [...votes].sort((a, b) => b[1] - a[1])
  return first && first[1] >= 1 && first[1] > (second?.[1] ?? 0) ? first[0] : null
}
