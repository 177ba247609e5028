/** The time zone of who asks: a server that serves many cannot know it. */
import type { Request } from 'express'
import { Fault } from './fault'
import { queryText } from './query'

/** Is it a zone that this machine knows: `Europe/London`? */
export function isZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone })
    return true
  } catch {
    return false
  }
}

/** @param usual where none was asked for @throws Fault 400 */
export function zoneOf(req: Request, usual: string): string {
  const zone = queryText(req.query['zone']) || usual
  if (!isZone(zone))
    throw new Fault(400, `'${zone.slice(0, 60)}' is no time zone, such as Europe/London`, 'zone')
  return zone
}
