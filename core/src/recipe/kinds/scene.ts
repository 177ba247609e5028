/**
 * A picture that is built of food: what it is of, what it lies on, its parts, where each lies and how many there are of it. A part that several
 * foods may fill is a free choice of each child, by its card and its age; who takes what, the plan says.
 */
import { andList } from '../../amount/show'
import { counted } from '../../learn/fact/phrases'
import type { FreeChoice, RecipeStep } from '../recipe'
import type { Ground, Scene, ScenePart, ScenePlace } from './scene-parts'

/** A picture has so many parts at most. */
export const SCENE_PARTS_MOST = 8
/** A part has so many pieces at most. */
export const SCENE_PIECES_MOST = 24

/** Where a part lies, for a person. */
export const PLACE_WORDS: Readonly<Record<ScenePlace, string>> = {
  middle: 'in the middle',
  ring: 'in a ring round it',
  pair: 'left and right, mirrored',
  top: 'at the top',
  bottom: 'at the bottom',
  row: 'in a row across',
  spots: 'as spots all over',
}
/** What a picture lies on, for a person. */
export const GROUND_WORDS: Readonly<Record<Ground, string>> = {
  round: 'a round plate or bread',
  oval: 'a long plate, bread or board',
  square: 'a square of bread or a tray',
}

/** A piece of a picture: where its middle lies, from -1 to 1 across and down, and which part it is of. */
export interface Spot {
  part: number
  x: number
  y: number
}

/** From the middle to the edge of a ring of parts, by the how-manieth ring it is. */
const RINGS = [0.78, 0.54, 0.34] as const
/** Above and below the middle: a top or a bottom, and further ones beside it. */
const EDGE = [0.66, 0.36] as const

/**
 * Where every piece of one picture lies. Pieces of a pair mirror one another exactly; a ring is even; spots keep away from all others; nothing
 * lies outside the ground.
 * @returns in the order of the parts
 */
export function spotsOf(scene: Pick<Scene, 'parts'>): Spot[] {
  const before = new Map<ScenePlace, number>()
  const set = scene.parts.map((p) => {
    const k = before.get(p.at) ?? 0
    before.set(p.at, k + 1)
    return p.at === 'spots' ? [] : laid(p, k)
  })
  // Where there is room, once all that has a place of its own lies.
  const taken = set.flat()
  return scene.parts.flatMap((p, part) =>
    (p.at === 'spots' ? spread(p.n, taken) : (set[part] ?? [])).map(({ x, y }) => ({
      part,
      x: round(x),
      y: round(y),
    })),
  )
}
interface At {
  x: number
  y: number
}
const round = (v: number): number => Math.round(v * 1000) / 1000 || 0

/** @param k so many parts lie at the same place already */
function laid({ at, n }: Pick<ScenePart, 'at' | 'n'>, k: number): At[] {
  const each = Array.from({ length: n }, (_, i) => i)
  switch (at) {
    case 'ring':
      return circle(each, n, RINGS[Math.min(k, RINGS.length - 1)] ?? 0.34)
    case 'middle':
      // Two beside one another, more in a small ring.
      return n < 3 ? line(n, 0.36, 0.12 * k) : circle(each, n, 0.2)
    case 'top':
      return line(n, 0.9, -(EDGE[Math.min(k, 1)] ?? 0.36))
    case 'bottom':
      return line(n, 0.9, EDGE[Math.min(k, 1)] ?? 0.36)
    case 'row':
      return line(n, 1.5, k === 0 ? 0 : (k % 2 === 0 ? -0.2 : 0.2) * Math.ceil(k / 2))
    case 'pair':
      return pairs(n, k)
    case 'spots':
      return []
  }
}
const circle = (each: readonly number[], n: number, r: number): At[] =>
  each.map((i) => ({
    x: r * Math.sin((2 * Math.PI * i) / n),
    y: -r * Math.cos((2 * Math.PI * i) / n),
  }))
/** Evenly over so wide a line, about the middle. */
const line = (n: number, width: number, y: number): At[] =>
  Array.from({ length: n }, (_, i) => ({ x: n === 1 ? 0 : (i / (n - 1) - 0.5) * width, y }))
/** Half of them on each side, from above. */
function pairs(n: number, k: number): At[] {
  const rows = n / 2
  const x = 0.3 + 0.24 * Math.min(k, 2)
  return Array.from({ length: rows }, (_, i) => {
    const y = rows === 1 ? -0.2 + 0.12 * k : -0.36 + (0.72 * i) / (rows - 1)
    return [
      { x: -x, y },
      { x, y },
    ]
  }).flat()
}
const FIELD: readonly At[] = Array.from({ length: 160 }, (_, i) => {
  const r = 0.8 * Math.sqrt((i + 0.5) / 160)
  const a = i * Math.PI * (3 - Math.sqrt(5))
  return { x: r * Math.cos(a), y: r * Math.sin(a) }
})
/** One after the other as far as can be from whatever lies there; what is laid is taken. */
function spread(n: number, taken: At[]): At[] {
  return Array.from({ length: n }, () => {
    const [best = { x: 0, y: 0 }] = FIELD.map((f) => ({ f, room: roomAt(f, taken) }))
      .sort((a, b) => b.room - a.room)
      .map(({ f }) => f)
    taken.push(best)
    return best
  })
}
const roomAt = (f: At, taken: readonly At[]): number =>
  Math.min(2, ...taken.map((t) => Math.hypot(t.x - f.x, t.y - f.y)))

/** "A boat on a round plate or bread: 1 hull in the middle; 2 sails left and right, mirrored." */
export const sceneText = ({ of, on, parts }: Scene): string =>
  `${capital(of)}, on ${GROUND_WORDS[on]}: ${parts
    .map((p) => `${counted(String(p.n), p.what)} ${PLACE_WORDS[p.at]}`)
    .join('; ')}.`
const capital = (text: string): string => text.slice(0, 1).toUpperCase() + text.slice(1)

/** What is wrong with a picture, in words; null where it can be built. @param uses ids of the lines that go in at its step */
export function sceneFault({ parts }: Scene, uses: readonly string[]): string | null {
  for (const p of parts) {
    if (p.at === 'pair' && p.n % 2 !== 0)
      return `${capital(p.what)}: as many left as right needs an even number, not ${p.n}`
    const lost = p.lines.find((l) => !uses.includes(l))
    if (lost !== undefined) return `${capital(p.what)}: what fills it does not go in at this step: ${lost}`
  }
  const named = parts.map((p) => p.what)
  const twice = named.find((n, i) => named.indexOf(n) !== i)
  if (twice !== undefined) return `There are two parts of the name ${twice}`
  const both = parts.find(
    (p, i) => p.lines.length > 1 && parts.some((q, k) => k !== i && q.lines.some((l) => p.lines.includes(l))),
  )
  return both
    ? `${capital(both.what)}: what may stand in for it fills another part too: ${andList(both.lines)}`
    : null
}

/** Parts that several foods may fill: each child chooses one. */
export const sceneChoices = (steps: readonly RecipeStep[]): FreeChoice[] =>
  steps.flatMap((s) =>
    (s.scene?.parts ?? []).flatMap((p, i): FreeChoice[] =>
      p.lines.length > 1
        ? [{ id: `${s.id}-part-${i + 1}`, what: p.what, lines: p.lines, take: 1, step: s.id }]
        : [],
    ),
  )

const limited = (n: number, at: ScenePlace): number => {
  const whole = Math.min(SCENE_PIECES_MOST, Math.max(1, Math.round(n) || 1))
  return at === 'pair' && whole % 2 !== 0 ? Math.min(SCENE_PIECES_MOST, whole + 1) : whole
}

/** The step with a picture to begin with: one part, of the first thing that goes in; where nothing does, the step as it is. */
export function withScene(step: RecipeStep): RecipeStep {
  const [first] = step.uses
  if (!first) return step
  const part: ScenePart = { what: 'part', at: 'middle', n: 1, lines: [first.line] }
  return { ...step, scene: { of: 'our picture', on: 'round', parts: [part] } }
}

/** The step with a part of its picture changed, or a new one at the end; numbers are whole, and even where both sides are alike. */
export function withScenePart(step: RecipeStep, i: number, more: Partial<ScenePart>): RecipeStep {
  const { scene } = step
  const [first] = step.uses
  if (!scene || !first) return step
  const was = scene.parts[i] ?? {
    what: `part ${scene.parts.length + 1}`,
    at: 'spots' as const,
    n: 3,
    lines: [first.line],
  }
  const now = { ...was, ...more }
  const part = { ...now, n: limited(now.n, now.at) }
  const parts = scene.parts.map((p, k) => (k === i ? part : p))
  return { ...step, scene: { ...scene, parts: i < scene.parts.length ? parts : [...parts, part] } }
}
