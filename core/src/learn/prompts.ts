/**
 * Prompts: one fact, said at four levels from showing to an open question, in our own words.
 * A number that the child cannot be expected to count is turned into something honest, or not asked.
 * Source of levels and ages: learning.md D (common practice, from memory).
 */
import { numberText } from '../amount/show'
import { ratio, toInteger } from '../amount/ratio'
import { clockAfter, scoopDerived, shareDerived, type Fact } from './facts'

export type SupportLevel = 'model' | 'choice' | 'focused' | 'open'
export const SUPPORT_LEVELS: readonly SupportLevel[] = ['model', 'choice', 'focused', 'open']

export interface Prompt {
  level: SupportLevel
  says: string
  answer: string
}

/** The level to begin with at an age: comment more under 3, ask more later. */
export function startLevel(months: number): SupportLevel {
  if (months < 36) return 'model'
  if (months < 48) return 'choice'
  return months < 84 ? 'focused' : 'open'
}

const one = (n: number, word: string, many = `${word}s`): string => `${n} ${n === 1 ? word : many}`

const countAloud = (n: number, thing: string): string => {
  const shown = Math.min(n, 3)
  const words = ['One', 'two', 'three'].slice(0, shown).join('… ')
  return n > 3 ? `${words}… and on to ${n}! ${n} ${thing}.` : `${words}! ${n} ${thing}.`
}

/** The prompts for a fact, from showing to open; each with its answer. */
export function promptsFor(fact: Fact): Prompt[] {
  switch (fact.kind) {
    case 'scoop':
      return scoopPrompts(fact)
    case 'count':
      return countPrompts(fact.food, fact.n)
    case 'share':
      return sharePrompts(fact.food, fact.n, fact.people)
    case 'timer':
      return timerPrompts(fact.minutes, fact.start)
  }
}

function scoopPrompts(fact: Extract<Fact, { kind: 'scoop' }>): Prompt[] {
  const derived = scoopDerived(fact.target, fact.measure, fact.k)
  const size = `${numberText(fact.measure)} ${fact.unitWord}`
  const target = `${numberText(fact.target)} ${fact.unitWord}`
  if (!derived.whole) {
    return [
      {
        level: 'model',
        says: `Look, the ${fact.food} goes in. Nearly full, and stop!`,
        answer: 'looks, or says stop',
      },
      {
        level: 'open',
        says: `The ${size} does not fit ${target} exactly. What could we do?`,
        answer: `one scoop more or less is not ${target}: take the nearest`,
      },
    ]
  }
  const n = toInteger(ratio(derived.scoops))
  const scoops = one(n, 'scoop')
  const prompts: Prompt[] = [
    {
      level: 'model',
      says: countAloud(n, n === 1 ? 'scoop' : 'scoops'),
      answer: 'looks, joins in, or says a number',
    },
    {
      level: 'choice',
      says: `Is this scoop of ${fact.food} full, or half full?`,
      answer: 'full, and level',
    },
    {
      level: 'focused',
      says: `We need ${target} of ${fact.food}. How many scoops of ${size}? Let us count.`,
      answer: scoops,
    },
  ]
  prompts.push(
    fact.k > 0
      ? {
          level: 'open',
          says: `${one(fact.k, 'scoop')} of ${size} ${fact.k === 1 ? 'is' : 'are'} in. What could we call that much?`,
          answer: `${derived.running} ${fact.unitWord}; ${derived.left} still to come`,
        }
      : {
          level: 'open',
          says: `If the scoop were half as big, how many would we need? Why?`,
          answer: `${2 * n}: a smaller scoop, more scoops`,
        },
  )
  return prompts
}

function countPrompts(food: string, n: number): Prompt[] {
  const rising: Prompt[] = [
    { level: 'model', says: countAloud(n, food), answer: 'looks, joins in, or says a number' },
    { level: 'focused', says: `How many ${food}? Touch or say each one once.`, answer: String(n) },
    {
      level: 'open',
      says: `There will be one more. How many ${food} then? How do you know?`,
      answer: String(n + 1),
    },
  ]
  const other = n > 1 ? n - 1 : n + 1
  rising.splice(1, 0, { level: 'choice', says: `Is it ${other} ${food}, or ${n}?`, answer: String(n) })
  return rising
}

function sharePrompts(food: string, n: number, people: number): Prompt[] {
  const d = shareDerived(n, people)
  const left = d.left === 0 ? 'none left over' : `${d.left} left over`
  return [
    {
      level: 'model',
      says: `One for you, one for you… until everybody has some ${food}.`,
      answer: 'gives one to each',
    },
    {
      level: 'choice',
      says: 'Has everybody got one, or is somebody waiting?',
      answer: 'looks round the table',
    },
    {
      level: 'focused',
      says: `${n} ${food}, ${one(people, 'child', 'children')}. How many each?`,
      answer: `${d.each} each, ${left}`,
    },
    {
      level: 'open',
      says: `How could we share ${n} ${food} fairly between ${people}?`,
      answer:
        d.left === 0 ? `${d.each} each` : `${d.exactEach} each if we cut, or ${d.each} each and ${left}`,
    },
  ]
}

function timerPrompts(minutes: number, start: string): Prompt[] {
  return [
    { level: 'model', says: 'Now we wait. Wait… wait… ready!', answer: 'waits, or says ready' },
    {
      level: 'choice',
      says: 'Is it a short wait or a long wait?',
      answer: minutes >= 10 ? 'a long one' : 'a short one',
    },
    {
      level: 'focused',
      says: `It takes ${one(minutes, 'minute')}. What can we do ten times while we wait?`,
      answer: 'any idea, then count to ten',
    },
    {
      level: 'open',
      says: `It starts at ${start} and takes ${one(minutes, 'minute')}. When is it done?`,
      answer: clockAfter(start, minutes),
    },
  ]
}

/** The numbers a prompt asks a child to say: none may lie above what the group counts to, below the open level. */
export const largestNumber = (fact: Fact): number => {
  if (fact.kind === 'scoop') return Number(ratio(fact.target).div(fact.measure).ceil().toFraction())
  if (fact.kind === 'count') return fact.n
  return fact.kind === 'share' ? Math.max(fact.n, fact.people) : 10
}
