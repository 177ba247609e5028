// @vitest-environment happy-dom
/** Whose number the emergency page shows on a device where somebody signed in once. */
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { lastRules, rememberRules } from '../src/shared/last-rules'

describe('whose rules this device last knew', () => {
  beforeEach(() => localStorage.clear())
  it('nothing where nobody signed in', () => {
    rememberRules(undefined)
    expect(lastRules()).toBeUndefined()
  })
  it('country and nation, and nothing else of a setting', () => {
    rememberRules({ country: 'uk', nation: 'new-zealand', kind: 'nursery' } as never)
    expect(lastRules()).toEqual({ country: 'uk', nation: 'new-zealand' })
  })
  it.each(['{', '"x"', '{"country":"fr"}', 'null', '[]'])(
    'what was spoiled counts as nothing: %s',
    (text) => {
      localStorage.setItem('lea-nation', text)
      expect(lastRules()).toBeUndefined()
    },
  )
  it('a device that may keep nothing is no fault', () => {
    const refuse = vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new Error('no')
    })
    expect(() => rememberRules({ country: 'us' })).not.toThrow()
    refuse.mockRestore()
  })
})
