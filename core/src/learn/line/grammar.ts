/** What a sentence needs to know of a food's name: is it one or many, and which words go with that. */
import { capitalised } from '../../amount/letter-case'
import pluralize from 'pluralize'
import type { Values } from '../fact/saying'

/** Words that end like a plural and are one thing. */
const ONE =
  /\b(couscous|hummus|houmous|asparagus|watercress|cress|molasses|swiss|hibiscus|citrus|lemongrass)$/i
const MANY = /\b(oats|greens|chives)$/i

/** "carrots" is many, "flour" one; "letter pasta" one. */
function isMany(name: string): boolean {
  const head = name
    .replace(/,.*$/, '')
    .replace(/ (in|of|with|from) .*$/i, '')
    .trim()
  if (ONE.test(head)) return false
  return (
    MANY.test(head) ||
    (pluralize.isPlural(head.split(' ').at(-1) ?? head) &&
      !pluralize.isSingular(head.split(' ').at(-1) ?? head))
  )
}

/** The words that go with a food: `{food} {is}`, `in {goes}`, `look at {it}`. */
export function foodWords(name: string): Values {
  const many = isMany(name)
  return {
    food: name,
    Food: capitalised(name),
    one: pluralize.singular(name),
    is: many ? 'are' : 'is',
    was: many ? 'were' : 'was',
    has: many ? 'have' : 'has',
    does: many ? 'do' : 'does',
    goes: many ? 'go' : 'goes',
    it: many ? 'them' : 'it',
    they: many ? 'they' : 'it',
  }
}
