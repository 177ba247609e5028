/** What the talk of the shipped recipes brings: fractions, real remainders, predictions, places, senses, sounds, words of home. */
import { describe, expect, it } from 'vitest'
import { LADDERS } from '../../../src/learn/fact/saying'
import { targetOf } from '../../../src/learn/targets'
import { saidIn, tables, type GroupName, type Table } from './tables'

const COMMENT_FACT = /^(scoop|vessel|count|cut|share|layers?|tin|timer|compare|shape|scale|price|weigh|jug)\b/
const FRACTION =
  /\b(half|halves|halfway|half way|third|thirds|quarter|quarters|fourths?|eighths?)\b|\d\/\d|\beach\b|\bshare\b|\bleft over\b/i
const isMaths = (target: string | undefined): boolean =>
  target !== undefined && targetOf(target)?.strand !== 'language'

/** Lines of mathematics that are said by name: questions and comments on amounts. */
function mathsLines(t: Table): { id: string; says: string; answer: string }[] {
  return t.slots.flatMap((s) =>
    saidIn(s).flatMap((l) =>
      (l.kind === 'question' && isMaths(l.target)) || (l.kind === 'comment' && COMMENT_FACT.test(l.id))
        ? [{ id: l.id, says: l.says, answer: l.answer ?? '' }]
        : [],
    ),
  )
}
const shareOf = (group: GroupName): { all: number; parts: number } => {
  const lines = tables()
    .filter((t) => t.group === group)
    .flatMap(mathsLines)
  const parts = lines.filter(
    (l) =>
      FRACTION.test(`${l.says} ${l.answer}`) && !/^scoop-(count|level)|^scoop\.0\.1|^compare-/.test(l.id),
  )
  return { all: lines.length, parts: parts.length }
}

describe('what the talk brings', () => {
  it('of the maths for fives a fifth and more are halves, quarters and equal shares; for nines a third', () => {
    const [fives, nines] = [shareOf('fives'), shareOf('nines')]
    expect(fives.parts / fives.all).toBeGreaterThanOrEqual(0.2)
    expect(nines.parts / nines.all).toBeGreaterThanOrEqual(1 / 3)
  })
  it('shares do not always come out even', () => {
    const uneven = tables()
      .flatMap((t) => t.plan.talk.flatMap((x) => x.asks ?? []))
      .filter((a) => /^share-(visitors|some-left|left-over|needed|last|seconds|exact)/.test(a.line ?? ''))
    expect(uneven.length).toBeGreaterThan(10)
  })
  it('a session that has room brings a guess, a place word, the senses, a sound, and each home language', () => {
    const byId = new Map(LADDERS.map((l) => [l.id, l]))
    for (const t of tables()) {
      const lines = t.slots.flatMap((s) => s.lines)
      const touched = new Set([
        ...lines.flatMap((l) => byId.get(l.id)?.targets ?? []),
        ...lines.flatMap((l) => (l.target ? [l.target, ...(l.also ?? [])] : [])),
      ])
      const at = `${t.recipe.id} ${t.group}`
      expect(lines.some((l) => l.kind === 'guess') || touched.has('lang-predict'), at).toBe(true)
      expect(
        lines.some((l) =>
          /\b(under|over|between|through|round|into|next to|on top|behind|edge|bottom|inside)\b/i.test(
            l.says,
          ),
        ),
        at,
      ).toBe(true)
      expect(
        lines.some((l) => /\b(smell|sniff|feel|listen|hear|taste|look)/i.test(l.says)),
        at,
      ).toBe(true)
      if (t.group !== 'nines')
        expect(
          lines.some((l) => l.kind === 'sound'),
          at,
        ).toBe(true)
      for (const bowl of t.plan.bowls)
        for (const c of t.children.filter((x) => bowl.children.includes(x.id)))
          for (const language of c.languages)
            expect(
              t.slots.some((s) => s.bowl === bowl.id && s.lines.some((l) => l.home?.language === language)),
              `${at} ${language}`,
            ).toBe(true)
    }
  })
})
