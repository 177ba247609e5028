/** From a line of frames.ts to what is drawn where; nothing is drawn that has no shape. */
import type { Drawing } from '../drawing'
import { TOOL_DRAWINGS } from '../tool-drawings'
import { FRAMES } from './frames'
import { FOODS, HANDS, MARKS, STANDS, type Shape } from './shapes'

/** Each picture is so wide and so high. */
export const FRAME = { width: 48, height: 36 } as const

export interface Placed {
  drawing: Drawing
  /** What is filled white below the lines; empty where nothing is. */
  paper: string
  /** A packaged picture of the food stands here instead, where there is one. */
  food: boolean
  x: number
  y: number
  size: number
  /** Width of a line, so that all lines of a picture are alike. */
  line: number
  /** The transform that brings a square of 24 to its place. */
  transform: string
}

const SHAPES: Readonly<Record<string, Shape>> = { ...FOODS, ...STANDS, ...MARKS, ...HANDS }

/**
 * @param tool id of the tool of the child's form; one without a drawing is left out
 * @throws where a line names what is not drawn, or stands over the edge
 */
export function scene(line: string, tool: string): Placed[] {
  return line.split(';').flatMap((item): Placed[] => {
    const [name = '', ...rest] = item.trim().split(/\s+/)
    const [x = NaN, y = NaN, size = NaN] = rest.slice(0, 3).map(Number)
    const turn = rest.find((r) => /^r-?\d+$/.test(r))
    const mirror = rest.includes('m')
    if (![x, y, size].every((n) => Number.isFinite(n))) throw new Error(`no place for: ${item}`)
    const drawing: Shape | Drawing | undefined =
      name === 'tool'
        ? TOOL_DRAWINGS[tool]
        : name === 'food'
          ? SHAPES['round']
          : (SHAPES[name] ?? TOOL_DRAWINGS[name])
    if (!drawing) {
      if (name === 'tool') return []
      throw new Error(`no drawing of: ${name}`)
    }
    const scale = size / 24
    return [
      {
        drawing,
        paper: 'paper' in drawing ? (drawing.paper ?? '') : '',
        food: name === 'food',
        x,
        y,
        size,
        line: 1.1 / scale,
        transform: `translate(${x} ${y})${turn ? ` rotate(${turn.slice(1)})` : ''} scale(${mirror ? -scale : scale} ${scale}) translate(-12 -12)`,
      },
    ]
  })
}

/** The pictures of a technique, in order; none for one that Lea does not know. */
export const framesOf = (technique: string): readonly string[] =>
  FRAMES[technique]?.split('|').map((f) => f.trim()) ?? []
