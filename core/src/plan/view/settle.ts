/** What is left to settle before cooking, on three shelves: what must be fixed, what the adults are told, what is good to know. */
import type { Grade as GradeName } from '../../food/concerns'
import type { Plan } from '../model/plan'

export interface SettleRow {
  grade: GradeName
  /** Findings that are alike stand in one row. */
  findings: Plan['findings']
  title: string
}

/** The rows of the Settle panel: what is alike is one row. */
export function settleRows(plan: Plan): SettleRow[] {
  const rows: SettleRow[] = []
  for (const f of plan.findings) {
    const alike = f.grade === 'know' && f.rule === 'near-measure'
    const row = alike ? rows.find((r) => r.grade === 'know' && r.findings[0]?.rule === f.rule) : undefined
    if (row) {
      row.findings.push(f)
      row.title = `${row.findings.length} amounts are not exact.`
    } else rows.push({ grade: f.grade, findings: [f], title: f.says })
  }
  return rows
}

export interface SettleView {
  /** "Must fix: 2", or that cooking can begin. */
  title: string
  /** What it means for the button beside it. */
  says: string
  mustFix: SettleRow[]
  /** Folded to a count: what the adults are told, and what is good to know. */
  folded: { title: string; says: string; rows: SettleRow[] }[]
}

/** @param underWay cooking has begun, or is over: nothing is asked any more */
export function settleView(plan: Plan, underWay = false): SettleView {
  const rows = settleRows(plan)
  const of = (grade: GradeName): SettleRow[] => rows.filter((r) => r.grade === grade)
  const mustFix = of('stop')
  const packets = 'Two adults read every packet on the day. Care plans come first.'
  return {
    title: mustFix.length > 0 ? `Must fix: ${mustFix.length}` : underWay ? 'Nothing to fix' : 'Ready to cook',
    says: mustFix.length === 0 ? packets : underWay ? '' : 'Then Cook opens.',
    mustFix,
    folded: [
      {
        title: 'For the adults',
        says: underWay ? '' : 'Lea asks again at the table.',
        rows: of('adult'),
      },
      { title: 'Good to know', says: '', rows: of('know') },
    ],
  }
}
