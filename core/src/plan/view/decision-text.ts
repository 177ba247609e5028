/** A decision in a few words, for the list of what was chosen. `{{id}}` stands for a name. */
import { countText, numberText } from '../../amount/show'
import { ratio } from '../../amount/ratio'
import { toolName } from '../../craft/tools'
import type { Make } from '../../recipe/make'
import type { Decision, Measuring } from '../model/decision'
import { heatPlaceOf } from '../../recipe/heat-places'
import { nameToken } from '../model/finding'
import type { Plan, SwapSet } from '../model/plan'

/** The ways of measuring, in words. */
export const MEASURING_WORDS: Record<Measuring, string> = {
  recipe: 'as the recipe says',
  cups: 'cups and spoons',
  grams: 'on the scale',
  parts: 'any one cup, in parts',
}

/** @param plan in which its tasks and ideas have their names; one that is gone is said to be */
export function decisionText(d: Decision, plan: Plan | null): string {
  const job = (id: string): string => plan?.tasks.find((t) => t.id === id)?.name ?? 'a job that is gone'
  const idea = (step: string, id: string): string =>
    plan?.talk.find((t) => t.step === step)?.ideas?.find((i) => i.id === id)?.says ?? 'an idea that is gone'
  const stepTitle = (id: string): string =>
    plan?.schedule.find((s) => s.step === id)?.title ?? 'a step that is gone'
  const lines = plan?.bowls.flatMap((b) => b.lines) ?? []
  const lineName = (id: string): string => {
    const line = lines.find((l) => l.line === id)
    return line?.swappedFrom ?? line?.name ?? 'a line that is gone'
  }
  const food = (id: string): string => lines.find((l) => l.food === id)?.name ?? wordsOf(id)
  switch (d.kind) {
    case 'swap':
      return swapText(d.swap)
    case 'leave-out':
      return `left out: ${lineName(d.line)}`
    case 'chooses':
      return `${nameToken(d.child)} takes ${d.lines.map(lineName).join(', ') || 'none'}`
    case 'apart':
      return `own bowl: ${d.children.map(nameToken).join(', ')}`
    case 'packet':
      return `packet read: ${food(d.food)}`
    case 'shape':
      return `prepared another way: ${lineName(d.line)}`
    case 'measure':
      return `measure for ${lineName(d.line)}`
    case 'scoops':
      return `scoops for ${job(d.task)}`
    case 'scooping':
      return d.way === 'quick' ? 'as few scoops as can be' : 'even turns'
    case 'measuring':
      return `measured: ${MEASURING_WORDS[d.way]}`
    case 'make':
      return makeText(d.make)
    case 'got':
      return `got: ${food(d.food)}`
    case 'move':
      return `moved: ${stepTitle(d.step)} before ${stepTitle(d.before)}`
    case 'place':
      return `${heatPlaceOf(d.to)?.name ?? d.to} instead of ${heatPlaceOf(d.from)?.name ?? d.from}`
    case 'laid':
      return `laid out: ${d.n} ${toolName(d.tool, d.n)}`
    case 'pin':
      return `pinned: ${nameToken(d.child)}`
    case 'stands':
      return `${nameToken(d.adult)} at: ${job(d.task)}`
    case 'adult-does':
      return `an adult does: ${job(d.task)}`
    case 'two-sittings':
      return `two sittings, a rest after: ${stepTitle(d.after)}`
    case 'open-eyes':
      return `${stepTitle(d.step)}: with open eyes`
    case 'rounds':
      return `${stepTitle(d.step)}: ${countText(d.times, 'round')}`
    case 'idea':
      return `to talk of in ${stepTitle(d.step)}: ${d.idea === 'tell' ? 'only words' : idea(d.step, d.idea)}`
    case 'ask':
      return `asked in ${stepTitle(d.step)}: ${nameToken(d.child)}`
    case 'quiet':
      return `nobody is asked: ${stepTitle(d.step)}`
    case 'own-prompt':
      return `own words in ${stepTitle(d.step)}`
    case 'line':
      return d.use === 'not' ? 'one line that is not said' : `one more line in ${stepTitle(d.step)}`
    case 'clear':
      return `cleared by ${nameToken(d.who)}`
  }
}

/** Ids of foods are their names with hyphens; the table of names stays with workers and server. */
const wordsOf = (id: string): string => id.replace(/^own:|~.*$/g, '').replaceAll('-', ' ')

/** "oat drink instead of buttermilk". */
function swapText(id: string): string {
  const [from = '', to = ''] = id.split('>')
  return to === ''
    ? 'a swap that is gone'
    : `${wordsOf(to).replaceAll('+', ' and ')} instead of ${wordsOf(from)}`
}

/** "1 1/2 batches", "2 portions more than children". */
function makeText(make: Make): string {
  switch (make.by) {
    case 'children':
      return make.more === 0 ? 'by the children' : `${make.more} more than children`
    case 'portions':
      return `${numberText(make.portions)} portions`
    case 'pieces':
      return `${make.pieces} pieces`
    case 'batches':
      return `${numberText(make.batches)} ${ratio(make.batches).compare(1) > 0 ? 'batches' : 'batch'}`
    case 'tin':
      return 'to fill another tin'
    case 'cases':
      return `${make.cases} cases`
  }
}

/** The smallest set of changes in a line: "buttermilk: oat drink and lemon juice; egg: left out." */
export const swapSetText = ({ swaps }: SwapSet): string =>
  swaps.length === 0 ? '' : `${swaps.map((s) => `${s.from}: ${s.to ?? 'left out'}`).join('; ')}.`
