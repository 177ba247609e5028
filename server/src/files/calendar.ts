/**
 * Sessions as a calendar file (iCalendar, RFC 5545), with the time zone they are meant in. Children are a number, never names: a calendar
 * is often shared.
 */
import { countText } from '@lea/core/amount'
import ICAL from 'ical.js'
import { tzlib_get_ical_block } from 'timezones-ical-library'
import type { StoredSession } from '@lea/core/setting'

export interface CalendarEntry {
  session: StoredSession
  title: string
}

/** Minutes that a session takes in the calendar where nobody said when the families come. */
const USUAL_MINUTES = 60

/** A time on the wall, `2026-11-26` at `10:15`, in a zone of the file. */
const wall = (day: string, time: string): ICAL.Time => ICAL.Time.fromDateTimeString(`${day}T${time}:00`)

/** When the zone's clocks change, as RFC 5545 wants it said. */
function zoneOf(zone: string): ICAL.Component {
  const [block] = tzlib_get_ical_block(zone)
  return new ICAL.Component(ICAL.parse(block ?? '') as unknown[])
}

function eventOf({ session, title }: CalendarEntry, zone: string, stamp: Date): ICAL.Component {
  const event = new ICAL.Component('vevent')
  const start = wall(session.date, session.start)
  const end = session.until ? wall(session.date, session.until) : start.clone()
  if (!session.until) end.addDuration(ICAL.Duration.fromData({ minutes: USUAL_MINUTES }))
  event.addPropertyWithValue('uid', `${session.id}@lea`)
  event.addPropertyWithValue('dtstamp', ICAL.Time.fromJSDate(stamp, true))
  event.addPropertyWithValue('dtstart', start).setParameter('tzid', zone)
  event.addPropertyWithValue('dtend', end).setParameter('tzid', zone)
  event.addPropertyWithValue('summary', title)
  const people = [
    countText(session.children.length + session.guests.length, 'child', 'children'),
    countText(session.adults.length, 'adult', 'adults'),
    ...(session.state === 'finished' ? ['made'] : []),
  ]
  event.addPropertyWithValue('description', people.join(', '))
  return event
}

/** @param zone an IANA zone. @param stamp when the file is made */
export function calendarOf(
  setting: string,
  entries: readonly CalendarEntry[],
  zone: string,
  stamp: Date,
): string {
  const calendar = new ICAL.Component('vcalendar')
  calendar.addPropertyWithValue('version', '2.0')
  calendar.addPropertyWithValue('prodid', '-//Lea//Diary//EN')
  // RFC 7986.
  const name = new ICAL.Property('name')
  name.resetType('text')
  name.setValue(setting)
  calendar.addProperty(name)
  calendar.addSubcomponent(zoneOf(zone))
  for (const entry of entries) calendar.addSubcomponent(eventOf(entry, zone, stamp))
  return `${calendar.toString()}\r\n`
}
