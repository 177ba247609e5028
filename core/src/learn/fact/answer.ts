/**
 * A fact answered: what follows from it, and prompts at four levels (open, focused, choice, model) with answer, target and ages.
 * Numbers and fractions above an age are not asked of it. Source of gates: learning.md R7-R8 (common practice), from memory.
 */
import { ratio } from '../../amount/ratio'
import type { SupportLevel } from '../levels'
import { derive } from './derive'
import { FactError, isFactKind, type Derived, type FactKind, type PlainFact } from './fields'
import * as amounts from './say-amounts'
import { count } from './say-count'
import * as parts from './say-parts'
import * as patterns from './say-patterns'
import * as world from './say-world'
import { improper, type Locale, type Sayings } from './saying'

export interface FactPrompt {
  target: string
  level: SupportLevel
  says: string
  answer: string
  fromMonths: number
  toMonths: number
}
export interface FactAnswer {
  derived: Derived
  prompts: FactPrompt[]
}

/** R8: the age from which a number is within reach. */
const numberFrom = (n: number): number =>
  n <= 2 ? 12 : n <= 3 ? 24 : n <= 5 ? 36 : n <= 10 ? 48 : n <= 20 ? 60 : n <= 100 ? 84 : 96
/** R7: the age from which a part has a name; a whole number asks nothing here. */
function partFrom(text: string): number {
  const d = Number(ratio(improper(text)).d)
  if (d === 1) return 0
  if (d === 2 || d === 4) return 60
  if (d === 3) return 78
  return d === 6 || d === 8 ? 96 : d === 5 || d === 10 || d === 12 ? 108 : 144
}

const SAYINGS: Record<FactKind, Sayings> = { count, ...amounts, ...parts, ...patterns, ...world }

/** A number as text ("7", "1 3/4") for its gate. */
const size = (n: string | number): number => Math.ceil(Number(ratio(improper(String(n))).valueOf()))

/**
 * What follows from a fact, and what to say about it.
 * @param months of the child: only prompts that suit; all of them where it is not given
 * @throws FactError naming the field
 */
export function answerFact(fact: PlainFact, months?: number, locale: Locale = 'en-GB'): FactAnswer {
  const derived = derive(fact)
  if (!isFactKind(fact.kind)) throw new FactError('kind', 'is not known')
  const prompts = SAYINGS[fact.kind](fact, derived, locale)
    .map(({ from, numbers = [], parts = [], to, ...rest }): FactPrompt => {
      const gates = [
        ...numbers.filter((n) => n !== '').map((n) => numberFrom(size(n))),
        ...parts.map((p) => (p ? partFrom(p) : 0)),
      ]
      return { ...rest, fromMonths: Math.max(from, ...gates), toMonths: to }
    })
    // A gate above the last age of a prompt: it is asked of nobody.
    .filter((p) => p.fromMonths <= p.toMonths)
    .filter((p) => months === undefined || (p.fromMonths <= months && months <= p.toMonths))
  return { derived, prompts }
}
