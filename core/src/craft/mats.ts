/** Place mats: 12 weaves by 8 colours, told apart without colour; from the thirteenth child a border is added. */

const WEAVES = [
  'stripe',
  'dot',
  'check',
  'wave',
  'zigzag',
  'cross',
  'ring',
  'brick',
  'leaf',
  'scale',
  'star',
  'band',
] as const
export type Weave = (typeof WEAVES)[number]

const COLOURS = ['#1d6a86', '#8a1e4d', '#2f6b2b', '#b04a16', '#5b3fa0', '#6b5d00', '#0e6e74', '#8c2f2f']

export interface MatLook {
  weave: Weave
  colour: string
  bordered: boolean
}

/** The look of a mat by its number, 0 first. */
export function matLook(number: number): MatLook {
  const n = Math.abs(Math.trunc(number))
  return {
    weave: WEAVES[n % WEAVES.length] ?? 'stripe',
    colour: COLOURS[(n + Math.floor(n / COLOURS.length / 3)) % COLOURS.length] ?? '#17312b',
    bordered: n >= WEAVES.length,
  }
}

/** One tile of a weave as SVG, 12 by 12, drawn in `currentColor`. */
export const TILES: Record<Weave, string> = {
  stripe: '<path d="M0 2h12M0 6h12M0 10h12" stroke="currentColor" stroke-width="1.8"/>',
  dot: '<circle cx="3" cy="3" r="2" fill="currentColor"/><circle cx="9" cy="9" r="2" fill="currentColor"/>',
  check: '<path d="M0 0h6v6H0zM6 6h6v6H6z" fill="currentColor"/>',
  wave: '<path d="M0 4q3-4 6 0t6 0M0 10q3-4 6 0t6 0" stroke="currentColor" stroke-width="1.8" fill="none"/>',
  zigzag:
    '<path d="M0 5l3-4 3 4 3-4 3 4M0 11l3-4 3 4 3-4 3 4" stroke="currentColor" stroke-width="1.8" fill="none"/>',
  cross: '<path d="M3 1v4M1 3h4M9 7v4M7 9h4" stroke="currentColor" stroke-width="1.8"/>',
  ring: '<circle cx="6" cy="6" r="3.6" fill="none" stroke="currentColor" stroke-width="1.8"/>',
  brick: '<path d="M0 0h12M0 6h12M3 0v6M9 6v6" stroke="currentColor" stroke-width="1.8"/>',
  leaf: '<path d="M2 10q0-8 8-8q0 8-8 8z" fill="currentColor"/>',
  scale:
    '<path d="M0 6a6 6 0 0 0 12 0M-6 0a6 6 0 0 0 12 0a6 6 0 0 0 12 0" stroke="currentColor" stroke-width="1.6" fill="none"/>',
  star: '<path d="M6 1v10M1.5 3.5l9 5M1.5 8.5l9-5" stroke="currentColor" stroke-width="1.6"/>',
  band: '<path d="M2 0v12M5 0v12" stroke="currentColor" stroke-width="1.6"/><path d="M9 0v12" stroke="currentColor" stroke-width="3"/>',
}

/**
 * The mat number of everyone at the table: the child's own, and for those without one the next that is free.
 * @param own mats that children keep, by id
 * @param ids everyone, the roster before the guests
 */
export function matNumbers(
  own: readonly { id: string; mat?: number | undefined }[],
  ids: readonly string[],
): Map<string, number> {
  const map = new Map<string, number>()
  for (const c of own) if (c.mat !== undefined) map.set(c.id, c.mat)
  const taken = new Set(map.values())
  let next = 0
  for (const id of ids) {
    if (map.has(id)) continue
    while (taken.has(next)) next += 1
    taken.add(next)
    map.set(id, next)
  }
  return map
}
