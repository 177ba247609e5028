/** What a plan was made from, part by part: so that a page and the server can say in which they differ, not only that they do. */
import { digest } from '../plan/model/digest'
import type { PlanRequest } from '../plan/model/request'

/** Parts of a request, each by a short digest. */
export type RequestParts = Record<string, string>

/** Each part that a request has, by the digest of what it holds. */
export const requestParts = (request: PlanRequest): RequestParts =>
  Object.fromEntries(
    Object.entries(request)
      .filter(([, value]) => value !== undefined)
      .map(([part, value]) => [part, digest(value)]),
  )

const WORDS: Record<string, string> = {
  session: 'the day or the time',
  recipe: 'the recipe',
  children: 'who comes, or a card',
  adults: 'which adults there are',
  kit: 'the kit',
  foods: 'a food of the setting',
  cupboard: 'the cupboard',
  words: 'the setting’s own words',
  rules: 'the house rules',
  decisions: 'what was decided',
  effort: 'how long was searched',
}

/** In words, what differs between two requests; empty where nothing does. */
export const partsThatDiffer = (mine: RequestParts, theirs: RequestParts): string[] =>
  [...new Set([...Object.keys(mine), ...Object.keys(theirs)])]
    .filter((part) => mine[part] !== theirs[part])
    .map((part) => WORDS[part] ?? part)
    .sort()
