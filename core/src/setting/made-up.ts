/** A made-up group, to see what a plan is before anything is typed: invented children, on nobody's roster, and nothing of it is kept. */
import type { StoredAdult, StoredGuest, StoredSession } from './assemble'

/** The id of the one session that stays on the screen. */
export const MADE_UP = 'made-up'

/** Six at one table, from two and a half to six and a half years; among them what most often asks for a change. */
const GROUP: readonly StoredGuest[] = [
  child('Ash', 30),
  child('Birch', 41, { concerns: [{ allergen: 'milk', level: 'allergy-strict' }] }),
  child('Cedar', 48, { hand: 'left' }),
  child('Fern', 55, { diets: ['vegetarian'] }),
  child('Hazel', 63),
  child('Rowan', 78),
]

function child(nickname: string, months: number, more: Partial<StoredGuest> = {}): StoredGuest {
  return {
    id: `guest-${MADE_UP}-${nickname.toLowerCase()}`,
    nickname,
    months,
    concerns: [],
    diets: [],
    languages: [],
    needs: [],
    ...more,
  }
}

/**
 * @param day `YYYY-MM-DD`
 * @param recipe id of one of the setting's recipes
 * @param adults of the setting: two of them lead
 */
export const madeUpSession = (
  day: string,
  recipe: string,
  adults: readonly StoredAdult[],
): StoredSession => ({
  id: MADE_UP,
  date: day,
  start: '10:00',
  recipe,
  children: [],
  guests: [...GROUP],
  adults: adults.slice(0, 2).map((a) => a.id),
  seats: [],
  decisions: [],
  state: 'planned',
})
