/** Which lines a step uses, by the foods that its words name; half now and the rest later where the words say so. */
import type { FoodBook } from '../../food/foods'
import type { RecipeLine, RecipeStep } from '../recipe'

const HALF = /\bhalf (?:of )?(?:the )?(?:\p{L}+ )?$/iu
const REST = /\b(?:the )?(?:rest|remaining|other half)(?: of)?(?: the)? (?:\p{L}+ )?$/iu
const DRY = /\b(?:all |the )*dry ingredients\b/i
const WET = /\b(?:all |the )*(?:wet|liquid) ingredients\b/i
const ALL = /\b(?:all (?:of )?the (?:other )?ingredients|everything)\b/i
const DRY_ROLES = ['structure', 'raising', 'salt', 'seasoning', 'sweet']
const WET_ROLES = ['liquid', 'acid-liquid', 'fat', 'fat-melted', 'binder', 'moisture']

/** Words by which a line may be named: the whole names, and the last word of each ("plain flour" is "flour"). */
function namesOf(line: RecipeLine, foods: FoodBook): string[] {
  const food = foods.all.find((f) => f.id === line.food)
  const own = line.food.replace(/^own:/, '').replaceAll('-', ' ')
  const whole = [food?.name ?? own, food?.plural ?? '', ...(food?.aliases ?? [])].filter((n) => n !== '')
  const heads = whole.map((n) => n.split(' ').at(-1) ?? '')
  return [...new Set([...whole, ...heads, own])].filter((n) => n.length > 2)
}

const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')

/** The sentences in which a line's food is named. */
export function sentencesNaming(line: RecipeLine, texts: readonly string[], foods: FoodBook): string[] {
  const patterns = namesOf(line, foods).map((n) => new RegExp(`\\b${escaped(n)}(?:s|es)?\\b`, 'i'))
  return texts.flatMap((t) => t.split(/(?<=[.!?;])\s+/)).filter((s) => patterns.some((p) => p.test(s)))
}

/** Gives each step its uses. @returns lines that no step names */
export function giveUses(
  steps: RecipeStep[],
  texts: readonly string[],
  lines: readonly RecipeLine[],
  foods: FoodBook,
): RecipeLine[] {
  const left = new Map(lines.map((l) => [l.id, 2]))
  const names = new Map(lines.map((l) => [l.id, namesOf(l, foods)]))
  const take = (step: RecipeStep, line: string, halves: number): void => {
    const rest = left.get(line) ?? 0
    const n = Math.min(rest, halves)
    if (n === 0 || step.uses.some((u) => u.line === line)) return
    left.set(line, rest - n)
    step.uses.push({ line, part: n === 2 ? '1' : '1/2' })
  }
  steps.forEach((step, i) => {
    const text = texts[i] ?? ''
    const byRole = (roles: readonly string[]): void =>
      lines.filter((l) => roles.includes(l.role)).forEach((l) => take(step, l.id, 2))
    if (DRY.test(text)) byRole(DRY_ROLES)
    if (WET.test(text)) byRole(WET_ROLES)
    if (ALL.test(text)) lines.forEach((l) => take(step, l.id, 2))
    for (const line of lines) {
      const hit = (names.get(line.id) ?? [])
        .map((n) => new RegExp(`\\b${escaped(n)}(?:s|es)?\\b`, 'i').exec(text))
        .find((m) => m !== null)
      if (!hit) continue
      const before = text.slice(0, hit.index)
      take(step, line.id, HALF.test(before) && !REST.test(before) ? 1 : 2)
    }
  })
  return lines.filter((l) => left.get(l.id) === 2)
}
