/** How strictly a family's words mean an allergy, where they say so. Levels: allergens.md E1 (NHS, clinical guidelines), from memory. */
import type { Level } from '../concern'
import { normaliseLabel } from '../label/text'

/** In the order in which they are asked: the strictest word that stands there holds. */
const WORDS: [level: Level, words: RegExp][] = [
  ['not-in-room', /\b(airborne|air borne|not in (the )?room|in the same room|by smell|in the air)\b/],
  [
    'anaphylaxis-risk',
    /anaphyla|anafila|анафіл|epipen|jext|emerade|adrenalin|auto ?injector|injector pen|\bpen carrier\b/,
  ],
  ['fpies', /\bfpies\b/],
  ['coeliac', /(coeliac|celiac|zoliakie|celiaqu|celiak|coeliaqu|целіак|seliag|colyak)/],
  [
    'allergy-eats-baked',
    /\b(baked|in cakes|well cooked|ladder|gebacken|pieczon|horneado|al forno|gebakken)\b/,
  ],
  [
    'allergy-strict',
    /\b(no traces|not even traces|strict|strictly|severe|severely|schwere|grave|ciezka|sever[aă]?)\b/,
  ],
  ['allergy-ingredient', /\b(traces (are )?(ok|fine)|may contain (is )?(ok|fine))\b/],
  [
    'intolerance',
    /(intoleran|intoleranz|nietoleranc|unvertraglich|непереносим|عدم تحمل|anoddefiad|intolleran)/,
  ],
  ['contact-skin', /\b(on contact|skin contact|to touch|contact rash)\b/],
  ['preference', /\b(prefer|would rather not|does not like|doesn t like|dislikes|by choice)\b/],
]

/** @returns the level that the words name, for each of the ids; none where they name none */
export function levelsIn(text: string, ids: readonly string[]): Record<string, Level> {
  const plain = normaliseLabel(text)
  const level = WORDS.find(([, words]) => words.test(plain))?.[0]
  if (!level) return ids.includes('coeliac') ? { coeliac: 'coeliac' } : {}
  return Object.fromEntries(
    ids
      .filter((id) => (level === 'coeliac' ? id === 'coeliac' || id === 'gluten-cereals' : true))
      .map((id) => [id, id === 'lactose-intolerance' ? 'intolerance' : level]),
  )
}
