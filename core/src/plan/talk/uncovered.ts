/** What the talk of a session could not cover, and why: children, targets of the week, targets that were to come back. */
import { suits, targetOf } from '../../learn/targets'
import type { DraftChild } from '../model/draft'
import { targetOfWord } from '../../learn/step-words'
import { glossaryRow } from '../../learn/glossary'
import type { TalkProblem } from './problem'
import { FIRST_MONTHS, type TalkHistory } from './options'
import type { TalkedStep } from './facts/step-fact'
import type { StepTalk, Uncovered } from '../model/step-talk'

export function uncoveredOf(
  steps: readonly TalkedStep[],
  problem: TalkProblem,
  talk: readonly StepTalk[],
  people: readonly DraftChild[],
  heard: ReadonlyMap<string, TalkHistory>,
): Uncovered[] {
  const offered = problem.steps.flatMap((s) => [...s.tell, ...s.ideas.flatMap((i) => i.options)])
  const asks = talk.flatMap((t) => t.asks ?? [])
  const met = new Set(asks.flatMap((a) => [a.target, ...(a.also ?? [])]))
  for (const t of talk) for (const w of t.words) met.add(targetOfWord(w.id, glossaryRow(w.id)?.kind) ?? '')

  const children = people.flatMap((p, i): Uncovered[] => {
    if (asks.some((a) => a.child === p.id)) return []
    if (p.age < FIRST_MONTHS) return [{ kind: 'child', child: p.id, why: 'under a year: sing and show' }]
    if (!steps.some((s) => s.here.includes(p)))
      return [{ kind: 'child', child: p.id, why: 'takes part in no step' }]
    const some = offered.some((o) => o.child === i)
    return [
      { kind: 'child', child: p.id, why: some ? 'no question is left for it' : 'nothing here fits its age' },
    ]
  })
  const week = problem.week.flatMap((id): Uncovered[] => {
    const target = targetOf(id)
    if (!target || met.has(id)) return []
    if (!people.some((p) => suits(target, p.age)))
      return [{ kind: 'week', target: id, why: 'nobody here is of its age' }]
    const some = offered.some((o) => o.touches.includes(id))
    return [
      {
        kind: 'week',
        target: id,
        why: some ? 'no room for it beside the others' : 'nothing in this recipe touches it',
      },
    ]
  })
  const due = people.flatMap((p): Uncovered[] =>
    (heard.get(p.id)?.due() ?? [])
      .filter((id) => !asks.some((a) => a.child === p.id && (a.target === id || a.also?.includes(id))))
      .map((id) => ({ kind: 'due', child: p.id, target: id, why: 'was to come back today' })),
  )
  return [...children, ...week, ...due]
}
