/**
 * The way of a recipe for a room that has nothing but a bowl and a spoon: what hands and a spoon do instead of each tool, what comes ready from
 * outside, and what cannot be done at all.
 */
import { techniqueOf } from '../../craft/techniques'
import { isHot, type Recipe, type RecipeStep } from '../recipe'

/** How one job is done so; null: as it is. */
interface Instead {
  says: string
  /** It is got ready elsewhere, by an adult. */
  ready?: true
}
const ready = (says: string): Instead => ({ says, ready: true })
const so = (says: string): Instead => ({ says })

/** By technique. Source: common practice, from memory. A technique that is not here needs a bowl, a spoon and hands only. */
const INSTEAD: Readonly<Record<string, Instead>> = {
  'level-scoop': so('by the spoon, level: half a cup is about 8 tablespoons'),
  'pour-dry': so('by the spoon'),
  'pour-liquid': so('by the spoon, or from the bottle to a line that an adult shows'),
  'weigh-scale': so('by the spoon, as many as an adult says'),
  mash: so('press it with the back of the spoon'),
  whisk: so('beat it with the spoon, round and round'),
  sieve: so('press out the lumps with the spoon'),
  'electric-mixer': so('stir it with the spoon, by turns'),
  'blender-button': so('press it with the back of the spoon: it stays coarse'),
  'shake-jar': so('stir it in the bowl'),
  'crush-pestle': so('press it with the back of the spoon'),
  'bash-bag': so('press it with the back of the spoon'),
  'roll-out': so('press it flat with the hands'),
  'cut-cutter': so('press it into shape with the hands'),
  'brush-glaze': so('spread it with the back of the spoon'),
  spread: so('spread it with the back of the spoon'),
  'snip-scissors': so('tear it'),
  'crack-egg': so('into the bowl; an adult looks for shell'),
  sprinkle: so('with the fingers'),
  'fill-cases': so('with the spoon'),
  fold: so('lift it over gently with the spoon'),
  'squeeze-juice': so('press it with the hand over the bowl'),
  'cut-soft-table-knife': so('break it, or cut it with the edge of the spoon'),
  'thread-skewer': so('lay it in a row instead'),
  pipe: so('drop it from the spoon'),
  'scoop-out': so('with the spoon'),
  'peel-peeler': ready('an adult brings it peeled'),
  grate: ready('an adult brings it grated'),
  'bridge-cut': ready('an adult brings it cut'),
  'claw-cut': ready('an adult brings it cut'),
  core: ready('an adult brings it without its core'),
  stone: ready('an adult brings it without its stone'),
  'open-can': ready('an adult brings it opened'),
}

export interface BowlAndSpoonRow {
  step: string
  title: string
  /** What is done instead, in words; empty: as it is. */
  says: string[]
  /** It comes ready from outside. */
  ready: boolean
  /** Needs heat or cold: it cannot be done so. */
  no: boolean
}
export interface BowlAndSpoon {
  rows: BowlAndSpoonRow[]
  /** "It can be made with nothing but a bowl and a spoon." */
  says: string
  works: boolean
}

/** The way of a recipe with nothing but a bowl and a spoon. A step's own way without heat counts. */
export function bowlAndSpoon({ steps }: Pick<Recipe, 'steps'>): BowlAndSpoon {
  const rows = steps.map((step): BowlAndSpoonRow => {
    const cold = step.ways?.find((w) => w.lacks === 'heat')
    const tasks = cold ? cold.tasks : step.tasks
    const here = tasks.flatMap((t) => {
      const instead = INSTEAD[t.technique]
      return instead ? [{ name: techniqueOf(t.technique)?.name ?? t.technique, ...instead }] : []
    })
    return {
      step: step.id,
      title: step.title,
      says: [
        ...(cold ? [cold.says] : []),
        ...new Map(here.map((h) => [h.name, `${h.name}: ${h.says}`])).values(),
      ],
      ready: here.some((h) => h.ready === true),
      no: (!cold && isHeated(step)) || tasks.some((t) => t.place === 'fridge' || t.place === 'freezer'),
    }
  })
  const hot = rows.filter((r) => r.no).map((r) => r.title)
  return {
    rows,
    works: hot.length === 0,
    says:
      hot.length > 0
        ? `Not without heat or cold: ${hot.join(', ')}.`
        : rows.some((r) => r.ready)
          ? 'It can be made with a bowl and a spoon, where an adult brings some things ready.'
          : 'It can be made with nothing but a bowl and a spoon.',
  }
}

const isHeated = (step: RecipeStep): boolean =>
  step.tasks.some((t) => isHot(t.place) || techniqueOf(t.technique)?.family === 'heat')
