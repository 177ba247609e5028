/**
 * A picture drawn for Lea, on a square of 24: lines, and what is filled. Round ends, one weight, a fill where something is inside.
 */
export interface Drawing {
  line: string
  fill?: string
}

/** A filled or drawn circle. */
export const dot = (x: number, y: number, r = 1.6): string =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0z`
