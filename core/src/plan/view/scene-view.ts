/** A picture as one child builds it: each piece with the food that is this child's, ready to be drawn. */
import { andList } from '../../amount/show'
import { counted } from '../../learn/fact/phrases'
import { glossaryRow } from '../../learn/glossary'
import { foodWord } from '../../learn/step-words'
import { PLACE_WORDS, spotsOf } from '../../recipe/kinds/scene'
import { type Scene, type ScenePart } from '../../recipe/kinds/scene-parts'
import type { Plan } from '../model/plan'

export interface SceneView {
  of: string
  on: Scene['on']
  /** `word`: the word whose picture stands for the food; null: a bare spot, since nothing of it is this child's, or it has no picture. */
  pieces: { x: number; y: number; part: number; word: string | null }[]
  /** "2 sails left and right, mirrored: cheddar" */
  rows: string[]
}

/** The line with which a child fills a part: what it took, else what it is reckoned to take; null where it may have nothing of it. */
function fillerOf(
  plan: Pick<Plan, 'choices'>,
  part: ScenePart,
  child: string | null,
  took: readonly string[] = [],
): string | null {
  const [first = null] = part.lines
  const choice = plan.choices?.find((c) => part.lines.some((l) => c.lines.some((x) => x.line === l)))
  if (!choice || child === null) return first
  const offer = choice.offers.find((o) => o.child === child)
  const own = [...took, ...(offer?.picks ?? []), ...(offer?.lines ?? [])]
  return own.find((l) => part.lines.includes(l) && (offer?.lines.includes(l) ?? false)) ?? null
}

/**
 * @param child whose picture it is; null: as the recipe has it
 * @param took lines that the child took already
 * @returns null where nothing is built in this step
 */
export function sceneView(
  plan: Pick<Plan, 'scenes' | 'choices' | 'bowls'>,
  step: string,
  child: string | null,
  took: readonly string[] = [],
): SceneView | null {
  const scene = plan.scenes?.find((s) => s.step === step)
  if (!scene) return null
  const bowls = plan.bowls.filter((b) => child === null || b.children.includes(child))
  const filled = scene.parts.map((part) => {
    const line = fillerOf(plan, part, child, took)
    const lines = bowls.flatMap((b) => b.lines).filter((l) => l.line === line)
    return {
      part,
      names: [...new Set(lines.map((l) => l.name))],
      word: lines[0] ? (glossaryRow(foodWord(lines[0].food))?.id ?? null) : null,
    }
  })
  return {
    of: scene.of,
    on: scene.on,
    pieces: spotsOf(scene).map((s) => ({ ...s, word: filled[s.part]?.word ?? null })),
    rows: filled.map(({ part, names }) => rowText(part, names.length > 0 ? andList(names) : 'nothing of it')),
  }
}

const rowText = (part: ScenePart, name: string): string =>
  `${counted(String(part.n), part.what)} ${PLACE_WORDS[part.at]}: ${name}`

/** The same for a picture that all see: of a part only what every child may be offered. */
export function sceneTogether(
  plan: Pick<Plan, 'scenes' | 'choices' | 'bowls'>,
  step: string,
): Pick<SceneView, 'on' | 'pieces'> | null {
  const scene = plan.scenes?.find((s) => s.step === step)
  if (!scene) return null
  const wordOf = (part: ScenePart): string | null => {
    const line = part.lines.find((l) =>
      (plan.choices ?? [])
        .filter((c) => c.lines.some((x) => x.line === l))
        .every((c) => c.offers.every((o) => o.lines.includes(l))),
    )
    const food = plan.bowls.flatMap((b) => b.lines).find((l) => l.line === line)?.food
    return food === undefined ? null : (glossaryRow(foodWord(food))?.id ?? null)
  }
  const words = scene.parts.map(wordOf)
  return { on: scene.on, pieces: spotsOf(scene).map((s) => ({ ...s, word: words[s.part] ?? null })) }
}

/** The same of a recipe that nobody has planned yet. @param foodOf the food of a line @param nameOf its name */
export const sceneOfRecipe = (
  scene: Scene,
  foodOf: (line: string) => string,
  nameOf: (food: string) => string,
): SceneView => ({
  of: scene.of,
  on: scene.on,
  pieces: spotsOf(scene).map((s) => ({
    ...s,
    word: glossaryRow(foodWord(foodOf(scene.parts[s.part]?.lines[0] ?? '')))?.id ?? null,
  })),
  rows: scene.parts.map((p) => rowText(p, p.lines.map((l) => nameOf(foodOf(l))).join(' or '))),
})
