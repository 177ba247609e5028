/** What is noted of talk, and when it comes back. Source of rules: learning.md D3, F1 to F3 (common practice, from memory). */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { LADDERS, NO_END } from '../../src/learn/fact/saying'
import { SUPPORT_LEVELS } from '../../src/learn/levels'
import { ANSWERS, GAPS, RESTING, type TalkMark, levelFrom, targetState } from '../../src/learn/marks'
import { TARGETS, targetOf } from '../../src/learn/targets'

const mark = (on: string, more: Partial<TalkMark> = {}): TalkMark => ({
  target: 'count-one-to-one-10',
  on,
  how: 'said',
  level: 'focused',
  ...more,
})
const anyMark = fc.record({
  target: fc.constant('count-one-to-one-10'),
  on: fc.integer({ min: 1, max: 28 }).map((d) => `2026-10-${String(d).padStart(2, '0')}`),
  how: fc.constantFrom(...ANSWERS),
  level: fc.constantFrom(...SUPPORT_LEVELS),
  food: fc.constantFrom('oats', 'pear'),
})

describe('a target that was met', () => {
  it('comes back the next day, after a week, three weeks and eight weeks, then rests', () => {
    expect(GAPS).toEqual([1, 7, 21, 56])
    const days = ['2026-01-05', '2026-01-06', '2026-01-13', '2026-02-03', '2026-03-31']
    const stages = days.map(
      (day, i) =>
        targetState(
          days.slice(0, i + 1).map((d) => mark(d)),
          day,
        ).stage,
    )
    expect(stages).toEqual([1, 2, 3, 4, RESTING])
    const after = (n: number, today: string) =>
      targetState(
        days.slice(0, n).map((d) => mark(d)),
        today,
      ).overdue
    expect(after(1, '2026-01-05')).toBe(-1)
    expect(after(1, '2026-01-06')).toBe(0)
    expect(after(2, '2026-01-12')).toBe(-1)
    expect(after(3, '2026-02-05')).toBe(2)
    expect(after(5, '2027-01-01')).toBeNull()
  })
  it('takes no step on where it was seen before it was due, and a step back where it went only with help', () => {
    expect(
      targetState([mark('2026-01-05'), mark('2026-01-06'), mark('2026-01-08')], '2026-01-08').stage,
    ).toBe(2)
    const helped = [mark('2026-01-05'), mark('2026-01-06'), mark('2026-01-13', { how: 'helped' })]
    expect(targetState(helped, '2026-01-13').stage).toBe(1)
  })
  it('“not today” is not a low mark: it moves nothing back', () => {
    const before = [mark('2026-01-05'), mark('2026-01-06')]
    const passed = [...before, mark('2026-01-14', { how: 'not-today' })]
    expect(targetState(passed, '2026-01-14').stage).toBe(targetState(before, '2026-01-14').stage)
    expect(targetState([mark('2026-01-05', { how: 'not-today' })], '2026-01-06').claim).toBe('met')
  })
  it('is secure only on three days, with two foods, asked and not shown, and seen within eight weeks', () => {
    const three = ['2026-01-05', '2026-01-12', '2026-01-19'].map((d, i) =>
      mark(d, { food: i === 0 ? 'oats' : 'pear' }),
    )
    expect(targetState(three, '2026-01-20').claim).toBe('secure in cooking')
    expect(targetState(three, '2026-06-01').claim).toBe('growing')
    expect(
      targetState(
        three.map((m) => ({ ...m, food: 'oats' })),
        '2026-01-20',
      ).claim,
    ).toBe('growing')
    expect(
      targetState(
        three.map((m) => ({ ...m, level: 'choice' as const })),
        '2026-01-20',
      ).claim,
    ).toBe('growing')
    expect(targetState(three.slice(0, 1), '2026-01-20').claim).toBe('seen once')
    // A choice of two is easily guessed.
    expect(targetState([mark('2026-01-05', { level: 'choice' })], '2026-01-20').claim).toBe('met')
  })
  it('stands the same in whatever order the marks come', () => {
    fc.assert(
      fc.property(fc.array(anyMark, { maxLength: 12 }), (marks) => {
        const turned = [...marks].reverse()
        expect(targetState(turned, '2026-11-01')).toEqual(targetState(marks, '2026-11-01'))
      }),
    )
  })
})

describe('the level to begin with', () => {
  it('is by age the first time, one up after two alone, one down after two that were not', () => {
    expect(levelFrom(50, [])).toBe('open')
    expect(levelFrom(34, [])).toBe('choice')
    const two = (how: TalkMark['how']) => [mark('2026-01-05', { how }), mark('2026-01-12', { how })]
    expect(levelFrom(50, two('said'))).toBe('open')
    expect(levelFrom(50, two('helped'))).toBe('choice')
    expect(levelFrom(50, two('not-today'))).toBe('choice')
    expect(levelFrom(50, [mark('2026-01-05'), mark('2026-01-12', { how: 'helped' })])).toBe('focused')
  })
  it('moves by one at most and never past the ends', () => {
    fc.assert(
      fc.property(
        fc.array(anyMark, { minLength: 2, maxLength: 6 }),
        fc.integer({ min: 12, max: 144 }),
        (marks, months) => {
          const last = [...marks].sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0)).at(-1)
          const step =
            SUPPORT_LEVELS.indexOf(levelFrom(months, marks)) - SUPPORT_LEVELS.indexOf(last?.level ?? 'open')
          expect(Math.abs(step)).toBeLessThanOrEqual(1)
        },
      ),
    )
  })
})

describe('targets and sayings', () => {
  it('there are 86 of mathematics and 52 of language, 50 of them to begin with', () => {
    expect(TARGETS.filter((t) => t.strand !== 'language').length).toBe(86)
    expect(TARGETS.filter((t) => t.strand === 'language').length).toBe(52)
    expect(TARGETS.filter((t) => t.core).length).toBe(50)
  })
  it('the named standards stand where the pack has them (from memory: England, Common Core, EYFS)', () => {
    const codes: [string, RegExp][] = [
      ['count-one-to-one-10', /K\.CC\.B\.5/],
      ['frac-half-object', /1\.G\.A\.3/],
      ['frac-half-object', /NC-Y1/],
      ['share-deal-equal', /SF ELG Numerical Patterns/],
      ['sub-to-5', /SF ELG Number/],
      ['array-rows-cols', /2\.OA\.C\.4/],
      ['frac-equiv-family', /4\.NF\.A\.1/],
      ['time-elapsed', /4\.MD\.A\.2/],
      ['money-change', /2\.MD\.C\.8/],
      ['ratio-parts', /6\.RP\.A\.1/],
      ['data-vote', /1\.MD\.C\.4/],
      ['sym-lines', /4\.G\.A\.3/],
      ['lang-retell', /SF/],
    ]
    for (const [id, code] of codes) expect(targetOf(id)?.standards, id).toMatch(code)
  })
  it('every question names known targets, and can be asked at an age at which its main target is met or nearly', () => {
    for (const l of LADDERS) {
      const targets = l.targets.map(targetOf)
      expect(targets, l.id).not.toContain(undefined)
      const to = l.to ?? NO_END
      expect(l.from, l.id).toBeLessThan(to)
      const meets = targets.some((x) => x !== undefined && l.from <= x.to && to >= x.from - 12)
      expect(meets, l.id).toBe(true)
    }
  })
  it('every question stands on four rungs, each its own words, and no two questions are the same', () => {
    for (const l of LADDERS) {
      expect(Object.keys(l.says).sort(), l.id).toEqual([...SUPPORT_LEVELS].sort())
      expect(new Set(Object.values(l.says)).size, l.id).toBe(4)
    }
    const opens = LADDERS.map((l) => `${l.of} ${l.says.focused}`)
    expect(new Set(opens).size).toBe(opens.length)
  })
})
