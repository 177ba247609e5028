/** Seasons by the calendar of the northern half of the world: from 1 March, June, September, December (meteorological seasons). */
import type { IsoDate } from '../amount/days'

export type Season = 'spring' | 'summer' | 'autumn' | 'winter'
const BY_MONTH: Season[] = [
  ...(['winter', 'winter', 'spring', 'spring', 'spring', 'summer'] as const),
  ...(['summer', 'summer', 'autumn', 'autumn', 'autumn', 'winter'] as const),
]
/** The season of a day, `YYYY-MM-DD`. */
export const seasonOf = (date: IsoDate): Season => BY_MONTH[Number(date.slice(5, 7)) - 1] ?? 'winter'
