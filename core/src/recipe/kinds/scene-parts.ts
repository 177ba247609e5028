/** What a picture that is built of food is made of, as a recipe says it. */

/** What it lies on: a plate, a long bread or board, a square of bread or a tray. */
export const GROUNDS = ['round', 'oval', 'square'] as const
/** What a picture lies on. */
export type Ground = (typeof GROUNDS)[number]
/** Where a part lies. `pair`: as many on the left as on the right, mirrored. */
export const SCENE_PLACES = ['middle', 'ring', 'pair', 'top', 'bottom', 'row', 'spots'] as const
/** Where a part lies. */
export type ScenePlace = (typeof SCENE_PLACES)[number]

/** A part of a picture. */
export interface ScenePart {
  /** "sail" */
  what: string
  at: ScenePlace
  /** How many pieces of it one picture has. */
  n: number
  /** Lines of the recipe that may fill it; the first is the usual one. */
  lines: string[]
}
/** A picture that is built of food. */
export interface Scene {
  /** "a boat" */
  of: string
  on: Ground
  parts: ScenePart[]
}
