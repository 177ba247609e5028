/** Which food a task has in hand: what can be looked at, smelt and spoken of by name while it is done. */
import { things } from '../../../learn/fact/phrases'
import type { PlanLine } from '../../model/line'
import { unitOf } from '../../../amount/units'

export { foodInHand, lineAtWork } from './at-work'

/** "a cup of raspberries": what a measure holds many of is many, however the line calls it. */
export const spokenName = (line: Pick<PlanLine, 'name' | 'unit'>): string =>
  SMALL.test(line.name) && unitOf(line.unit).dimension !== 'count' ? things(line.name, 2) : line.name
const SMALL = /(berry|pea|bean|lentil|raisin|olive|seed|nut)$/i
