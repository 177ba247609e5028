/**
 * What a plan says to people, over every recipe, three groups and four countries: no id, no token, no arrow, no wrong plural, nothing called
 * safe, and no sentence longer than one breath of a person who reads it aloud at a table.
 */
import { describe, expect, it } from 'vitest'
import { SHIPPED_BOOK } from '../../src/food/foods'
import { TECHNIQUES } from '../../src/craft/techniques'
import { compile } from '../../src/plan/compile'
import { fillNames } from '../../src/plan/model/finding'
import type { Plan } from '../../src/plan/model/plan'
import { checkKeyText } from '../../src/plan/view/check-grid'
import { settleView } from '../../src/plan/view/settle'
import { weave } from '../../src/plan/view/weave'
import { SHIPPED_RECIPES } from '../../src/recipe/shipped'
import { sessionCard } from '../../src/session/today'
import { child, request } from '../group'

const GROUPS = [
  [child('a', 30, { concerns: [{ allergen: 'milk', level: 'allergy-strict' }] }), child('b', 34)],
  [
    child('a', 50, { concerns: [{ allergen: 'egg', level: 'anaphylaxis-risk' }] }),
    child('b', 61),
    child('c', 66, { diets: ['vegan'] }),
  ],
  [
    child('a', 100, { hand: 'left' }),
    child('b', 110, { concerns: [{ allergen: 'wheat', level: 'coeliac' }] }),
    child('c', 96),
    child('d', 99),
  ],
]
const NAMES = new Map(['a', 'b', 'c', 'd'].map((id) => [id, `Child ${id.toUpperCase()}`]))
const plans: Plan[] = SHIPPED_RECIPES.flatMap((recipe) =>
  GROUPS.map((people) => compile(request(people, { recipe, effort: 'sketch' }))),
)

/** Every sentence of a plan that a screen or a paper shows, with names in the place of tokens. */
function sentences(plan: Plan): string[] {
  const view = settleView(plan)
  return [
    view.title,
    view.says,
    checkKeyText(plan),
    ...plan.findings.flatMap((f) => [
      f.says,
      f.because,
      ...f.fixes.flatMap((x) => [x.label, x.cost, x.how ?? '']),
    ]),
    ...plan.watch.map((w) => w.says),
    ...plan.hygiene.map((h) => h.says),
    ...plan.ahead.map((a) => a.says),
    ...plan.kit.tools.flatMap((t) => [t.name, ...t.jobs]),
    ...plan.shopping.flatMap((s) => [s.name, s.text, s.have, s.why, s.buy?.text ?? '', s.left?.text ?? '']),
    ...sessionCard(plan).before.flatMap((r) => [r.says, r.what ?? '']),
    ...plan.bowls
      .flatMap((b) => weave(plan, b.id))
      .flatMap((c) => [
        c.title,
        c.length,
        ...c.hands.flatMap((h) => [h.job, h.detail]),
        ...c.measure.flatMap((m) => [m.food, m.amount, m.how]),
        ...c.watch.flatMap((w) => [w.says, w.because]),
      ]),
  ]
    .filter(Boolean)
    .map((s) => fillNames(s, new Map([...NAMES, ...plan.adults.map((id) => [id, 'Petra'] as const)]), '?'))
}
const all = [...new Set(plans.flatMap(sentences))]
const against = (pattern: RegExp): string[] => all.filter((s) => pattern.test(s))

describe('what plans say', () => {
  it('is a good deal', () => {
    expect(all.length).toBeGreaterThan(1000)
  })
  it('holds no token, no arrow, and nothing that a program says', () => {
    expect(against(/\{\{|\}\}|→|undefined|\bnull\b|NaN|\[object|\?\?/)).toEqual([])
    // A name that nobody has is a token of somebody who is not here.
    expect(against(/(^|\s)\?(\s|[.,:;]|$)/)).toEqual([])
  })
  it('holds no id of a food or of a technique', () => {
    const ids = [...SHIPPED_BOOK.all.map((f) => f.id), ...TECHNIQUES.map((t) => t.id)].filter((id) =>
      id.includes('-'),
    )
    // Words that people write with a hyphen themselves.
    const plain = new Set([...SHIPPED_BOOK.all.map((f) => f.name), ...TECHNIQUES.map((t) => t.name)])
    const found = ids
      .filter((id) => ![...plain].some((p) => p.includes(id)))
      .flatMap((id) =>
        all.filter((s) => new RegExp(`(^|[^\\w-])${id}([^\\w-]|$)`).test(s)).map((s) => `${id}: ${s}`),
      )
    expect(found).toEqual([])
  })
  it('counts in words that fit the number', () => {
    const many =
      'turns|children|sessions|scoops|pieces|packets|minutes|adults|jobs|bowls|eggs|seconds|cups|amounts|foods|steps'
    expect(against(new RegExp(`(^|[^\\d./½¼¾⅓⅔⅛×,-])1 (${many})\\b`))).toEqual([])
  })
  it('calls nothing safe, and says of no allergen that there is none', () => {
    expect(against(/\bsafe\b|\bsafely\b|\ballergen[- ]free\b|\bfree of\b/i)).toEqual([])
  })
  it('keeps a sentence to a breath', () => {
    const long = all.flatMap((s) => s.split(/(?<=[.!?:;])\s/)).filter((s) => s.split(/\s+/).length > 34)
    expect(long).toEqual([])
  })
})
