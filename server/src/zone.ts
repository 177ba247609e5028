/** The time zone of who asks: a server that serves many cannot know it. */
import type { Request } from 'express'
import { isTimeZone } from '@lea/core/amount'
import { Fault } from './fault'
import { queryText } from './query'

/** @param usual where none was asked for @throws Fault 400 */
export function zoneOf(req: Request, usual: string): string {
  const zone = queryText(req.query['zone']) || usual
  if (!isTimeZone(zone))
    throw new Fault(400, `'${zone.slice(0, 60)}' is no time zone, such as Europe/London`, 'zone')
  return zone
}
