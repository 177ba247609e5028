/** Where mats lie round the tables: at most twelve to a table, clockwise from the top left, in per cent of the picture. */

export interface Seat {
  index: number
  table: number
  left: number
  top: number
}

const PER_TABLE = 12

export function seatsFor(count: number): { seats: Seat[]; tables: number } {
  const tables = Math.max(1, Math.ceil(count / PER_TABLE))
  const seats: Seat[] = []
  for (let table = 0; table < tables; table++) {
    const from = Math.floor((table * count) / tables)
    const to = Math.floor(((table + 1) * count) / tables)
    for (let i = from; i < to; i++) seats.push({ index: i, table, ...around(placeOf(i - from, to - from)) })
  }
  return { seats, tables }
}

/** Of the twelve places of a table, three to a side, as many as there are mats, spread: none ever lies on another. */
const placeOf = (nth: number, mats: number): number => Math.round((nth * PER_TABLE) / mats) / PER_TABLE

/** A point on the rim of the table, 0 to 1 clockwise; the rim runs at 12 and 88 per cent. */
function around(share: number): { left: number; top: number } {
  const near = 11
  const far = 89
  const side = far - near
  const at = ((share + 1 / 12) % 1) * 4 * side
  if (at < side) return { left: near + at, top: near }
  if (at < 2 * side) return { left: far, top: near + at - side }
  if (at < 3 * side) return { left: far - (at - 2 * side), top: far }
  return { left: near, top: far - (at - 3 * side) }
}
