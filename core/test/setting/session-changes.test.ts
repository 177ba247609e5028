/** Changes of a session as operations: what does not touch each other is all kept in any order; what does is a conflict with both sides. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Decision } from '../../src/plan/model/decision'
import type { StoredGuest, StoredSession } from '../../src/setting/assemble'
import { cardDifferences, cardFields } from '../../src/setting/card-differences'
import { conflictWords } from '../../src/setting/conflict-text'
import {
  type SessionChange,
  aboutOf,
  changesBetween,
  onTopOf,
  withChanges,
} from '../../src/setting/session-changes'
import { sessionChangesSchema } from '../../src/schema/session/session-changes'

const uuid = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`
const guest = (n: number, months: number): StoredGuest => ({
  id: `guest-${n}`,
  nickname: `Guest ${n}`,
  months,
  concerns: [],
  diets: [],
  languages: [],
  needs: [],
})
const decision: fc.Arbitrary<Decision> = fc.oneof(
  fc.record({
    kind: fc.constant('swap' as const),
    line: fc.constantFrom('milk', 'egg'),
    swap: fc.constantFrom('x', 'y'),
  }),
  fc.record({
    kind: fc.constant('shape' as const),
    line: fc.constantFrom('grape'),
    shape: fc.constantFrom('QL', 'GRATE'),
  }),
  fc.record({
    kind: fc.constant('scooping' as const),
    way: fc.constantFrom('fair' as const, 'quick' as const),
  }),
  fc.record({ kind: fc.constant('quiet' as const), step: fc.constantFrom('mix', 'bake') }),
)
/** Decisions as a session holds them: one about each thing. */
const decisions = fc.uniqueArray(decision, {
  maxLength: 5,
  selector: (d) =>
    'line' in d ? `${d.kind === 'shape' ? 'shape' : 'line'}:${d.line}` : d.kind === 'quiet' ? d.step : d.kind,
})
const session: fc.Arbitrary<StoredSession> = fc.record({
  id: fc.constant('one'),
  date: fc.constantFrom('2026-11-26', '2026-11-27'),
  start: fc.constantFrom('10:00', '10:15'),
  until: fc.constantFrom(undefined, '11:30', '12:00'),
  recipe: fc.constantFrom(uuid(1), uuid(2)),
  children: fc.subarray([uuid(11), uuid(12), uuid(13)]),
  guests: fc.uniqueArray(
    fc.tuple(fc.integer({ min: 1, max: 2 }), fc.constantFrom(40, 50)).map(([n, m]) => guest(n, m)),
    { selector: (g) => g.id },
  ),
  adults: fc.subarray([uuid(21), uuid(22)]),
  seats: fc.shuffledSubarray([uuid(11), uuid(12)]),
  decisions,
  state: fc.constant('planned' as const),
})
/** As a set: the order of decisions, of children and of adults is nobody's doing. */
const plain = (s: StoredSession) => ({
  ...s,
  until: s.until ?? null,
  children: [...s.children].sort(),
  adults: [...s.adults].sort(),
  guests: [...s.guests].sort((a, b) => (a.id < b.id ? -1 : 1)),
  decisions: s.decisions.map((d) => JSON.stringify(d)).sort(),
})

describe('changes', () => {
  it('lead from one state to the other, pass the schema as they are, and change nothing where nothing differs', () => {
    fc.assert(
      fc.property(session, session, (before, after) => {
        const changes = changesBetween(before, after)
        expect(changesBetween(before, before)).toEqual([])
        const done = withChanges(before, changes)
        expect(done.conflicts).toEqual([])
        expect(plain(done.session)).toEqual(plain(after))
        if (changes.length > 0)
          expect(sessionChangesSchema.validateSync({ changes }).changes).toEqual(
            JSON.parse(JSON.stringify(changes)),
          )
      }),
    )
  })
  it('sent twice, as after a lost answer, are as if sent once', () => {
    fc.assert(
      fc.property(session, session, (before, after) => {
        const changes = changesBetween(before, after)
        const once = withChanges(before, changes).session
        const twice = withChanges(once, changes)
        expect(twice.conflicts).toEqual([])
        expect(plain(twice.session)).toEqual(plain(once))
      }),
    )
  })
  it('of two people: each thing ends as one of them left it, and whoever was not heard is told with what is there', () => {
    fc.assert(
      fc.property(session, session, session, (start, mine, theirs) => {
        const [one, two] = [changesBetween(start, theirs), changesBetween(start, mine)]
        const first = withChanges(start, one).session
        const { session: both, conflicts } = withChanges(first, two)
        const told = new Set(conflicts.map((c) => aboutOf(c.change)))
        // What was not told of is there: another change would find nothing to do.
        const heard = two.filter((c) => !told.has(aboutOf(c)))
        expect(plain(withChanges(both, heard).session)).toEqual(plain(both))
        // Nothing that the first did was undone by what the second did not touch.
        const touched = new Set(two.map(aboutOf))
        const kept = one.filter((c) => !touched.has(aboutOf(c)) || told.has(aboutOf(c)))
        expect(plain(withChanges(both, kept).session)).toEqual(plain(both))
        // Having seen both, it can be said once more, and is done.
        const again = withChanges(both, conflicts.map(onTopOf))
        expect(again.conflicts).toEqual([])
        for (const { change } of conflicts)
          expect(withChanges(again.session, [change]).conflicts, JSON.stringify(change)).toEqual([])
      }),
    )
  })
  it('about one thing are both said in words', () => {
    const swap = (to: string): Decision => ({ kind: 'swap', line: 'milk', swap: `milk>${to}` })
    const words = (change: SessionChange, now: never) =>
      conflictWords({ change, now }, null, (id) => `recipe ${id}`)
    expect(words({ kind: 'decide', was: null, to: swap('oat-drink') }, swap('soya-drink') as never)).toEqual({
      about: 'a decision',
      theirs: 'soya drink instead of milk',
      mine: 'oat drink instead of milk',
    })
    expect(words({ kind: 'decide', was: swap('x'), to: null }, null as never).mine).toMatch(/taken back/)
    expect(words({ kind: 'start', was: '10:00', to: '10:30' }, '11:00' as never)).toMatchObject({
      theirs: '11:00',
      mine: '10:30',
    })
    expect(words({ kind: 'recipe', was: 'a', to: 'b' }, 'c' as never).theirs).toBe('recipe c')
    expect(words({ kind: 'until', was: null, to: '11:00' }, null as never).theirs).toBe('not said')
    expect(words({ kind: 'guest', was: null, to: guest(1, 40) }, guest(1, 50) as never).about).toContain(
      'guest-1',
    )
  })
})

describe('two cards of one child', () => {
  const card = {
    nickname: 'Zuri',
    birth: '2022-04',
    concerns: [{ allergen: 'milk', level: 'anaphylaxis-risk' as const }],
    diets: [],
    languages: [],
    needs: [],
    carePlan: 'Injector in the red bag.',
  }
  it('say what differs, field by field, in words; an empty list is the same as none', () => {
    expect(cardDifferences(card, { ...card, limits: [], carePlan: card.carePlan })).toEqual([])
    const mine = { ...card, concerns: [], languages: ['fr'], carePlan: '' }
    expect(cardDifferences(card, mine)).toEqual([
      { field: 'concerns', name: 'allergies', theirs: expect.stringMatching(/^milk: /), mine: 'nothing' },
      { field: 'languages', name: 'home languages', theirs: 'nothing', mine: 'French' },
      { field: 'carePlan', name: 'care plan', theirs: '“Injector in the red bag.”', mine: 'nothing' },
    ])
  })
  it('are named for the log without what they say', () => {
    expect(cardFields(card, { ...card, concerns: [], birth: '2022-05' })).toBe('birth month, allergies')
  })
})
