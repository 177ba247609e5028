import { describe, expect, it } from 'vitest'
import { ValidationError } from 'yup'
import { eventsSchema } from '../../src/schema/session/events'
import { childSchema, guestSchema } from '../../src/schema/people'
import { firstVisitSchema } from '../../src/schema/sign-in'
import { recipeSchema } from '../../src/schema/recipe/recipe'
import { readPlanRequest, sessionSchema } from '../../src/schema/session/session'
import { child, four, recipeOf, request } from '../group'

function faultOf(run: () => unknown): string {
  try {
    run()
    return 'accepted'
  } catch (fault) {
    if (fault instanceof ValidationError) return `${fault.path ?? ''}: ${fault.message}`
    throw fault
  }
}
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T
const kid = { nickname: 'Wren', birth: '2022-04', concerns: [], diets: [], languages: [], needs: [] }
const withAmount = (amount: unknown) => {
  const recipe = plain(recipeOf('herb-soda-bread'))
  return { ...recipe, lines: recipe.lines.map((l, i) => (i === 0 ? { ...l, amount } : l)) }
}

describe('a recipe', () => {
  it('of Lea passes as it is', () => {
    expect(faultOf(() => recipeSchema.validateSync(recipeOf('herb-soda-bread')))).toBe('accepted')
  })
  it.each([
    ['0', 'must be more than 0'],
    ['-1', 'must be more than 0'],
    ['1/0', 'divides by zero'],
    ['1e9', 'is not an amount'],
    ['1000000000', 'too large'],
    ['', 'is missing'],
    ['lots', 'is not an amount'],
  ])('with an amount of %s: %s', (amount, says) => {
    const fault = faultOf(() => recipeSchema.validateSync(withAmount(amount)))
    expect(fault).toContain('lines[0].amount')
    expect(fault).toContain(says)
  })
  it('keeps amounts in lowest terms, however they were typed', () => {
    expect(recipeSchema.validateSync(withAmount('1½')).lines[0]?.amount).toBe('3/2')
    expect(recipeSchema.validateSync(withAmount(0.75)).lines[0]?.amount).toBe('3/4')
  })
  it('whose step uses a line that is not there names the step', () => {
    const recipe = plain(recipeOf('herb-soda-bread'))
    const lines = recipe.lines.filter((l) => l.id !== 'buttermilk')
    expect(faultOf(() => recipeSchema.validateSync({ ...recipe, lines }))).toContain(
      "'Pour and stir' uses a line that is not there",
    )
  })
})

describe('a child', () => {
  const schema = childSchema('2026-11-24')
  it.each([
    [{ birth: '2026-12' }, 'birth: Birth month lies in the future'],
    [{ birth: '2022-13' }, 'birth: Birth month must be a month'],
    [{ birth: '1999-01' }, 'more than 18 years back'],
    [{ nickname: '  ' }, 'nickname: Nickname is missing'],
    [{ nickname: 'x'.repeat(41) }, 'at most 40 characters'],
    [{ nickname: 'a\u0000b' }, 'characters that are not text'],
    [{ nickname: { first: 'Wren' } }, 'Nickname must be text'],
    [{ concerns: [{ allergen: 'milk', level: 'a bit' }] }, 'concerns[0].level: Level must be one of'],
    [{ diets: ['air'] }, 'diets[0]: Diet must be one of'],
  ])('with %j is refused: %s', (more, says) => {
    expect(faultOf(() => schema.validateSync({ ...kid, ...more }))).toContain(says)
  })
  it('named like a program is only a name', () => {
    for (const nickname of ['<script>alert(1)</script>', "Robert'); drop table x;--", '{{child}}']) {
      expect(schema.validateSync({ ...kid, nickname }).nickname).toBe(nickname)
    }
  })
  it('may come with all fourteen allergens', () => {
    const concerns = Array.from({ length: 14 }, (_, i) => ({ allergen: `allergen ${i}`, level: 'unknown' }))
    expect(faultOf(() => schema.validateSync({ ...kid, concerns }))).toBe('accepted')
  })
})

describe('a session', () => {
  const session = {
    date: '2026-11-26',
    start: '10:15',
    until: '11:30',
    recipe: '7f1f3c2e-4a51-4b7e-9d52-0d6f3a1b2c3d',
    children: [],
    guests: [],
    adults: [],
    seats: [],
  }
  it.each([
    [{ date: '2026-02-30' }, 'date: Day must be a day'],
    [{ start: '25:00' }, 'start: Start must be a time'],
    [{ until: '10:00' }, 'until: Families come before the start'],
    [{ recipe: 'none' }, 'recipe: Recipe is not a known id'],
    [{ children: Array.from({ length: 40 }, (_, i) => `c${i}`) }, '40 children: a session holds 30'],
    [
      {
        children: Array.from({ length: 20 }, (_, i) => `c${i}`),
        guests: Array.from({ length: 11 }, (_, i) => ({
          ...kid,
          birth: undefined,
          id: `guest-${i}`,
          months: 40,
        })),
      },
      '31 children: a session holds 30',
    ],
  ])('with %j is refused: %s', (more, says) => {
    expect(faultOf(() => sessionSchema.validateSync({ ...session, ...more }))).toContain(says)
  })
  it('a guest is at most eighteen and never below nought', () => {
    const guest = {
      id: 'guest-1',
      nickname: 'Caspian',
      months: -1,
      concerns: [],
      diets: [],
      languages: [],
      needs: [],
    }
    expect(faultOf(() => guestSchema.validateSync(guest))).toContain('at least 0')
  })
})

describe('events', () => {
  const event = (kind: string, body: unknown) => ({
    events: [
      {
        id: '7f1f3c2e-4a51-4b7e-9d52-0d6f3a1b2c3d',
        device: 'd',
        lamport: 1,
        at: '2026-11-26T10:00:00Z',
        kind,
        body,
      },
    ],
  })
  it.each([
    ['explode', {}, 'Event must be one of'],
    ['taste', { child: 'a', taste: 'yuck' }, 'Taste must be one of'],
    ['memo', { lines: ['a', 'b', 'c', 'd'] }, 'at most 3'],
    ['turn', {}, 'is missing'],
    ['gate', { gate: 'hands', by: [] }, 'at least 1'],
  ])('%s with %j is refused: %s', (kind, body, says) => {
    expect(faultOf(() => eventsSchema.validateSync(event(kind, body)))).toContain(says)
  })
})

describe('a plan request', () => {
  it('passes as the browser sends it', () => {
    expect(readPlanRequest(plain(request(four()))).children).toHaveLength(4)
  })
  it.each([
    [{ version: 2 }, 'version must be 1'],
    [{ children: [{ ...child('a', 50), birth: '2027-01' }] }, 'after the day of the session'],
    [{ children: [child('a', 50), child('a', 50)] }, 'Two children have the same id'],
    [{ decisions: [{ kind: 'hope' }] }, 'Decision must be one of'],
  ])('with %j is refused: %s', (more, says) => {
    expect(faultOf(() => readPlanRequest({ ...plain(request(four())), ...more }))).toContain(says)
  })
})

describe('a first visit', () => {
  it('asks for a password that is not a word', () => {
    const input = {
      setting: 'Ours',
      kind: 'home',
      country: 'uk',
      owner: 'Alder',
      signIn: 'alder',
      password: 'short',
      recipes: true,
    }
    expect(faultOf(() => firstVisitSchema.validateSync(input))).toContain('at least 10 characters')
  })
})
