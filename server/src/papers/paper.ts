/** What every paper is made from: the plan in force, or as it stands, with the names of those who are here. */
import { longDay } from '@lea/core/amount'
import { TILES, matLook, matNumbers } from '@lea/core/craft'
import { type Plan, fillNames } from '@lea/core/plan'
import type { Recipe } from '@lea/core/recipe'
import type { TableState } from '@lea/core/session'
import type { StoredAdult, StoredChild, StoredSession, StoredSetting } from '@lea/core/setting'
import type { Content } from 'pdfmake/interfaces'

export interface Paper {
  session: StoredSession
  plan: Plan
  recipe: Recipe
  setting: StoredSetting & { name: string }
  children: StoredChild[]
  adults: StoredAdult[]
  /** What has happened so far; of a session that has not begun, nothing. */
  state: TableState
}

export const nameOf = (paper: Paper, id: string): string => namesOf(paper).get(id) ?? 'someone no longer here'
export const say = (paper: Paper, text: string): string =>
  fillNames(text, namesOf(paper), 'someone no longer here')
export const names = (paper: Paper, ids: readonly string[]): string =>
  ids.map((id) => nameOf(paper, id)).join(', ')

const cached = new WeakMap<Paper, Map<string, string>>()
function namesOf(paper: Paper): Map<string, string> {
  const known = cached.get(paper)
  if (known) return known
  const map = new Map([
    ...paper.children.map((c) => [c.id, c.nickname] as const),
    ...paper.session.guests.map((g) => [g.id, g.nickname] as const),
    ...paper.adults.map((a) => [a.id, a.name] as const),
  ])
  cached.set(paper, map)
  return map
}

export const dayWords = (day: string): string => longDay(day, 'with year')

export const footOf = ({ setting, plan, session }: Paper): string =>
  `${setting.name} · ${plan.recipe.title} · ${dayWords(session.date)} · Lea`

/** The mats of everyone, the same as on the screen. */
export function matsOf({ children, session }: Paper): (id: string) => number {
  const map = matNumbers(children, [...children.map((c) => c.id), ...session.guests.map((g) => g.id)])
  return (id) => map.get(id) ?? 0
}

const TILE = 12
const tileAt = (svg: string, x: number, y: number): string => `<g transform="translate(${x} ${y})">${svg}</g>`

/** A mat's weave as a picture; told apart without colour. @param size points */
export function matPicture(mat: number, size: number, tiles = 4): Content {
  const look = matLook(mat)
  const side = TILE * tiles
  const one = TILES[look.weave].replaceAll('currentColor', look.colour)
  const all = Array.from({ length: tiles * tiles }, (_, i) =>
    tileAt(one, (i % tiles) * TILE, Math.floor(i / tiles) * TILE),
  ).join('')
  const border = look.bordered
    ? `<rect x="3" y="3" width="${side - 6}" height="${side - 6}" fill="none" stroke="${look.colour}" stroke-width="2" stroke-dasharray="4 3"/>`
    : ''
  return picture(side, side, `${all}${border}`, look.colour, size)
}

/** A whole place mat: the weave as a frame. Counted in tiles, so that none is cut. */
const FRAME = { across: 31, down: 19, thick: 3 }
export function matFrame(mat: number): Content {
  const look = matLook(mat)
  const { across, down, thick } = FRAME
  const one = TILES[look.weave].replaceAll('currentColor', look.colour)
  const all = Array.from({ length: across * down }, (_, i) => {
    const [x, y] = [i % across, Math.floor(i / across)]
    const inside = x >= thick && x < across - thick && y >= thick && y < down - thick
    return inside ? '' : tileAt(one, x * TILE, y * TILE)
  }).join('')
  const [w, h, t] = [across * TILE, down * TILE, thick * TILE]
  const inner = `<rect x="${t}" y="${t}" width="${w - 2 * t}" height="${h - 2 * t}" fill="#fff" stroke="${look.colour}" stroke-width="${look.bordered ? 5 : 2}"${look.bordered ? ' stroke-dasharray="8 5"' : ''}/>`
  return picture(w, h, `${all}${inner}`, look.colour, 735)
}

const picture = (w: number, h: number, inside: string, colour: string, width: number): Content => ({
  svg: `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${w} ${h}" width="${w}" height="${h}"><rect width="${w}" height="${h}" fill="#fff"/>${inside}<rect x="0.5" y="0.5" width="${w - 1}" height="${h - 1}" fill="none" stroke="${colour}" stroke-width="2"/></svg>`,
  width,
})
