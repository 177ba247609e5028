/** How words are acted out, what to say after tasting, the sound of the day. */
import { firstSound } from './line/sounds'
import acts from '../../data/acts.json'
import tasting from '../../data/tasting-words.json'

const ACTS: Record<string, string> = acts.acts
/** How the hands say a word; undefined where Lea has none. Not a sign language. */
export const actOf = (word: string): string | undefined => ACTS[word]

/** Words for how it looked, smelled, sounded, felt and tasted. */
export const TASTING_WORDS: Readonly<Record<string, readonly string[]>> = tasting.senses

export interface SoundOfDay {
  sound: string
  words: string[]
}
/** The sound that most of the words begin with; of several the first by letter. Null where no two share one. */
export function soundOfDay(words: readonly string[]): SoundOfDay | null {
  const bySound = new Map<string, string[]>()
  for (const word of new Set(words.map((w) => w.toLowerCase())))
    if (firstSound(word) !== '') {
      const sound = firstSound(word)
      bySound.set(sound, [...(bySound.get(sound) ?? []), word])
    }
  const best = [...bySound].sort((a, b) => b[1].length - a[1].length || (a[0] < b[0] ? -1 : 1))[0]
  return best && best[1].length > 1 ? { sound: best[0], words: best[1] } : null
}
