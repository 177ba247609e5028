/** What was said already at a bowl: no line comes twice, but for routines. */
import type { TalkLine } from '../../learn/line/line'
import type { Plan } from '../../plan/model/plan'

export class Said {
  private readonly done = new Set<string>()
  private readonly not: ReadonlySet<string>
  private readonly kept: NonNullable<Plan['linesKept']>
  constructor(plan: Plan) {
    this.not = new Set(plan.linesNot ?? [])
    this.kept = plan.linesKept ?? []
  }
  /** Routines come again: sameness is the point. */
  private isFresh(line: TalkLine): boolean {
    return !this.not.has(line.id) && (line.kind === 'routine' || !this.done.has(line.says))
  }
  /**
   * Of these lines those that were not said: the first so many are said now, and some more stand by for "another".
   * @param lines the best first; what somebody keeps in this step stands before them
   */
  choose(lines: readonly TalkLine[], step: string | null, first: number, others: number): TalkLine[] {
    const seen = new Set<string>()
    const isKept = (l: TalkLine): boolean => this.kept.some((k) => k.step === step && k.line === l.id)
    const fresh = [...lines.filter(isKept), ...lines.filter((l) => !isKept(l))].filter((l) => {
      const ok = this.isFresh(l) && !seen.has(l.says)
      seen.add(l.says)
      return ok
    })
    for (const l of fresh.slice(0, first)) this.done.add(l.says)
    return fresh.slice(0, first + others)
  }
}
