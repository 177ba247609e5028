/** Where a food goes in that no step names. */
import type { Recipe, RecipeLine, Role } from '../../recipe'
import { lineKey } from '../line-key'
import type { LinesRead } from '../read-lines'
import type { Answers, Unread } from '../understood'

/**
 * Foods that no step names: where somebody says, where what stands beside them on their line goes, else where such a food usually goes; asked in
 * each case.
 */
export function settleUnused(
  open: readonly RecipeLine[],
  { read, printed }: LinesRead,
  steps: Recipe['steps'],
  answers: Answers,
  unread: Unread[],
): void {
  for (const line of open) {
    const key = `unused:${lineKey(line.id, read)}`
    // "1 egg beaten with a splash of milk": the milk goes in with the egg.
    const beside = [...printed]
      .filter(([id, n]) => id !== line.id && n === printed.get(line.id))
      .map(([id]) => id)
    const step =
      steps.find((s) => s.id === answers[key]) ??
      steps.find((s) => s.uses.some((u) => beside.includes(u.line)))
    if (step) {
      step.uses.push({ line: line.id, part: '1' })
      continue
    }
    // "Rub in butter": the flour that it goes into is said by nobody. It goes in there until somebody says otherwise.
    const usual = usualStep(line, steps)
    usual?.uses.push({ line: line.id, part: '1' })
    unread.push({
      part: 'step',
      text: line.id,
      why: 'no step says where this line goes in',
      key,
      kind: 'unused',
      ...(usual && { choices: [usual.id] }),
    })
  }
}
/** What makes the body goes in where it is first mixed; a topping nobody speaks of goes nowhere by itself. */
const BODY = new Set<Role>([
  'structure',
  'raising',
  'salt',
  'binder',
  'liquid',
  'acid-liquid',
  'sweet',
  'fat',
  'fat-rubbed',
])
const MIXED = new Set(['rub-in', 'stir', 'whisk', 'knead', 'mash', 'toss-coat', 'electric-mixer'])
const usualStep = (line: RecipeLine, steps: Recipe['steps']): Recipe['steps'][number] | undefined =>
  BODY.has(line.role) ? steps.find((s) => s.tasks.some((t) => MIXED.has(t.technique))) : undefined
