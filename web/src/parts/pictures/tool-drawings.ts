/**
 * Pictures of tools drawn for Lea, on a square of 24: lines, and what is filled. The same hand as the pictures of words: round ends, one
 * weight. A blade with an edge is filled at its edge, one with a point ends in it.
 */
import type { Drawing } from './drawing'

const HANDLE = 'M3 21l6-6'
const BOWL = 'M3 10h18a9 9.500 0 0 1-18 0z'
const CUP = 'M6 5h12l-1.500 15h-9z'
const JUG = 'M6 5h10l2-2v6l-1.500 11H7zM17.500 9c4 0 4 7-1 7'
const JAR = 'M7 8h10v11a2 2 0 0 1-2 2H9a2 2 0 0 1-2-2zM6 4h12v4H6z'
const SPOON = 'M4 21L14 11M13 8c1-4 5-6 7-4s0 6-4 7-4-1-3-3z'
const RIM = 'M2.500 9h19l-2 9h-15z'
const SCISSORS = 'M6 17.500a2.500 2.500 0 1 0 .1 0zM18 17.500a2.500 2.500 0 1 0 .1 0zM8 18L16 4M16 18L8 4'
const TONGS = 'M9 21L11.500 4M15 21L12.500 4M11.500 4h1M8 21h2m4 0h2'
const SIEVE = 'M3 8h13a6.500 7 0 0 1-13 0zM16 8l5-4M6 8.500v5m3.500-5V15M13 8.500v5M4 11.500h11'
const GLOVE = 'M7 21V10a5 5 0 0 1 10 0v11zM7 14c-3 0-4-4-1.500-5'
const CUTTER_RING = 'M12 6a7 7 0 1 0 .1 0z'

const line = (path: string): Drawing => ({ line: path })
const filled = (path: string, fill: string): Drawing => ({ line: path, fill })

/** Tool id -> its picture. */
export const TOOL_DRAWINGS: Readonly<Record<string, Drawing>> = {
  // to cut
  board: filled('M3 6h15v12H3zM18 9h3v6h-3M20 11.500v1', 'M5 8h11v8H5z'),
  'blunt-spreader': line(`${HANDLE}M9 15l7-9c2-2 5-1 4 2l-8 9z`),
  'table-knife': line(`${HANDLE}M9 15L17 5c2-2 4-1 3 2l-8 11-3-3`),
  'wavy-cutter': line('M4 8h16v4l-2 3-2-3-2 3-2-3-2 3-2-3-2 3-2-3zM8 8V4h8v4'),
  'rocking-cutter': line('M3 10c3 8 15 8 18 0zM12 3v7M8.500 3h7'),
  'nylon-knife': line(`${HANDLE}M9 15L18 4c2 1 2 3 1 5l-1.500.5-.5 2-2 .5-.5 2-2 .5-.5 2z`),
  'round-tip-knife': filled(`${HANDLE}M9 15L18 4c3 1 2 4 1 6l-7 8z`, 'M12 18l7-8c1-2 1-3 0-4l-9 10z'),
  'cross-knife': line('M4 14h16c0 3-2 5-5 5H4zM8 14V5M4.500 5h7'),
  'paring-knife': filled(`${HANDLE}M9 15L21 3c0 6-3 9-9 15z`, 'M12 18c6-6 9-9 9-15L10 16z'),
  'cooks-knife': filled('M2 22l5-5M7 17L22 2c0 10-5 14-11 19z', 'M11 21c6-5 11-9 11-19L8 18z'),
  'child-scissors': line(SCISSORS),
  'left-scissors': line(`${SCISSORS}M2 9h5M4 7L2 9l2 2`),
  'spring-scissors': line(`${SCISSORS}M8 14c2-2 6-2 8 0`),
  'kitchen-scissors': filled(SCISSORS, 'M16 4l-3 8 1 1zM8 4l3 8-1 1z'),
  'y-peeler': line('M12 12v9M7 3v4c0 3 2 5 5 5s5-2 5-5V3M7 5h10M7 7.500h10'),
  'swivel-peeler': line('M3 21l7-7M10 14c-1-3 0-6 3-8l6-3-2 7c-2 3-4 5-7 4zM12.500 11.500l4-4'),
  'palm-peeler': line('M5 12a7 7 0 0 1 14 0v3H5zM8 15v4h8v-4M12 5V2.500'),
  'drum-grater': line(
    'M6 6h9v12H6zM15 12h4M19 12v-5h2M9 9h.1m2.900 0h.1M9 12h.1m2.900 0h.1M9 15h.1m2.900 0h.1',
  ),
  'box-grater': line(
    'M8 6h8l2 15H6zM9 2.500h6V6H9zM10 10h.1M14 10h.1M9.500 13.500h.1M12 13.500h.1M14.500 13.500h.1M9 17h.1M12 17h.1M15 17h.1',
  ),
  'fine-grater': line(
    'M9 2.500h6V16H9zM12 16v6M11 6h.1M13 6h.1M11 8.500h.1m1.900 0h.1M11 11h.1m1.900 0h.1M11 13.500h.1m1.900 0h.1',
  ),
  'corer-slicer': line(
    'M12 5a7 7 0 1 0 .1 0zM12 9.500a2.500 2.500 0 1 0 .1 0zM12 5v4.500M12 14.500V19M5 12h4.500M14.500 12H19M2 12h3m14 0h3',
  ),
  'tube-corer': line('M9 2.500h6V8H9zM10 8v12l1 2h2l1-2V8'),
  'cherry-stoner': line('M4 21c2-8 4-12 8-17M20 21c-2-8-4-12-8-17M12 9a3 3 0 1 0 .1 0z'),
  'ball-scoop': line('M3 21l8-8M10 8a5 5 0 1 0 9-2zM10 8l9-2'),
  // to mix
  'mixing-bowl': filled(BOWL, 'M6 13h12c-1 4-3 5.500-6 5.500S7 17 6 13z'),
  'short-spoon': line(SPOON),
  'soft-spatula': filled('M4 21l8-8M11 12l6-9 4 4-9 6z', 'M13 11l4-6 2 2-6 4z'),
  'small-whisk': line(
    'M12 14v8M8 3c-3 5 0 10 4 11 4-1 7-6 4-11M10.500 3c-1 4 0 9 1.500 11 1.500-2 2.500-7 1.500-11',
  ),
  fork: line('M12 22V11M8 2v6c0 2 2 3 4 3s4-1 4-3V2M12 2v9'),
  masher: line('M12 2v11M7 13h10v3H7zM8 16v4M12 16v4M16 16v4M9 2h6'),
  mortar: line('M4 11h16c0 5-3 8-5 9H9c-2-1-5-4-5-9zM10 11L18 2l2 2-6 7'),
  'strong-bag': line('M5 4h14v17H5zM5 7.500h14M9 12c2-1 4 1 6 0M9 16c2-1 4 1 6 0'),
  'small-sieve': line(SIEVE),
  'large-sieve': line('M2 8h20a10 9 0 0 1-20 0zM7 8.500v7m5-7V17m5-8.500v7M4 12h16'),
  colander: line(
    'M3 8h18a9 10 0 0 1-18 0zM1.500 8H3m18 0h1.500M8 11h.1m3.900 0h.1m3.900 0h.1M9.500 14h.1m4.900 0h.1M8 20h8',
  ),
  'lidded-jar': filled(JAR, 'M8.500 13h7v6h-7z'),
  'hand-mixer': line('M4 5h13l3 3v3H4zM8 11v10M14 11v10M6.500 15h3m-3 4h3m3-4h3m-3 4h3M7 5c0-3 6-3 8 0'),
  blender: line('M7 3h10l-2 11H9zM8 14h8l1 7H7zM12 17.500h.1M6 3h12'),
  // to measure
  'small-pot': filled('M6 9h12l-1 10H7zM5 9h14', 'M7.500 13h9l-.5 5H8z'),
  'small-cup': filled('M7 9h10l-1 11H8z', 'M8 14h8l-.5 5h-7z'),
  'small-jug': line(JUG),
  'marked-jug': line(`${JUG}M8.500 9h3m-3 3.500h3m-2.500 3.500h3`),
  'two-lip-jug': line('M4 3l2 3h12l2-3v6l-2 11H6L4 9zM12 11v4'),
  'level-stick': line('M2 15L20 6l2 3L4 18zM4 21h16'),
  scale: line('M4 7h16l-2-3H6zM5 7h14l2 13H3zM12 11a3 3 0 1 0 .1 0zM12 14l1.500-1.500'),
  balance: line(
    'M12 3v17M7 20h10M4 7h16M4 7l-2.500 6h5zM20 7l-2.500 6h5zM1.500 13a2.500 2 0 0 0 5 0m11 0a2.500 2 0 0 0 5 0',
  ),
  beaker: line(CUP),
  // to shape
  'mini-pin': line('M2 12h4m12 0h4M6 8.500h12v7H6zM2 10.500v3m20-3v3'),
  'guide-sticks': line('M3 8L21 4M3 11l18-4M3 17l18-4M3 20l18-4'),
  'plastic-cutter': line(`${CUTTER_RING}M9 6V3h6v3`),
  'metal-cutter': line('M12 8l2 3.500 4 .5-3 3 1 4-4-2-4 2 1-4-3-3 4-.5zM12 8a7 7 0 1 0 .1 0'),
  'soft-brush': line('M12 2v9M9 11h6l1 4H8zM8 15v6m2.700-6v6m2.600-6v6m2.700-6v6'),
  shaker: line('M8 7h8l1 14H7zM8 7c0-4 8-4 8 0M11 5h.1M13 5h.1M12 4h.1'),
  'piping-bag': filled('M5 3h14l-5 15h-4zM10.500 18l1.500 4 1.500-4', 'M7 8h10l-3 9h-4z'),
  'teaspoon-pair': line('M5 21V11M5 11c-3-1-3-8 0-8s3 7 0 8zM17 21V11M17 11c-3-1-3-8 0-8s3 7 0 8z'),
  'trigger-scoop': line('M3 21l8-8M8.500 17l4 1M10 9a6 6 0 1 0 10-4z'),
  'blunt-stick': line('M5 17L17 5a2 2 0 0 1 3 3L8 20a2 2 0 0 1-3-3z'),
  'blunt-skewer': line('M4 20L19 5M19 5a1.500 1.500 0 1 0 .1 0M8 12a2.500 2.500 0 1 0 4 4'),
  'wooden-skewer': line('M3 21L21 3M21 3l-4 2 2 2zM7 13a2.500 2.500 0 1 0 4 4'),
  reamer: line('M3 17h18l-2 4H5zM7 17c0-6 2-11 5-13 3 2 5 7 5 13M12 4v13M9.500 8v9m5-9v9'),
  'lever-press': line('M5 21h14M7 21V9h10v12M9 9a3 3 0 0 1 6 0M12 6L21 2'),
  'tray-with-rim': line(`${RIM}M5 12h14`),
  // to serve
  teaspoon: line('M12 22V11M12 11c-4-1-4-9 0-9s4 8 0 9z'),
  'slotted-spoon': line(`${SPOON}M15.500 8.500l3-3M16.500 10l2-2`),
  'big-spoon': filled(SPOON, 'M14 9c1-3 4-5 5-4s0 4-3 5-3 1-2-1z'),
  'small-tongs': line(TONGS),
  'spring-tongs': line(`${TONGS}M10.500 9c1 1 2 1 3 0M10 13c1.500 1 3 1 4 0`),
  ladle: line('M17 2v10M17 2h3M4 12h13a6.500 7 0 0 1-13 0z'),
  plate: line('M12 4a8 8 0 1 0 .1 0zM12 8a4 4 0 1 0 .1 0z'),
  // to wash
  'step-stool': line('M5 5h14v4H5zM7 9L5 21M17 9l2 12M6 15h12'),
  'soap-pump': line('M7 10h10v11H7zM10 10V7h4v3M12 7V3h5M10 15h4'),
  'washing-bowl': filled('M2 9h20l-3 11H5z', 'M5 13h14l-1.500 5h-11z'),
  'vegetable-brush': line('M4 8h16v4H4zM6 12v5m3-5v5m3-5v5m3-5v5m3-5v5'),
  'damp-cloth': line('M4 6c4-2 12 2 16 0v12c-4 2-12-2-16 0zM8 11c2 1 4-1 6 0M9 15c2 1 4-1 6 0'),
  'hand-brush': line('M3 12h10l3 4v4H3zM16 4l5 5M14 6l5 5M18 8l3-5'),
  'tea-towel': line('M6 3h12v18H6zM6 7h12M6 17h12M9.500 3v18'),
  // by the heat
  pan: line('M2 9h14v5a4 4 0 0 1-4 4H6a4 4 0 0 1-4-4zM16 11h6M6 5c0-1 1-1 1-2m3 2c0-1 1-1 1-2'),
  'long-spoon': line('M3 21L17 7M16 4c2-2 5-1 5 1s-2 4-4 3-2-3-1-4z'),
  'long-slice': line('M3 21l9-9M11 8l5-5 5 5-5 5zM14 8l2-2m0 4l2-2'),
  'oven-gloves': line(GLOVE),
  'baking-tray': line('M3 9h18l-2 7H5zM1.500 9H3m18 0h1.500'),
  'tin-opener': line('M5 21c1-6 3-9 6-11M13 21c0-5-1-8-2-11M11 10a4 4 0 1 0-.1 0zM15 6h6'),
  toaster: line('M4 9h16v10H4zM7 9V5h3v4m4 0V5h3v4M20 13h2M7 19v2m10-2v2'),
  'wooden-tongs': line('M8 21L11 3h2l3 18M9.500 14h5'),
  microwave: line('M2 6h20v12H2zM4 8h11v8H4zM18 9h.1M18 12h.1M18 15h.1M7 13c1-2 3 1 4-1'),
  griddle: line('M3 13h18v4H3zM6 17v3m12-3v3M8 9c0-1 1-1 1-3m3 3c0-1 1-1 1-3m3 3c0-1 1-1 1-3'),
  'long-stick': line('M3 21L18 6M15 6c0-3 4-4 5-2s1 4-2 5-4-1-3-3z'),
  kettle: line('M6 20h12V11a6 6 0 0 0-12 0zM12 5V3m-2 0h4M18 12l4-3v4M6 20H4'),
  'heat-mat': line('M12 4a8 8 0 1 0 .1 0zM8 8l8 8M16 8l-8 8M12 6.500v11M6.500 12h11'),
  probe: line('M3 21L13 11M15.500 4a4.500 4.500 0 1 0 .1 0zM15.500 8.500V6m0 2.500l2 1'),
}
