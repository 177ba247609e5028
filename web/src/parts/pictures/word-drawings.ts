/** Pictures of words drawn for Lea, for words that no packaged picture shows well. */
import { dot, type Drawing } from './drawing'
import { IDEA_DRAWINGS } from './idea-drawings'
import { THING_DRAWINGS } from './thing-drawings'

const GLASS = 'M6 4l1.5 16h9L18 4z'
const BOWL = 'M3 11h18a9 9 0 0 1-18 0z'
const BOX = 'M7 9v11h10V9'
const DOWN = 'M12 2v6m-2.5-2.5L12 8l2.5-2.5'

export const DRAWINGS: Record<string, Drawing> = {
  ...THING_DRAWINGS,
  ...IDEA_DRAWINGS,
  // what is done
  mix: { line: `${BOWL}M8 7a4 3 0 0 1 7-1m1 1a4 3 0 0 1-7 1M15 3.5V6h-2.5M9 10V7.6h2.4` },
  grate: {
    line: 'M8 4h8l2 15H6zM9.5 8h.1M12 8h.1M14.5 8h.1M9 12h.1M12 12h.1M15 12h.1M9 16h.1M12 16h.1M15 16h.1',
  },
  peel: { line: 'M12 5a7 7 0 1 0 7 7M12 5c4 0 6 2 7 5m-7-5c5-3 9 0 8 4s-5 4-4 8' },
  mash: { line: `${BOWL}M12 2v5m-4 0h8v2H8z`, fill: 'M6 13h12a6 5 0 0 1-12 0z' },
  'roll-out': { line: 'M3 12h3m12 0h3M6 9.5h12v5H6zM4 20h16' },
  knead: { line: 'M4 17c0-4 3-6 8-6s8 2 8 6-16 4-16 0zM9 4v5m6-5v5m-8-2l2 2 2-2m2 0l2 2 2-2' },
  press: { line: 'M6 20h12v-3H6zM12 3v10m-4-4l4 4 4-4' },
  crack: {
    line: 'M5 13l2-2 2 2 3-3 3 3 2-2 2 2c0 4-3 7-7 7s-7-3-7-7zM6 8c1-3 3-5 6-5s5 2 6 5l-2 1-2-2-2 2-2-2-2 2z',
  },
  'whisk-v': { line: 'M12 12v9M8 3c-2 4 0 8 4 9 4-1 6-5 4-9M12 3v9M4 7c-1 2-1 4 0 6m16-6c1 2 1 4 0 6' },
  scoop: { line: 'M4 10h10a5 5 0 0 1-10 0zM14 11l7-5M5 8c1-2 2-2 3 0 1-3 3-3 4 0' },
  fill: { line: `M6 9l1 11h10l1-11zM12 2v5m-2-2l2 2 2-2`, fill: 'M7 14l.6 5h8.8l.6-5z' },
  'empty-v': { line: 'M4 6l8-3 4 9-8 3zM17 15v2m3-4v2m-2 5v1M6 21h13' },
  measure: { line: 'M3 9h18v6H3zM7 9v3m3-3v2m3-2v3m3-3v2' },
  share: {
    line: 'M12 4v5M6 13l-3 5m15-5l3 5M12 9l-6 4m6-4l6 4M12 9v9',
    fill: `${dot(3, 20)}${dot(12, 20)}${dot(21, 20)}`,
  },
  add: { line: 'M12 5v14M5 12h14' },
  put: { line: `${BOX}M5 20h14${DOWN}m0 0v6` },
  take: { line: `${BOX}M5 20h14M12 15V3m-3 3l3-3 3 3` },
  close: { line: `${BOX}M5 20h14M5 9h14M12 2v4m-2-1.5L12 6.5l2-2` },
  tear: { line: 'M4 6h6l1 3-2 3 2 3-1 3H4zM20 6h-6l1 3-2 3 2 3-1 3h6z' },
  wait: { line: 'M12 3a9 9 0 1 0 0 18 9 9 0 0 0 0-18zM12 7v5l4 2' },
  yoghurt: {
    line: 'M7 9l1.2 11h7.600L17 9zM5 7h14v2H5zM19 7l2.500-3.500',
    fill: 'M8.600 14h6.800l-.6 5H9.200z',
  },
  // tools
  jug: { line: 'M6 5h9l2-2v5l-1 12H7zM17 9c4 0 4 7-.5 7', fill: 'M7 12h9l-.7 7H7.6z' },
  'chopping-board': { line: 'M4 8h13v9H4zM17 10h4v5h-4M7 14l5-3' },
  grater: {
    line: 'M8 6h8l2 14H6zM9 3h6v3H9zM10 10h.1M14 10h.1M9.5 13.500h.1M12 13.500h.1M14.500 13.500h.1M9 17h.1M12 17h.1M15 17h.1',
  },
  peeler: { line: 'M12 11v10M9 11h6M9 11C8 6 9 3 12 3s4 3 3 8M10.500 7h3' },
  'rolling-pin': { line: 'M7.500 11.500l5-5 5 5-5 5zM5 9l-2-2m2 2l2.500 2.500M19 15l2 2' },
  whisk: {
    line: 'M12 13v8M8 3c-3 5 0 9 4 10 4-1 7-5 4-10M10.500 3c-1 4 0 8 1.500 10 1.500-2 2.500-6 1.500-10',
  },
  sieve: { line: 'M3 9h13a6.500 6 0 0 1-13 0zM16 9l5-3M6 9v4m3.500-4v6M13 9v4M4 12h11' },
  masher: { line: 'M12 3v11M7 14h10v3H7zM8 20h.1M12 20h.1M16 20h.1' },
  'baking-tray': {
    line: 'M3 10h18l-2 6H5z',
    fill: `${dot(8, 12.5, 1.2)}${dot(12, 12.5, 1.2)}${dot(16, 12.5, 1.2)}`,
  },
  lid: { line: 'M3 16c0-5 4-8 9-8s9 3 9 8zM12 8V5M10 5h4' },
  apron: { line: 'M9 3c0 3 6 3 6 0M9 3L7 9v11h10V9l-2-6M7 12H4m13 0h3M10 13h4v3h-4z' },
  cloth: { line: 'M4 5h16v9l-3 4-3-3-3 4-3-3-4 2zM4 9h16' },
  // foods that have no packaged picture
  beetroot: {
    line: 'M12 9c-4 0-7 2-7 5s4 5 7 8c3-3 7-5 7-8s-3-5-7-5zM12 9c-1-3-4-3-5-6m5 6c0-3 0-4 1-6m-1 6c2-2 4-2 5-5',
    fill: 'M7 14c0-2 2-3 5-3s5 1 5 3-3 4-5 6c-2-2-5-4-5-6z',
  },
  pumpkin: {
    line: 'M12 7c-5-1-9 2-9 7s4 7 9 7 9-2 9-7-4-8-9-7zM12 7c-3 3-3 11 0 14 3-3 3-11 0-14zM12 7c0-2 1-3 3-4',
  },
  flour: { line: 'M6 6h12l1 15H5zM8 3h8l2 3H6zM9 12h6M9 15h6' },
  oil: { line: 'M10 3h4v4l2 3v11H8V10l2-3z', fill: 'M9.500 13h5v6.500h-5z' },
  sugar: { line: 'M4 13l4-2 4 2v5l-4 2-4-2zM12 13l4-2 4 2v5l-4 2-4-2zM8 6l4-2 4 2v5l-4 2-4-2z' },
  dough: { line: 'M3 17c0-5 4-9 9-9s9 4 9 9c0 3-18 3-18 0zM9 13h.1M14 12h.1M12 15h.1' },
  lentils: {
    line: '',
    fill: `${dot(8, 9, 2.2)}${dot(14, 8, 2.2)}${dot(11, 13, 2.2)}${dot(17, 13, 2.2)}${dot(7, 16, 2.2)}${dot(14, 18, 2.2)}`,
  },
  chickpeas: { line: `${dot(8, 9, 3)}${dot(16, 9, 3)}${dot(12, 16, 3)}M8 7v1m8-1v1m-4 6v1` },
  // ideas
  empty: { line: GLASS },
  full: { line: GLASS, fill: 'M6.600 6l1.200 13h8.400l1.200-13z' },
  half: { line: `${GLASS}M3 12h2m14 0h2`, fill: 'M7 12l.8 7h8.400l.8-7z' },
  quarter: { line: 'M12 3a9 9 0 1 0 0 18 9 9 0 0 0 0-18zM12 3v18M3 12h18', fill: 'M12 12V3a9 9 0 0 1 9 9z' },
  whole: {
    line: 'M12 3a9 9 0 1 0 0 18 9 9 0 0 0 0-18z',
    fill: 'M12 4.500a7.500 7.500 0 1 0 0 15 7.500 7.500 0 0 0 0-15z',
  },
  more: {
    line: 'M4 20h6M14 20h6',
    fill: `${dot(7, 16)}${dot(15.5, 16)}${dot(19, 16)}${dot(15.5, 12)}${dot(19, 12)}${dot(17, 8)}`,
  },
  'more-please': { line: 'M3 14h11a5.500 5 0 0 1-11 0zM18 8v8m-4-4h8' },
  less: {
    line: 'M4 20h6M14 20h6',
    fill: `${dot(17, 16)}${dot(5.5, 16)}${dot(9, 16)}${dot(5.5, 12)}${dot(9, 12)}${dot(7, 8)}`,
  },
  same: { line: `M4 8h6v8H4zM14 8h6v8h-6z` },
  different: { line: `M4 8h6v8H4z${dot(17, 12, 4)}` },
  big: { line: dot(10, 12, 8), fill: dot(21, 18, 1.5) },
  small: { line: dot(14, 12, 8), fill: dot(3.5, 18, 2) },
  long: { line: 'M3 9h18M3 7v4m18-4v4', fill: 'M3 14h5v3H3z' },
  short: { line: 'M9 9h5M9 7v4m5-4v4', fill: 'M3 14h18v3H3z' },
  heavy: { line: 'M12 4v6M4 8l16 6M4 8v0m16 6v0M8 21h8', fill: `${dot(19, 17.5, 3.5)}${dot(5, 6.5, 1.5)}` },
  light: { line: 'M12 4v6M4 14l16-6M8 21h8', fill: `${dot(19, 6, 1.5)}${dot(5, 17.5, 3.5)}` },
  hot: {
    line: 'M10 13V5a2 2 0 0 1 4 0v8a4 4 0 1 1-4 0zM18 6c1 1-1 2 0 3m2-4c1 1-1 2 0 3',
    fill: 'M11 7h2v10h-2z',
  },
  cold: {
    line: 'M12 3v18M4 7.500l16 9M20 7.500l-16 9M9.500 4.500L12 7l2.500-2.500M9.500 19.500L12 17l2.500 2.500',
  },
  first: { line: `M4 20h16${dot(11.5, 14, 2.5)}${dot(18, 14, 2.5)}`, fill: dot(5, 14, 3) },
  next: {
    line: `M4 20h16${dot(5, 14, 2.5)}${dot(18.5, 14, 2.5)}M6 9c2-4 5-4 6-1m0 1l.5-2.500M12 9l-2.400-.6`,
    fill: dot(12, 14, 3),
  },
  last: { line: `M4 20h16${dot(5, 14, 2.5)}${dot(11.5, 14, 2.5)}`, fill: dot(18.5, 14, 3) },
  before: { line: `M12 4v16M8 12H3m2-2l-2 2 2 2${dot(18, 12, 2.5)}`, fill: dot(8, 7, 2.5) },
  after: { line: `M12 4v16M16 12h5m-2-2l2 2-2 2${dot(6, 12, 2.5)}`, fill: dot(16, 7, 2.5) },
  in: { line: BOX + 'M5 20h14', fill: dot(12, 15.5, 3) },
  on: { line: 'M7 11h10v9H7zM4 20h16', fill: dot(12, 7.5, 3) },
  under: { line: 'M4 10h16M6 10v10m12-10v10', fill: dot(12, 16.5, 3) },
  soft: {
    line: 'M4 15c0-4 3-7 8-7s8 3 8 7-16 4-16 0zM12 3v4m-2-1.500l2 2 2-2',
    fill: 'M7 15c0-2 2-4 5-4s5 2 5 4-10 2-10 0z',
  },
  hard: { line: 'M5 10l5-4h7l3 6-3 7H7l-3-4zM10 6l2 6 5 7m-5-7l-7 3' },
  sweet: { line: 'M9 8h6v8H9zM9 10l-5-3v10l5-3m6-4l5-3v10l-5-3' },
  sour: { line: `${dot(12, 12, 8)}${dot(12, 12, 5)}M12 7v10M7 12h10M8.500 8.500l7 7m0-7l-7 7` },
  sticky: { line: 'M4 6h16v4c-2 0-2 6-3 6s-1-5-3-5-2 9-3 9-1-8-3-8-1 3-2 3-1-4-2-5z' },
}
