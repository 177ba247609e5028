/** What a change of who comes, or of a card, has changed in the plan, in one sentence. */
import { countText } from '../../amount/show'
import { dietOfKey } from '../../food/diets'
import { allergenName } from '../../food/allergens'
import { nameToken, type Finding } from '../model/finding'
import type { Plan } from '../model/plan'

const grown = (before: readonly Finding[], after: readonly Finding[]): Finding[] => {
  const known = new Set(before.map((f) => `${f.id} ${f.cause}`))
  return after.filter((f) => !known.has(`${f.id} ${f.cause}`))
}

/**
 * "Caspian comes: 2 new stops (sesame, egg); for 9 instead of 8; ends 11:52 instead of 11:45."
 * Names stand as tokens (`{{id}}`) until the text is shown.
 * @param before the plan before, or null where there was none
 */
export function whatChanged(before: Plan | null, after: Plan): string {
  const was = new Set(before?.children.map((c) => c.id))
  const is = new Set(after.children.map((c) => c.id))
  const came = [...is].filter((id) => !was.has(id)).map(nameToken)
  const left = [...was].filter((id) => !is.has(id)).map(nameToken)
  const cards = after.children
    .filter(({ id, card }) => {
      const known = before?.children.find((c) => c.id === id)?.card
      return known !== undefined && card !== undefined && known !== card
    })
    .map((c) => c.id)
  const parts: string[] = []
  const stops = grown(before?.findings ?? [], after.findings).filter((f) => f.grade === 'stop')
  const fewer =
    (before?.findings ?? []).filter((f) => f.grade === 'stop').length -
    after.findings.filter((f) => f.grade === 'stop').length
  if (stops.length > 0) {
    const mine = stops.flatMap((f) =>
      f.touches
        .filter((t) => (!was.has(t.child) || cards.includes(t.child)) && dietOfKey(t.about) === null)
        .map((t) => allergenName(t.about)),
    )
    const about = [...new Set(mine)].join(', ')
    parts.push(
      `${stops.length} new or changed ${stops.length === 1 ? 'stop' : 'stops'} to settle${about ? ` (${about})` : ''}`,
    )
  } else if (fewer > 0) parts.push(`${countText(fewer, 'stop')} fewer`)
  else parts.push('no new stop: packets are still read on the day')
  if (before && was.size !== is.size) parts.push(`amounts for ${is.size} instead of ${was.size}`)
  if (before && before.totals.endsAt !== after.totals.endsAt)
    parts.push(`ends ${after.totals.endsAt} instead of ${before.totals.endsAt}`)
  const who = [
    came.length > 0 ? `${came.join(', ')} came` : '',
    left.length > 0 ? `${left.join(', ')} left` : '',
    cards.length > 0 ? `${cards.map(nameToken).join(', ')} with another card` : '',
  ].filter(Boolean)
  return `${who.length > 0 ? `${who.join(', ')}: ` : ''}${parts.join('; ')}.`
}
