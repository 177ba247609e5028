/**
 * The shopping list as a table for a spreadsheet: RFC 4180, UTF-8 with a byte order mark so that spreadsheets read it as such.
 * A cell that would begin a formula gets an apostrophe before it (OWASP, CSV injection).
 */
import { moneyText } from '@lea/core/amount'
import type { Plan } from '@lea/core/plan'
import Papa from 'papaparse'

const BOM = '\ufeff'
/** The package's own test looks at one line only; a cell of several lines can begin one too. */
const FORMULA = /^[=+\-@\t\r]/

export function shoppingCsv(plan: Plan): string {
  const money = (minor: string | number): string => moneyText(minor, plan.cost.currency)
  const rows = plan.shopping.map((s) => ({
    food: s.name,
    needed: s.text,
    'as bought': s.need?.text ?? '',
    'in the cupboard': s.have,
    buy: s.buy?.text ?? (s.enough ? 'enough' : ''),
    cost: s.buy?.cost == null ? '' : money(s.buy.cost),
    'used for': s.used === null ? '' : money(s.used),
    'left over': s.left?.text ?? '',
    keeps: s.left?.keeps ?? '',
    got: s.got ? 'yes' : '',
    note: s.why,
  }))
  return BOM + Papa.unparse(rows, { escapeFormulae: FORMULA, newline: '\r\n' }) + '\r\n'
}
