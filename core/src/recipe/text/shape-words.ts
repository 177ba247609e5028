/**
 * The preparation of a line as a code of the choking rules, where its own words say it; never from the steps, where "cook until soft" may
 * mean another food. What the words do not say is not there, and the rules then ask.
 */
const WORDS: [RegExp, string][] = [
  [/\b(grated|shredded)\b/i, 'GRATE'],
  [/\b(mashed|crushed to a (pulp|paste)|pur[eé]ed|smooth)\b/i, 'MASH'],
  [/\bquartered (lengthwise|lengthways|long ways)\b/i, 'QL'],
  [/\b(cooked|boiled|steamed|roasted) (until |very )?(soft|tender)\b/i, 'COOKSOFT'],
  [/\b(ground|milled) fine(ly)?\b|\bfinely (ground|milled)\b/i, 'GROUND'],
  [/\bthinly sliced\b|\bcut (in|into) thin slices\b/i, 'SLICE'],
  [/\bhalved\b|\bcut in half\b/i, 'HALVE'],
]

/** @param prep the preparation of the line, in words. @returns a code of `PREPARATIONS`, or undefined */
export const shapeIn = (prep: string | undefined): string | undefined =>
  prep === undefined ? undefined : WORDS.find(([words]) => words.test(prep))?.[1]
