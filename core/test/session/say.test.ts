/** What to say turn by turn: to the child whose turn it is, of what is in the bowl at that moment. */
import { describe, expect, it } from 'vitest'
import { SUPPORT_LEVELS } from '../../src/learn/levels'
import { compile } from '../../src/plan/compile'
import { SHIPPED_RECIPES } from '../../src/recipe/shipped'
import type { TableEvent } from '../../src/session/event'
import { replay } from '../../src/session/replay'
import { sayNow } from '../../src/session/say'
import { nextTurn, tableTasks } from '../../src/session/table'
import { voteTalk } from '../../src/session/talk-view'
import { child, request } from '../group'

const plan = compile(
  request([child('small', 34), child('middle', 62), child('big', 100)], {
    recipe: SHIPPED_RECIPES.find((r) => r.id === 'cheese-leek-scones'),
  }),
)
const scooped = plan.talk.filter((t) => t.fact?.kind === 'scoop')
const begun = (turns: string[]): TableEvent[] =>
  turns.map((turn, i) => ({
    id: `e-${i}`,
    device: 'a',
    lamport: i + 1,
    at: '2026-11-26T10:00:00.000Z',
    kind: 'turn',
    body: { turn, child: plan.turns.find((t) => t.id === turn)?.child ?? '' },
  }))
const at = (step: string, done: string[]) => ({
  now: nextTurn(tableTasks(plan, replay(begun(done)), step)),
  talk: plan.talk.find((t) => t.step === step) ?? null,
})

describe('what to say now', () => {
  it('has scoops to speak of', () => expect(scooped.length).toBeGreaterThan(0))
  it('goes with the child whose turn it is, within its age, and says how much is in by then', () => {
    for (const { step } of scooped) {
      const done: string[] = []
      for (let guard = 0; guard < 60; guard++) {
        const { now, talk } = at(step, done)
        if (!now) break
        const said = sayNow(plan, talk, now)
        expect(said.child).toBe(now.turn.child)
        expect(said.prompts[said.at]).toBeDefined()
        const line = plan.bowls[0]?.lines.find((l) => l.id === now.task.task.uses[0])
        const food = said.prompts.find((p) => p.says.startsWith('Is this scoop of'))
        if (food) expect(food.says).toContain(line?.name)
        const months = plan.children.find((c) => c.id === said.child)?.months ?? 0
        const howMuch = said.prompts.filter((p) => p.says.endsWith('How much is that?'))
        if (months < 84) expect(howMuch).toEqual([])
        for (const p of howMuch) expect(p.answer).toBe(`${now.task.running} ${now.task.unitWord}`)
        done.push(now.turn.id)
      }
      expect(done.length).toBeGreaterThan(0)
    }
  })
  it('does not ask two neighbours the same where there is another thing to ask', () => {
    for (const { step } of scooped) {
      const done: string[] = []
      let last = ''
      for (let guard = 0; guard < 60; guard++) {
        const { now, talk } = at(step, done)
        if (!now) break
        const said = sayNow(plan, talk, now)
        const begin = said.prompts[said.at]
        const same = said.prompts.filter((p) => p.level === begin?.level)
        if (now.task.task.mode === 'TURNS' && same.length > 1 && now.turn.number > 1)
          expect(begin?.says).not.toBe(last)
        last = begin?.says ?? ''
        done.push(now.turn.id)
      }
    }
  })
  it('reads a plan that was frozen before the box was kept with the fact', () => {
    for (const talk of scooped) {
      const fact = talk.fact?.kind === 'scoop' ? { ...talk.fact, measures: undefined } : talk.fact
      const { now } = at(talk.step, [])
      expect(sayNow(plan, { ...talk, fact }, now).prompts.length).toBeGreaterThan(0)
    }
  })
  it('a step without turns says what the plan has for it', () => {
    for (const talk of plan.talk) {
      const said = sayNow(plan, talk, null)
      expect(said.child).toBe(talk.child)
      const ask = talk.asks?.find((a) => a.child === said.child)
      const begin = said.prompts[said.at]
      // While nobody has a turn, everybody who is asked here is shown.
      const shown = [said.child, ...said.others.map((a) => a.child)]
      for (const a of talk.asks ?? []) expect(shown).toContain(a.child)
      expect(said.asked).toBe(ask !== undefined)
      if (ask) expect([begin?.target, ...(begin?.also ?? [])]).toContain(ask.target)
      else expect(SUPPORT_LEVELS.indexOf(begin?.level ?? 'open')).toBeLessThanOrEqual(2)
    }
    expect(sayNow(plan, null, null).prompts).toEqual([])
  })
})

describe('the tokens', () => {
  const asked = (tastes: Parameters<typeof voteTalk>[1]) =>
    new Map(voteTalk(plan, tastes).map((p) => [p.says, p.answer]))
  it('are asked as they lie: which tower is taller, how many, what the picture tells', () => {
    const talk = asked({ small: 'more', middle: 'more', big: 'not-today' })
    expect(talk.get('Which tower is taller: this one, or that one?')).toBe('more please')
    expect(talk.get('How many of us voted?')).toBe('3')
    expect(talk.get('What does our picture tell us?')).toBe('most: more please; fewest: tried it')
  })
  it('of equal towers none is taller, and nobody has most', () => {
    const talk = asked({ small: 'more', middle: 'tried', big: 'not-today' })
    expect(talk.get('Which tower is taller: this one, or that one?')).toBe(
      'they are the same: more please, tried it, not today',
    )
    expect(talk.get('What does our picture tell us?')).toBe('all the same: more please, tried it, not today')
  })
  it('nothing is asked while nobody chose', () => {
    expect(voteTalk(plan, {})).toEqual([])
  })
})
