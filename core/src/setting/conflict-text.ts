/** A change that met somebody else's, in words: what they did, and what was meant here. */
import type { Decision } from '../plan/model/decision'
import type { Plan } from '../plan/model/plan'
import { nameToken } from '../plan/model/finding'
import { decisionText } from '../plan/view/decision-text'
import type { SessionChange, SessionConflict } from './session-changes'

export interface ConflictWords {
  /** What it is about: "the start". Names as tokens. */
  about: string
  theirs: string
  mine: string
}

const ABOUT: Record<Exclude<SessionChange['kind'], 'guest'>, string> = {
  decide: 'a decision',
  date: 'the day',
  start: 'the start',
  until: 'when families come',
  recipe: 'the recipe',
  seats: 'the seats',
  child: 'who comes',
  adult: 'which adults come',
}

const text = (now: SessionConflict['now']): string => (typeof now === 'string' ? now : '')

/**
 * @param plan in which jobs and ideas have their names
 * @param recipeName of a recipe's row
 */
export function conflictWords(
  { change, now }: SessionConflict,
  plan: Plan | null,
  recipeName: (id: string) => string,
): ConflictWords {
  switch (change.kind) {
    case 'decide': {
      const says = (d: Decision | null): string => (d ? decisionText(d, plan) : 'nothing: it was taken back')
      return { about: ABOUT.decide, theirs: says(now as Decision | null), mine: says(change.to) }
    }
    case 'guest': {
      const id = change.to?.id ?? change.was?.id ?? ''
      const says = (here: unknown): string => (here ? 'comes, with another card' : 'does not come')
      return { about: `the guest ${nameToken(id)}`, theirs: says(now), mine: says(change.to) }
    }
    case 'seats':
      return { about: ABOUT.seats, theirs: 'other seats', mine: 'these seats' }
    case 'recipe':
      return { about: ABOUT.recipe, theirs: recipeName(text(now)), mine: recipeName(change.to) }
    case 'until':
      return { about: ABOUT.until, theirs: text(now) || 'not said', mine: change.to ?? 'not said' }
    case 'date':
    case 'start':
      return { about: ABOUT[change.kind], theirs: text(now), mine: change.to }
    case 'child':
    case 'adult':
      return {
        about: ABOUT[change.kind],
        theirs: nameToken(change.id),
        mine: change.here ? 'comes' : 'does not come',
      }
  }
}
