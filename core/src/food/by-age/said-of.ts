/** What words say of one food among several: "whole grapes and quartered strawberries" quarters no grape. */
import { foodsStanding } from '../food-names'
import { normaliseLabel } from '../label/text'
import { clausesOf, formsOf, plainWords, type Forms } from './forms'

const padded = (text: string): string => ` ${normaliseLabel(text)} `

/** Words of the kitchen that are names of foods too. */
const NO_FOOD = /\b(?:spread|toast|roast|stew|dish|mix|top|ground|water|pulp)\b/g

/** Another food stands in what is left of a clause once this food's name is taken out. */
function namesAnother(clause: string, name: string): boolean {
  const rest = padded(clause).replaceAll(` ${name} `, ' ').replace(NO_FOOD, ' ').trim()
  return rest !== '' && foodsStanding(rest).length > 0
}

/**
 * @param name the name by which the food stands in the words, as it is matched
 * @param what the words that name it; a clause that names no food belongs to the food before it
 * @param as words about all that is named; what they say with another food's name is that food's
 */
export function formsSaidOf(name: string, what: string, as: string): Forms {
  const read = (text: string) => {
    let mine = true
    return clausesOf(plainWords(text)).flatMap((clause) => {
      const named = padded(clause).includes(` ${name} `)
      const other = namesAnother(clause, name)
      if (named || other) mine = named
      if (!mine) return []
      // Two foods in one clause: which of them is meant is not said.
      return named && other ? [] : [{ text: clause, named, ...(named && { name }) }]
    })
  }
  return formsOf([...read(what), ...read(as)])
}
