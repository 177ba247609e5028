/**
 * Sounds of words: what a word begins with by sound, not by spelling, how it is clapped, what it rhymes with. Words that begin with a
 * vowel are left out: oats, oven and onion do not begin alike. Source: common practice (phonological awareness), from memory.
 */
import { capitalised } from '../../amount/letter-case'
import type { Values } from '../fact/saying'
import { either } from '../fact/phrases'
import type { RoutineRow } from './routines'

/** A word with its beats ("ap-ple") and what rhymes with it. */
interface Sounded {
  claps: string
  rhymes: readonly string[]
}

/** Two letters, or one before another, that have a sound of their own at the start of an English word. */
const STARTS: readonly [RegExp, string][] = [
  [/^kn/, 'n'],
  [/^wr/, 'r'],
  [/^ph/, 'f'],
  [/^who/, 'h'],
  [/^wh/, 'w'],
  [/^qu/, 'kw'],
  [/^herb/, ''],
  [/^hour/, ''],
  [/^sugar/, 'sh'],
  [/^(ch|sh|th)/, '$1'],
  [/^c[eiy]/, 's'],
  [/^c/, 'k'],
  [/^g(?=ent|inger|ym|elat)/, 'j'],
  [/^[aeiou]/, ''],
]
/** The sound that an English word begins with: "knead" begins with n, "cup" with k, "sugar" with sh; '' where it is a vowel. */
export function firstSound(word: string): string {
  const w = word.toLowerCase()
  const start = STARTS.find(([pattern]) => pattern.test(w))
  if (!start) return w.slice(0, 1)
  const [pattern, sound] = start
  return sound === '$1' ? (pattern.exec(w)?.[1] ?? w.slice(0, 1)) : sound
}

/** Sounds that can be held: s-s-s; others are said again and again. */
const HELD = new Set('s sh f m n l r th v z w y h'.split(' '))
const drawn = (sound: string): string =>
  HELD.has(sound) ? `${sound}-${sound}-${sound}` : `${sound}, ${sound}, ${sound}`

/** What can be asked of the sound of a food's word; nothing of one that Lea cannot clap. */
export function soundValues(card: Sounded): Values {
  const said = card.claps.replaceAll('-', '')
  const beats = card.claps.split(/[- ]/)
  const sound = firstSound(said)
  const other = sound === 'm' ? 's' : 'm'
  const [rhyme] = card.rhymes
  return {
    sounded: said,
    Sounded: capitalised(said),
    ...(beats.length > 1 && {
      claps: beats.join(' · '),
      clapCount: String(beats.length),
      clapsOr: either(String(beats.length), String(beats.length + 1)),
    }),
    ...(rhyme !== undefined && {
      rhyme,
      rhymes: card.rhymes.join(', '),
      rhymeOr: either(rhyme, NO_RHYME),
    }),
    ...(sound !== '' && {
      firstSound: drawn(sound),
      FirstSound: capitalised(drawn(sound)),
      firstSoundOr: either(drawn(sound), drawn(other)),
    }),
  }
}
/** It rhymes with no food of the cards. */
const NO_RHYME = 'table'

/** What can be done with the sound of a food's word: clapped, rhymed, its first sound looked for. */
export function soundLines(card: Sounded): RoutineRow[] {
  const said = card.claps.replaceAll('-', '')
  const beats = card.claps.split(/[- ]/)
  const sound = firstSound(said)
  const list: RoutineRow[] = []
  if (beats.length > 1)
    list.push({
      id: 'sound-clap',
      from: 30,
      to: 96,
      says: `Clap it with me: ${beats.join(' · ')}. How many claps?`,
    })
  if (card.rhymes.length > 0)
    list.push({
      id: 'sound-rhyme',
      from: 40,
      to: 96,
      says: `${said}, ${card.rhymes.join(', ')}: they sound alike at the end. Another one?`,
    })
  if (sound !== '')
    list.push({
      id: 'sound-first',
      from: 48,
      to: 96,
      says: `${drawn(sound)} … ${said}! What else here begins with that sound?`,
    })
  return list.map((r) => ({ ...r, says: capitalised(r.says) }))
}
