/** Two columns of a printed page, side by side in a text: the left one first, then the right one. */

const GAP = /^(\s*\S.*?\S|\s*\S)(?: {3,}|\t+ *)(\S.*)$/
const PAGE = /^(?:p\.|page)\s?\d+/i
const AMOUNT_ONLY = /^(?:\d[\d./ ]*|[½⅓⅔¼¾⅛]|\d ?[½⅓⅔¼¾⅛])\s*(?:\p{L}{1,5}\.?)?$/u

/** @param lines as they stand, with their spaces */
export function inColumns(lines: readonly string[]): string[] {
  const out: string[] = []
  let left: string[] = []
  let right: string[] = []
  const close = (): void => {
    out.push(...left, ...right)
    left = []
    right = []
  }
  for (const line of lines) {
    const m = GAP.exec(line)
    const [, a = '', b = ''] = m ?? []
    if (m && PAGE.test(a.trim())) continue
    // A page's number and running title is no column; an amount and its food are one line.
    if (!m) {
      if (line.trim() !== '' || left.length === 0) {
        close()
        out.push(line)
      } else {
        left.push('')
        right.push('')
      }
    } else if (/^(?:serves|makes|yields?)\b/i.test(b.trim())) {
      close()
      out.push(a, b)
    } else if (AMOUNT_ONLY.test(a.trim()) || AMOUNT_ONLY.test(b.trim())) {
      close()
      out.push(`${a} ${b}`)
    } else {
      left.push(a)
      right.push(...b.split(/ {3,}|\t+/))
    }
  }
  close()
  return out
}
