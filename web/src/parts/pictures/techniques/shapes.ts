/**
 * What the pictures of techniques are made of, each on a square of 24: hands as a child sees its own, places, foods before and after, and
 * marks of movement. `paper` is filled white, so that a hand covers what it holds.
 */
import { dot, type Drawing } from '../drawing'

export interface Shape extends Drawing {
  /** What is filled white below the lines. */
  paper?: string
}

const shape = (paper: string, line = '', fill?: string): Shape => ({
  paper,
  line: paper + line,
  ...(fill !== undefined && { fill }),
})
const marks = (line: string, fill?: string): Shape => ({ line, ...(fill !== undefined && { fill }) })
const many = (at: readonly (readonly [number, number])[], r: number): string =>
  at.map(([x, y]) => dot(x, y, r)).join('')

const BOWL = 'M2 9h20a10 10.500 0 0 1-20 0z'
const BOARD = 'M1 10.5h22v2.5H1z'
const POT = 'M4 10h16v8a3 3 0 0 1-3 3H7a3 3 0 0 1-3-3z'

/** Hands as a child sees its own. */
export const HANDS: Readonly<Record<string, Shape>> = {
  // Fingers up, the palm to the child.
  open: shape(
    'M8 23v-5c-2-2-4-4-5-7 1-2 3 0 5 2V6c0-2 2.500-2 2.500 0v5V3.500c0-2 2.500-2 2.500 0V11V5c0-2 2.500-2 2.500 0v6.500V8c0-2 2.500-2 2.500 0v8c0 2-1.500 4-2 7z',
  ),
  // A fist around something upright.
  grip: shape(
    'M7 6h9c3 0 5 2 5 6s-2 6-5 6H8c-3 0-5-2-5-5s1-7 4-7z',
    'M8 6v4.500M12 6v4.500M16 6v4.500M3.500 13H12c2.500 0 2.500 3.500 0 3.500H8',
  ),
  // Laid flat, seen from the side.
  flat: shape(
    'M1 14c0-3 2-4 5-4h11c4 0 6 1.500 6 3s-1 2.500-4 2.500H5c-3 0-4 0-4-1.500z',
    'M6 10c0-3 3-4 6-2.500',
  ),
  // Thumb on one side, fingers on the other: a bridge.
  bridge: shape('M2 22V12C2 5 6 2 12 2s10 3 10 10v10h-4V13c0-4-2-6-6-6s-6 2-6 6v9z', 'M12 2v5M16 3.500l-1 4'),
  // Finger tips tucked in.
  claw: shape('M2 6c6-3 13-2 16 2 2 3 2 7 1 11h-3l-1-6-1 6h-3l-1-6-1 6H6l-1-6c-2 0-3-1-3-3z'),
  // Finger and thumb meet at the lower end.
  pinch: shape('M3 2c8-1 14 2 15 8l-4 9c-1 2-3 1-3-1l1-5c-4 1-8 0-9-4z', 'M12 13l-2.500 6'),
  // A palm that carries, from the side.
  carry: shape('M1 9c3-1 4 1 5 3h13c2 0 3 2 1 3.500-5 3-12 3-16-1.500z'),
  // Two palms with something between them.
  palms: shape('M1 7c8-3 15-3 22 0v3c-8-3-14-3-22 0zM1 17c8 3 15 3 22 0v-3c-8 3-14 3-22 0z'),
  pin: shape('M6 9h12v6H6z', 'M1 12h5m12 0h5'),
  glove: shape('M6 22V10a6 6 0 0 1 12 0v12zM6 14c-3 0-4.500-4-2-5', 'M6 18.500h12'),
  face: shape(dot(12, 12, 10), 'M8.500 10h.1m6.900 0h.1M7.500 15c3 3 6 3 9 0'),
}

/** Where it is done, and in what. */
export const STANDS: Readonly<Record<string, Shape>> = {
  bowl: shape(BOWL),
  full: shape(BOWL, '', 'M4 12h16c-1.500 4-4 5.500-8 5.500S5.500 16 4 12z'),
  board: shape(BOARD),
  pot: shape(POT, 'M1.500 12H4m16 0h2.500'),
  tray: shape('M1 13h22l-2 7H3z'),
  cup: shape('M6 6h12l-1.500 15h-9z'),
  jar: shape('M6 9h12v10a2.500 2.500 0 0 1-2.500 2.500h-7A2.500 2.500 0 0 1 6 19zM5 4h14v5H5z'),
  cases: shape('M1 10h7l-1 10H2zM8.500 10h7l-1 10h-5zM16 10h7l-1 10h-5z'),
  filled: shape(
    'M1 10h7l-1 10H2zM8.500 10h7l-1 10h-5zM16 10h7l-1 10h-5z',
    '',
    'M1 10c1-4 6-4 7 0zM8.500 10c1-4 6-4 7 0zM16 10c1-4 6-4 7 0z',
  ),
  plate: shape('M1 16h22c-2 3-5 4-8 4H9c-3 0-6-1-8-4z'),
  table: shape('M1 9h22v3H1zM4 12v10M20 12v10'),
  hob: shape('M2 14h20v8H2z', 'M5 14h14M6 18h.1M11 18h.1M16 18h.1'),
  oven: shape('M3 2h18v20H3z', 'M6 9h12v9H6zM6.500 5.500h.1m4.900 0h.1m4.900 0h.1'),
  grill: shape('M3 3h18v18H3z', 'M6 7c2-2 2 2 4 0s2 2 4 0 2 2 4 0M6 15h12M6 18h12'),
  fire: shape(
    'M12 2c1 5 6 6 6 12a6 6 0 0 1-12 0c0-3 2-4 2-6 2 1 3 2 3 4 2-3 2-6 1-10z',
    'M2 22l20-3M2 19l20 3',
  ),
  tap: shape('M4 4h9a5 5 0 0 1 5 5v2h-4V9a1 1 0 0 0-1-1H4z', 'M9 4V2m-2 0h4'),
  basin: shape('M1 10h22l-3 11H4z', '', 'M3 13h18l-1.500 6h-15z'),
  toaster: shape('M3 8h18v12H3z', 'M7 8V4h3.500v4m3 0V4H17v4'),
  heater: shape('M2 5h20v15H2z', 'M5 8h9v9H5zM18 9h.1m-.1 4h.1'),
  fryer: shape('M5 3h14v18H5z', 'M5 11h14M10 15h4M9 7h6'),
  blender: shape('M6 3h12l-2 11H8zM7 14h10l1 8H6z', 'M5 3h14M12 18.500h.1'),
  bins: shape('M2 8h8l-1 13H3zM14 8h8l-1 13h-6z', 'M1 8h10M13 8h10'),
  setting: shape(dot(12, 12, 6), 'M3 5v14M21 5v14M19.500 5v4h3V5'),
  clear: shape('M1 9h22v3H1zM4 12v10M20 12v10', 'M8 3l1 3m3-4v3m4-2l-1 3'),
}

/** Foods before and after. */
export const FOODS: Readonly<Record<string, Shape>> = {
  round: shape(dot(12, 13, 8), 'M12 5c0-2 1-3 3-3'),
  half: shape('M3 12a9 9 0 0 0 18 0z', 'M3 12h18'),
  halves: shape('M1 10a5 5 0 0 0 10 0zM13 10a5 5 0 0 0 10 0z'),
  bits: shape('M2 14h5v5H2zM9 14h5v5H9zM16 14h5v5h-5zM5.500 8h5v5h-5zM12.500 8h5v5h-5z'),
  slices: shape('M4 8h3v11H4zM9 8h3v11H9zM14 8h3v11h-3zM19 8h3v11h-3z'),
  stick: shape('M3 15L18 5l3 3L6 18c-2 1-4-1-3-3z'),
  strips: shape('M3 6h18v2H3zM3 11h18v2H3zM3 16h18v2H3z'),
  sprig: marks('M12 22V3M12 7L7 4m5 3l5-3M12 12L6 9m6 3l6-3M12 17l-6-3m6 3l6-3'),
  leaves: shape('M2 12c2-5 6-5 8-4-1 4-4 6-8 4zM13 9c2-5 6-5 9-4-1 5-5 6-9 4zM8 20c1-5 5-6 9-5-1 5-5 6-9 5z'),
  flatbread: shape('M3 4h18v16H3z'),
  torn: shape('M2 4h8l-2 4 2 4-2 4 2 4H2zM22 4h-8l-2 4 2 4-2 4 2 4h8z'),
  ball: shape(dot(12, 13, 8)),
  balls: shape(`${dot(6, 17, 4.5)}${dot(17, 17, 4.5)}${dot(11.5, 8, 4.5)}`),
  lump: shape('M3 18c-1-5 2-7 4-8s3-4 7-3 4 4 6 5 3 6 0 7H5c-1 0-2 0-2-1z'),
  flatdough: shape('M1 16c0-2 2-3 4-3h14c2 0 4 1 4 3s-2 2-4 2H5c-2 0-4 0-4-2z'),
  stars: shape(
    'M7 3l1.500 4 4 .5-3 3 1 4-3.500-2-3.500 2 1-4-3-3 4-.5zM17 11l1.500 4 4 .5-3 3 1 4-3.500-2-3.500 2 1-4-3-3 4-.5z',
  ),
  hole: shape('M2 3h20v18H2z', 'M12 7l1.500 4 4 .5-3 3 1 4-3.500-2-3.500 2 1-4-3-3 4-.5z'),
  crumbs: marks(
    '',
    many(
      [
        [4, 17],
        [8, 14],
        [12, 17],
        [16, 14],
        [20, 17],
        [6, 20],
        [14, 20],
        [11, 11],
      ],
      1.5,
    ),
  ),
  heap: shape('M2 20c4-10 7-12 10-12s6 2 10 12z', '', 'M6 19c3-7 4-8 6-8s3 1 6 8z'),
  drops: marks(
    '',
    many(
      [
        [6, 5],
        [12, 9],
        [17, 4],
        [8, 14],
        [16, 15],
        [12, 20],
      ],
      1.4,
    ),
  ),
  stream: marks('M12 1c-1 6 1 10 0 16M12 17c-3 0-5 1-6 4m6-4c3 0 5 1 6 4'),
  egg: shape('M12 2c5 0 8 8 8 12a8 8 0 0 1-16 0C4 10 7 2 12 2z'),
  cracked: shape('M12 2c5 0 8 8 8 12a8 8 0 0 1-16 0C4 10 7 2 12 2z', 'M4 13l4-3 3 3 3-3 3 3 3-2'),
  shells: shape('M1 15c0-7 3-12 5-12l1 4-2 3 2 3-2 3zM23 15c0-7-3-12-5-12l-1 4 2 3-2 3 2 3z'),
  yolk: shape(dot(12, 12, 5), '', dot(12, 12, 3.5)),
  pod: shape('M2 16C6 6 14 3 22 4c0 9-8 15-20 12z', 'M22 4c0-1 1-2 1-2'),
  peas: shape(
    'M2 16C6 6 14 3 22 4c0 9-8 15-20 12z',
    '',
    many(
      [
        [7, 13],
        [11.5, 10.5],
        [16, 8],
      ],
      2,
    ),
  ),
  loose: marks(
    '',
    many(
      [
        [6, 12],
        [12, 17],
        [18, 12],
        [12, 8],
      ],
      2.6,
    ),
  ),
  rings: shape(`${dot(5, 12, 3.5)}${dot(12, 12, 3.5)}${dot(19, 12, 3.5)}`),
  stone: marks('', dot(12, 12, 3.5)),
  cored: shape(dot(12, 13, 8), 'M12 9.500a3.500 3.500 0 1 0 .1 0z'),
  naked: shape('M5 12c0-6 3-9 7-9s7 3 7 9-3 9-7 9-7-3-7-9z', 'M12 3v18M8 5c-1 5-1 9 0 14m8-14c1 5 1 9 0 14'),
  curl: marks('M4 4c6 0 8 3 6 6s-4 3-2 6 8 3 11 1'),
  bread: shape('M3 9c0-7 18-7 18 0-1 1-1 2-1 12H4C4 11 4 10 3 9z'),
  buttered: shape(
    'M3 9c0-7 18-7 18 0-1 1-1 2-1 12H4C4 11 4 10 3 9z',
    '',
    'M6 9c0-4 12-4 12 0v8c-4-2-8 2-12 0z',
  ),
  wrap: shape(
    'M1 15c0-6 22-6 22 0z',
    '',
    many(
      [
        [7, 13],
        [12, 12],
        [17, 13],
      ],
      1.5,
    ),
  ),
  rolled: shape('M2 8h20v9H2z', 'M7 8v9M20 12.500a3 3 0 1 0-3 3'),
  tin: shape('M5 5h14v15H5z', 'M5 9h14M5 16h14'),
  tinopen: shape('M5 8h14v13H5z', 'M5 12h14M5 8l13-6'),
  bag: shape(
    'M4 3h16v18H4z',
    'M4 6.500h16',
    many(
      [
        [9, 14],
        [15, 14],
        [12, 18],
      ],
      2.4,
    ),
  ),
  smashed: shape(
    'M4 3h16v18H4z',
    'M4 6.500h16',
    many(
      [
        [7, 17],
        [10, 15],
        [13, 18],
        [16, 15],
        [17, 19],
        [8, 19.5],
        [12, 12.5],
      ],
      1.1,
    ),
  ),
  boats: shape('M1 12c2 7 8 7 10 0zM13 12c2 7 8 7 10 0z', '', 'M3 12c1 4 5 4 6 0zM15 12c1 4 5 4 6 0z'),
  meat: shape('M4 14c-2-7 6-12 12-9s5 11-2 12c-3 1-4 0-6 2l-3 3-3-3 3-2z'),
  picture: shape(
    dot(12, 12, 10),
    '',
    many(
      [
        [8.5, 9],
        [15.5, 9],
      ],
      1.8,
    ) + 'M7 14h10c-1 4-9 4-10 0z',
  ),
  scattered: marks(
    '',
    many(
      [
        [5, 6],
        [19, 8],
        [10, 17],
        [17, 18],
      ],
      2,
    ),
  ),
  portion: shape('M1 16h22c-2 3-5 4-8 4H9c-3 0-6-1-8-4z', '', 'M6 15c1-6 11-6 12 0z'),
  dishes: shape('M2 19h20v2H2zM3 15h18v2H3zM5 11h14v2H5z'),
}

/** Where it moves to, and how. */
export const MARKS: Readonly<Record<string, Shape>> = {
  down: marks('M12 3v16M7 14l5 5 5-5'),
  right: marks('M3 12h17M15 7l5 5-5 5'),
  turn: marks('M4 12a8 8 0 1 1 3 6M4 21l3-3 3.500 3'),
  fro: marks('M2 12h20M7 7l-5 5 5 5M17 7l5 5-5 5'),
  shake: marks('M3 5c3 4 3 10 0 14M7 8c2 3 2 5 0 8M21 5c-3 4-3 10 0 14M17 8c-2 3-2 5 0 8'),
  press: marks('M5 3v7m-2-2l2 2 2-2M19 3v7m-2-2l2 2 2-2'),
  apart: marks('M10 12H2m4-4l-4 4 4 4M14 12h8m-4-4l4 4-4 4'),
  hot: marks('M6 20c-3-4 3-5 0-9s2-4 1-7m5 16c-3-4 3-5 0-9s2-4 1-7m5 16c-3-4 3-5 0-9s2-4 1-7'),
  clock: shape(dot(12, 12, 9), 'M12 6.500V12l4 2.500'),
  shine: marks(
    'M12 1v4M12 19v4M1 12h4M19 12h4M4.500 4.500l2.500 2.500M17 17l2.500 2.500M4.500 19.500L7 17M17 7l2.500-2.500',
  ),
  foam: shape(`${dot(6, 15, 3)}${dot(12, 12, 4)}${dot(18, 15, 3)}`),
  level: marks('M2 12h20', 'M2 13h20v6H2z'),
  grate: marks('M5 4l2 4m4-4l2 4m4-4l2 4M8 12l2 4m4-4l2 4M5 19l2 3m8-3l2 3'),
}
