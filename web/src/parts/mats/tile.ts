/** A child's weave as one small picture that a browser repeats by itself: hundreds of patches on one page are no elements of it. */
import { TILES, matLook } from '@lea/core/craft'

const made = new Map<number, string>()

/** @returns the tile of a mat as the value of `background-image`: 12 by 12 pixels, on white that is tinted with the mat's colour */
export function tileOf(mat: number): string {
  const known = made.get(mat)
  if (known !== undefined) return known
  const { weave, colour } = matLook(mat)
  const ground = `<path d="M0 0h12v12H0z" fill="#fff"/><path d="M0 0h12v12H0z" fill="${colour}" opacity=".14"/>`
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="12" height="12">${ground}${TILES[weave].replaceAll('currentColor', colour)}</svg>`
  const tile = `url("data:image/svg+xml,${encodeURIComponent(svg)}")`
  made.set(mat, tile)
  return tile
}
