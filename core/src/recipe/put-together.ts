/**
 * Several small things in one session: a lunch box, a tray, three tastes. Short recipes become one, with one check, one shopping list, one set
 * of turns and one clock: hands are washed once, and everything is tasted together at the end.
 */
import { andList } from '../amount/show'
import { ratio } from '../amount/ratio'
import type { Recipe, RecipeStep } from './recipe'
import { RECIPE_MOST, RECIPE_SCHEMA } from './recipe'

/** So many small things are a meal. */
export const MOST_TOGETHER = 4

/**
 * @param parts two to four, in the order in which they are made
 * @param id of the new recipe
 * @returns one recipe for as many children as the first serves; or why these cannot be one
 */
export function putTogether(parts: readonly Recipe[], id: string): Recipe | { refused: string } {
  const refused = whyNot(parts)
  const [first] = parts
  if (refused || !first) return { refused }
  const own = parts.map((p, i) => renamed(scaled(p, first.serves), `${i + 1}-`))
  const steps = inOrder(own.map((p) => p.steps))
  const there = new Set(steps.map((s) => s.id))
  const choices = own.flatMap((p) => p.choices ?? [])
  const ahead = own.flatMap((p) => p.ahead ?? []).filter((a) => there.has(a.step))
  const keeps = keptLeast(own)
  return {
    schema: RECIPE_SCHEMA,
    id,
    title: shortTitle(parts),
    about: cut(`Small things in one session: ${andList(parts.map((p) => p.title))}.`, 300),
    serves: first.serves,
    themes: [...new Map(own.flatMap((p) => p.themes).map((t) => [`${t.kind} ${t.name}`, t])).values()].slice(
      0,
      RECIPE_MOST.themes,
    ),
    equipment: [...new Set(own.flatMap((p) => p.equipment))],
    storage: fitting(
      own.map((p) => p.storage),
      200,
    ),
    ...(keeps.length > 0 && { keeps }),
    ...(choices.length > 0 && { choices }),
    ...(ahead.length > 0 && { ahead }),
    lines: own.flatMap((p) => p.lines),
    steps,
  }
}

/** What adds up, for a person. */
const COUNTED = {
  lines: 'lines',
  steps: 'steps',
  choices: 'free choices',
  equipment: 'things',
  ahead: 'jobs ahead',
} as const
const KINDS = Object.keys(COUNTED) as (keyof typeof COUNTED)[]

/** Why these cannot be one recipe; empty where they can. */
function whyNot(parts: readonly Recipe[]): string {
  if (parts.length < 2) return 'Choose two recipes or more.'
  if (parts.length > MOST_TOGETHER) return `Choose at most ${MOST_TOGETHER}: more is no session for children.`
  const bare = parts.find((p) => p.steps.length === 0)
  if (bare) return `${bare.title} has no steps yet.`
  const long = parts.find((p) => p.steps.some((s) => s.nextSitting || s.tasks.some(isNight)))
  if (long) return `${long.title} goes over two sittings: plan it by itself.`
  const full = KINDS.find((k) => parts.reduce((n, p) => n + (p[k]?.length ?? 0), 0) > RECIPE_MOST[k])
  if (full)
    return `Together they have more ${COUNTED[full]} than one recipe may: ${RECIPE_MOST[full]} at most.`
  const tin = parts.find((p) => p.tin)
  if (tin) return `${tin.title} fills a tin, and goes by its size: plan it by itself.`
  return ''
}
const isNight = (t: RecipeStep['tasks'][number]): boolean => t.mode === 'WAIT' && t.seconds >= 3 * 3600

/** For so many children: what is for each child stays what it is for each. */
function scaled(recipe: Recipe, serves: number): Recipe {
  const times = ratio(serves).div(recipe.serves)
  return {
    ...recipe,
    lines: recipe.lines.map((l) => ({ ...l, amount: ratio(l.amount).mul(times).toFraction() })),
  }
}

/** Every name of a line, step or choice with its own beginning: two recipes may both have a line "oil". */
function renamed(recipe: Recipe, mark: string): Recipe {
  const own = (id: string): string => mark + id
  const owns = (ids: readonly string[] | undefined) => ids?.map(own)
  return {
    ...recipe,
    lines: recipe.lines.map((l) => ({ ...l, id: own(l.id) })),
    choices: recipe.choices?.map((c) => ({
      ...c,
      id: own(c.id),
      lines: c.lines.map(own),
      ...(c.step !== undefined && { step: own(c.step) }),
    })),
    ahead: recipe.ahead?.map((a) => ({ ...a, step: own(a.step) })),
    steps: recipe.steps.map((s) => ({
      ...s,
      id: own(s.id),
      uses: s.uses.map((u) => ({ ...u, line: own(u.line) })),
      tasks: s.tasks.map((t) => ({ ...t, ...(t.lines && { lines: owns(t.lines) }) })),
      ...(s.scene && {
        scene: { ...s.scene, parts: s.scene.parts.map((p) => ({ ...p, lines: p.lines.map(own) })) },
      }),
      ...(s.tasting && { tasting: { ...s.tasting, lines: s.tasting.lines.map(own) } }),
      ...(s.ways && {
        ways: s.ways.map((w) => ({
          ...w,
          tasks: w.tasks.map((t) => ({ ...t, ...(t.lines && { lines: owns(t.lines) }) })),
        })),
      }),
      ...(s.readies !== undefined && { readies: own(s.readies) }),
      ...(s.soon && { soon: { ...s.soon, ...(s.soon.since !== undefined && { since: own(s.soon.since) }) } }),
    })),
  }
}

const only = (techniques: readonly string[]) => (step: RecipeStep) =>
  step.uses.length === 0 && step.tasks.length > 0 && step.tasks.every((t) => techniques.includes(t.technique))
const isWash = only(['wash-hands'])
const isTaste = only(['wash-hands', 'taste', 'serve-self'])

/** One wash at the beginning, one tasting at the end; in between one thing after the other. */
function inOrder(parts: readonly (readonly RecipeStep[])[]): RecipeStep[] {
  const last = parts.length - 1
  return parts.flatMap((steps, p) =>
    steps.filter((step, i) => {
      if (p > 0 && i === 0 && isWash(step)) return false
      return !(p < last && i === steps.length - 1 && steps.length > 1 && isTaste(step))
    }),
  )
}

/** What is left keeps as long as that of its parts that keeps least. */
function keptLeast(parts: readonly Recipe[]): NonNullable<Recipe['keeps']> {
  const all = parts.map((p) => p.keeps ?? [])
  return (all[0] ?? []).flatMap(({ where }) => {
    const days = all.map((k) => k.find((x) => x.where === where)?.days)
    return days.some((d) => d === undefined) ? [] : [{ where, days: Math.min(...days.map((d) => d ?? 0)) }]
  })
}

/** "Raita, oats and dip", as long as a title may be. */
function shortTitle(parts: readonly Recipe[]): string {
  const whole = andList(parts.map((p) => p.title))
  return whole.length <= 80
    ? whole
    : `${parts.length} small things: ${parts[0]?.title ?? ''}`.slice(0, 80).trim()
}

const cut = (text: string, most: number): string =>
  text.length <= most ? text : `${text.slice(0, most - 1).trim()}…`

/** As many whole texts as there is room for: half a sentence about a fridge is worse than none. How long all keeps, `keeps` says. */
const fitting = (texts: readonly string[], most: number): string =>
  [...new Set(texts.filter(Boolean))].reduce((all, t) => {
    const more = [all, t].filter(Boolean).join(' ')
    return more.length <= most ? more : all
  }, '')
