/**
 * A fact answered: what follows from it, and prompts at four levels (open, focused, choice, model) with answer, targets and ages.
 * Numbers and fractions above an age are not asked of it. Source of gates: learning.md R7-R8 (common practice), from memory.
 */
import { ratio } from '../../amount/ratio'
import type { SupportLevel } from '../levels'
import { suits, targetOf } from '../targets'
import { derive } from './derive'
import { FactError, isFactKind, fieldList, type Derived, type FactKind, type PlainFact } from './fields'
import { fill, type Locale, type Saying, type Values, type ValuesOf } from './saying'
import { aloud, countValues, layer, layers, mirror, share, tastes, tin } from './values-count'
import { vessel } from './vessel'
import { jug, scaleValues, scoopValues } from './values-amount'
import { compare, cut, order, priceValues, shapeValues, temp, timer, vote, weigh } from './values-world'
import { improper } from './phrases'

export interface FactPrompt {
  /** The target it is about; where months are given, the first that suits the age. */
  target: string
  /** The other targets that it touches at that age. */
  also?: string[]
  level: SupportLevel
  /** Id of the question: its rungs are one and the same question. */
  line: string
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
/** R7: the age from which every part in a text ("3/4", "1/4 + 1/2") has a name; a whole number asks nothing here. */
const partFrom = (text: string): number =>
  Math.max(0, ...[...text.matchAll(/\d+\/(\d+)/g)].map((m) => denominatorFrom(Number(m[1]))))
function denominatorFrom(d: number): number {
  if (d === 2 || d === 4) return 60
  if (d === 3) return 78
  return d === 6 || d === 8 ? 96 : d === 5 || d === 10 || d === 12 ? 108 : 144
}
/** A number as text ("7", "1 3/4") for its gate. */
const size = (n: string): number => Math.ceil(ratio(improper(n)).valueOf())

/** Kinds that the length of a row, or the size of a tin, puts off (learning.md B0). */
function kindFrom(fact: PlainFact, saying: Saying): number {
  if (saying.level === 'model') return 0
  if (fact.kind === 'layer' && fact['core'] !== undefined) {
    const { length } = fieldList(fact, 'core')
    return length <= 2 ? 30 : length === 3 ? 48 : 84
  }
  if (fact.kind === 'scale' && saying.targets[0] === 'scale-double-halve' && saying.parts.length > 0)
    return doubleFrom(saying.parts[0] ?? '')
  const places = Number(saying.numbers[0] ?? 0)
  return fact.kind === 'tin' && places > 10 ? 72 : 0
}

/** To double or halve: whole amounts to 5, to 10, any; halves and quarters; other parts (learning.md B1, scl-f1). */
function doubleFrom(asked: string): number {
  const { n, d } = ratio(improper(asked))
  if (d > 1n) return d === 2n || d === 4n ? 78 : 96
  return n <= 5n ? 60 : n <= 10n ? 72 : 84
}

const VALUES: Record<FactKind | 'aloud', ValuesOf> = {
  ...{ aloud, compare, count: countValues, cut, jug, layer, layers, mirror, order, price: priceValues },
  ...{
    scale: scaleValues,
    scoop: scoopValues,
    shape: shapeValues,
    share,
    temp,
    timer,
    tin,
    vessel,
    tastes,
    vote,
    weigh,
  },
}

/**
 * What follows from a fact, and what to say about it.
 * @param months of the child: only prompts that suit; all of them where it is not given
 * @throws FactError naming the field
 */
export function answerFact(fact: PlainFact, months?: number, locale: Locale = 'en-GB'): FactAnswer {
  const derived = derive(fact)
  if (!isFactKind(fact.kind)) throw new FactError('kind', 'is not known')
  const kind = kindOf(fact)
  const prompts = fill(kind, VALUES[kind](fact, derived, locale), locale)
    .map((saying) => promptOf(saying, fromMonths(fact, saying)))
    // A gate above the last age of a prompt: it is asked of nobody.
    .filter((p) => p.fromMonths <= p.toMonths)
  if (months === undefined) return { derived, prompts }
  const suits = prompts.filter((p) => p.fromMonths <= months && months <= p.toMonths)
  return { derived, prompts: suits.map((p) => forAge(p, months)) }
}

/** The values of a fact by name, for what is said of it without asking. */
export function valuesOf(fact: PlainFact, locale: Locale = 'en-GB'): Values {
  if (!isFactKind(fact.kind)) return {}
  return VALUES[kindOf(fact)](fact, derive(fact), locale)
}
const kindOf = (fact: PlainFact): FactKind | 'aloud' =>
  fact.kind === 'count' && fact['aloud'] === true ? 'aloud' : (fact.kind as FactKind)

/** What can be asked of work, a sort of step, a wait, a food or a moment, where nothing is computed. */
export const answerTell = (
  about: readonly string[],
  values: Values,
  locale: Locale = 'en-GB',
): FactPrompt[] => about.flatMap((of) => fill(of, values, locale).map((s) => promptOf(s, s.from)))

/** The age from which numbers and parts are within reach: for what is said without asking. */
export const reachedFrom = (numbers: readonly string[], parts: readonly string[]): number =>
  Math.max(0, ...numbers.map((n) => numberFrom(size(n))), ...parts.map((p) => partFrom(p)))

const fromMonths = (fact: PlainFact, s: Saying): number =>
  Math.max(
    s.from,
    kindFrom(fact, s),
    ...s.numbers.map((n) => numberFrom(size(n))),
    ...s.parts.map((p) => partFrom(p)),
  )

function promptOf(s: Saying, from: number): FactPrompt {
  const [target = '', ...also] = s.targets
  const { level, line, says, answer, to } = s
  return {
    target,
    ...(also.length > 0 && { also }),
    level,
    line,
    says,
    answer,
    fromMonths: from,
    toMonths: to,
  }
}

/** A prompt touches several targets: at an age those that the age can meet, or its main one where there is none. */
export function forAge(prompt: FactPrompt, months: number): FactPrompt {
  const all = [prompt.target, ...(prompt.also ?? [])]
  const [target = prompt.target, ...rest] = all.filter((id) => isMet(id, months))
  const { level, line, says, answer, fromMonths: from, toMonths } = prompt
  return {
    target,
    ...(rest.length > 0 && { also: rest }),
    level,
    line,
    says,
    answer,
    fromMonths: from,
    toMonths,
  }
}
const isMet = (id: string, months: number): boolean => {
  const target = targetOf(id)
  return target !== undefined && suits(target, months)
}
