/** The shipped recipes with four groups: the plans whose talk is tested. */
import { compile } from '../../../src/plan/compile'
import type { Plan } from '../../../src/plan/model/plan'
import type { PlanChild } from '../../../src/plan/model/request'
import { SHIPPED_RECIPES } from '../../../src/recipe/shipped'
import type { Recipe } from '../../../src/recipe/recipe'
import type { Slot } from '../../../src/session/talk/hearing'
import { scriptOf } from '../../../src/session/talk/script'
import { child, request } from '../../group'

const crew = (name: string, months: number[], languages: Record<number, string[]> = {}): PlanChild[] =>
  months.map((m, i) => child(`${name}-${i}`, m, { languages: languages[i] ?? [] }))

/** Threes; fives in two bowls; two to ten years; nines. */
export const GROUPS = {
  threes: crew('three', [36, 38, 41, 44], { 0: ['pl'] }),
  fives: crew('five', [60, 61, 62, 64, 66, 68], { 1: ['ar'], 4: ['cy'] }),
  mixed: crew('mixed', [26, 38, 55, 72, 96, 122], { 2: ['uk'] }),
  nines: crew('nine', [106, 110, 114, 118], { 3: ['es'] }),
} as const
export type GroupName = keyof typeof GROUPS
const GROUP_NAMES = Object.keys(GROUPS) as GroupName[]

export interface Table {
  recipe: Recipe
  group: GroupName
  children: readonly PlanChild[]
  plan: Plan
  slots: Slot[]
}

const speakersOf = (children: readonly PlanChild[]) =>
  children.map((c) => ({ child: c.id, languages: c.languages }))

function tableOf(recipe: Recipe, group: GroupName): Table {
  const children = GROUPS[group]
  const base = request([...children], { recipe })
  const rules = group === 'fives' ? { ...base.rules, grouping: 'groups' as const, groupSize: 3 } : base.rules
  const plan = compile({ ...base, rules })
  return { recipe, group, children, plan, slots: scriptOf(plan, speakersOf(children)) }
}

let all: Table[] | undefined
/** All of them, made once. */
export const tables = (): Table[] =>
  (all ??= SHIPPED_RECIPES.flatMap((r) => GROUP_NAMES.map((g) => tableOf(r, g))))

/** Lines of a slot that are said without pressing "another". */
export const saidIn = (slot: Slot): Slot['lines'] =>
  slot.lines.slice(0, slot.moment === 'begin' || slot.moment === 'read' ? 4 : slot.moment === 'wait' ? 2 : 1)
