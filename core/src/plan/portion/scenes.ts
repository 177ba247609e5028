/** Pictures that are built in a session, and whether there is enough of what is counted for everybody's. */
import { ratio, toText } from '../../amount/ratio'
import { numberText } from '../../amount/show'
import { unitOf } from '../../amount/units'
import { isByChildren, isOnce, type Recipe } from '../../recipe/recipe'
import { takersOf } from '../model/choice'
import type { Shaped } from '../model/draft'
import { finding, type Finding } from '../model/finding'
import type { Bowl } from '../model/line'
import type { Plan } from '../model/plan'

/** The pictures of the recipe as the session cooks it; nothing where there is none. */
export const scenesOf = ({ steps }: Pick<Recipe, 'steps'>): Pick<Plan, 'scenes'> => {
  const scenes = steps.flatMap((s) => (s.scene ? [{ ...s.scene, step: s.id }] : []))
  return scenes.length > 0 ? { scenes } : {}
}

/** One finding for each food of which the pictures want more pieces than there are. A food that is cut up first is not counted. */
export function sceneFindings(draft: Shaped, bowls: readonly Bowl[]): Finding[] {
  const cut = new Set(
    draft.recipe.steps.flatMap((s) =>
      s.tasks
        .filter((t) => t.cuts != null || CUTS.includes(t.technique))
        .flatMap((t) => t.lines ?? s.uses.map((u) => u.line)),
    ),
  )
  return draft.recipe.steps.flatMap((step) => {
    const { scene } = step
    const tasks = step.tasks.filter((t) => isByChildren(t.mode))
    if (!scene) return []
    const each = tasks.some((t) => isOnce(t.mode))
    return [...new Set(scene.parts.flatMap((p) => p.lines))].flatMap((id): Finding[] => {
      const lines = bowls.flatMap((b) => b.lines.filter((l) => l.line === id && l.byEye === undefined))
      const [line] = lines
      if (!line || cut.has(id) || unitOf(line.unit).dimension !== 'count') return []
      const children = takersOf(draft.choices, id)?.length ?? draft.people.length
      const wanted =
        scene.parts.filter((p) => p.lines.includes(id)).reduce((n, p) => n + p.n, 0) * (each ? children : 1)
      const there = lines.reduce((sum, l) => sum.add(l.amount), ratio(0))
      if (there.compare(wanted) >= 0) return []
      return [
        finding({
          rule: 'scene',
          pass: 'portion',
          grade: 'know',
          subject: { line: id, step: step.id },
          touches: [],
          says: `${step.title}: ${line.name}: ${each ? 'the pictures want' : 'the picture wants'} ${wanted} pieces, and there are ${numberText(there)}. Cut them, or bring more.`,
          because: `Counted from the parts of ${scene.of}.`,
          source: 'computed',
          fixes: [],
          dependsOn: [toText(there), wanted],
        }),
      ]
    })
  })
}
/** What makes several of one. */
const CUTS: readonly string[] = [
  ...([
    'cut-soft-table-knife',
    'bridge-cut',
    'claw-cut',
    'snip-scissors',
    'tear',
    'grate',
    'cut-cutter',
  ] as const),
]
