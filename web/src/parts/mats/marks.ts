/** Labels under a strip: which of them have room. */

export interface Mark {
  text: string
  /** Number of the end that it stands under; 0 is the beginning. */
  i: number
  /** Where it stands, in per cent. */
  left: number
}

/** So many signs have room in a label's room: "1 2/3". */
const SHORT = 6

/**
 * The first, the last, and between them those that are far enough from their neighbours.
 * @param widths of the scoops, in per cent
 * @param room that a label takes, in per cent of the strip
 */
export function roomFor(marks: readonly string[], widths: readonly number[], room: number): Mark[] {
  let at = 0
  const ends = marks.map((text, i): Mark => {
    if (i > 0) at += widths[i - 1] ?? 0
    return { text, i, left: Math.min(100, at) }
  })
  const last = ends.at(-1)
  /** A long label ("1 2/3 cup + 6 tsp") takes more than one of a few signs; the last stands wholly before its end. */
  const wide = (m: Mark): number => room * Math.max(1, m.text.length / SHORT)
  return ends.reduce<Mark[]>((shown, mark) => {
    const before = shown.at(-1)
    const fits = !before || mark.left - before.left >= (wide(mark) + wide(before)) / 2
    const beside = !last || mark.i === 0 || last.left - mark.left >= wide(last) + wide(mark) / 2 - room / 2
    if (mark === last || (fits && beside)) shown.push(mark)
    return shown
  }, [])
}
