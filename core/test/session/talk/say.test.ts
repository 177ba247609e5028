/** What to say turn by turn: to the child whose turn it is, of what is in the bowl at that moment. */
import { describe, expect, it } from 'vitest'
import { compile } from '../../../src/plan/compile'
import { recipeOf } from '../../group'
import { SHIPPED_RECIPES } from '../../../src/recipe/shipped'
import type { TableEvent } from '../../../src/session/event'
import { replay } from '../../../src/session/replay'
import { sayNow } from '../../../src/session/talk/say'
import { nextTurn, tableTasks } from '../../../src/session/table'
import { voteTalk } from '../../../src/session/talk/talk-view'
import type { Plan } from '../../../src/plan/model/plan'
import { child, request } from '../../group'

const plan = compile(
  request([child('small', 34), child('middle', 62), child('big', 100)], {
    recipe: recipeOf('cheese-leek-scones'),
  }),
)
const bowl = plan.bowls[0]?.id ?? ''
const tapped = (of: Plan, turns: string[], by?: string): TableEvent[] =>
  turns.map((turn, i) => ({
    id: `e-${i}`,
    device: 'a',
    lamport: i + 1,
    at: '2026-11-26T10:00:00.000Z',
    kind: 'turn',
    body: { turn, child: by ?? of.turns.find((t) => t.id === turn)?.child ?? '' },
  }))
const at = (of: Plan, step: string, done: string[]) => ({
  now: nextTurn(tableTasks(of, replay(tapped(of, done)), step)),
  talk: of.talk.find((t) => t.step === step) ?? null,
})
/** Every turn of every step as it is played. */
function* played(of: Plan) {
  for (const { step } of of.schedule) {
    const done: string[] = []
    for (let guard = 0; guard < 200; guard++) {
      const { now, talk } = at(of, step, done)
      if (!now) break
      yield { step, now, talk, said: sayNow(of, talk, of.bowls[0]?.id ?? '', now), done: [...done] }
      done.push(now.turn.id)
    }
  }
}

describe('what to say now', () => {
  it('goes with the child whose turn it is, and there is always something', () => {
    let turns = 0
    for (const { now, said } of played(plan)) {
      expect(said.child).toBe(now.turn.child)
      expect(said.lines[0]?.says).toBeTruthy()
      turns += 1
    }
    expect(turns).toBe(plan.turns.length)
  })
  it('says how much is in as it really is, also where fewer went in than was planned', () => {
    let sums = 0
    for (const recipe of SHIPPED_RECIPES) {
      const of = compile(request([child('a', 100), child('b', 110), child('c', 121)], { recipe }))
      for (const { step, now, talk, done } of played(of)) {
        if (!now.task.scoop || done.length === 0) continue
        // The first turn of the task is skipped: one scoop less is in.
        const task = now.task.task.id
        const [first] = of.turns.filter((t) => t.task === task)
        const skipped = (e: TableEvent): TableEvent =>
          e.kind === 'turn' && e.body.turn === first?.id ? { ...e, kind: 'skip' } : e
        const events = tapped(of, done).map(skipped)
        const really = nextTurn(tableTasks(of, replay(events), step))
        if (!really || really.turn.id !== now.turn.id) continue
        for (const line of sayNow(of, talk, of.bowls[0]?.id ?? '', really).lines) {
          const running = /^(\d[\d/ ]*) \S+ in\.$/.exec(line.says)?.[1]
          if (running === undefined || !line.id.startsWith('scoop.k')) continue
          expect(running, recipe.id).toBe(really.task.running)
          sums += 1
        }
      }
    }
    expect(sums).toBeGreaterThan(3)
  })
  it('sings at every wash, and counts nothing there', () => {
    let washes = 0
    for (const { now, said } of played(plan))
      if (now.task.task.technique === 'wash-hands') {
        washes += 1
        expect(said.countTo).toBe(0)
        expect(said.lines.some((l) => l.id === 'song')).toBe(true)
      }
    expect(washes).toBeGreaterThan(3)
  })
  it('a question that was chosen is said at its moment, with its easier rungs of the same question', () => {
    let asked = 0
    let found = 0
    for (const recipe of SHIPPED_RECIPES) {
      const of = compile(request([child('small', 34), child('middle', 62), child('big', 100)], { recipe }))
      const seen = [...played(of)]
      for (const talk of of.talk)
        for (const ask of talk.asks ?? []) {
          const heard = seen.filter((s) => s.step === talk.step).flatMap((s) => s.said.lines)
          const waiting = sayNow(of, talk, of.bowls[0]?.id ?? '', null).lines
          const line = [...heard, ...waiting].find((l) => l.says === ask.says)
          expect(line, `${recipe.id} ${talk.step}: ${ask.says}`).toBeDefined()
          asked += 1
          if (!line?.rungs) continue
          found += 1
          expect(new Set(line.rungs.map((r) => r.says)).size).toBe(line.rungs.length)
          expect(line.rungs.some((r) => r.says === ask.says)).toBe(true)
        }
    }
    expect(asked).toBeGreaterThan(60)
    expect(found).toBeGreaterThan(40)
  })
  it('after the last turn nothing is asked again', () => {
    for (const talk of plan.talk) {
      const hasTurns = plan.turns.some((t) => plan.tasks.some((x) => x.id === t.task && x.step === talk.step))
      const waits = plan.tasks.some((t) => t.step === talk.step && (t.mode === 'WAIT' || t.mode === 'ADULT'))
      if (!hasTurns || waits) continue
      for (const line of sayNow(plan, talk, bowl, null).lines) expect(line.kind).toBe('routine')
    }
    expect(sayNow(plan, null, bowl, null).lines).toEqual([])
  })
  it('a wait that came before the turns is not waited for after them', () => {
    let waits = 0
    for (const recipe of SHIPPED_RECIPES) {
      const of = compile(request([child('a', 40), child('b', 62), child('c', 100)], { recipe }))
      for (const talk of of.talk) {
        const tasks = of.tasks.filter((t) => t.step === talk.step)
        const last = tasks.findLastIndex((t) => of.turns.some((x) => x.task === t.id))
        const before = tasks.slice(0, Math.max(0, last)).some((t) => t.mode === 'WAIT')
        if (!before || tasks.slice(last + 1).some((t) => t.mode === 'WAIT')) continue
        waits += 1
        expect(sayNow(of, talk, of.bowls[0]?.id ?? '', null).lines.length).toBeGreaterThan(0)
        for (const line of sayNow(of, talk, of.bowls[0]?.id ?? '', null).lines)
          expect(['step-done', 'last-done'], `${recipe.id} ${talk.step}`).toContain(line.id)
      }
    }
    expect(waits).toBeGreaterThan(2)
  })
  it('at a gate nothing is asked of a turn, and what is not begun is not over', () => {
    let gates = 0
    for (const { now, talk, step, done } of played(plan)) {
      const said = sayNow(plan, talk, bowl, now, [], true)
      expect(said.child).toBeNull()
      expect(said.lines.length, step).toBeGreaterThan(0)
      for (const line of said.lines) expect(['step-done', 'song']).not.toContain(line.id)
      if (done.length > 0) expect(said.lines[0]?.id).toBe('in-a-moment')
      gates += 1
    }
    expect(gates).toBe(plan.turns.length)
    // A step without turns says at its gate what it says as it begins.
    const bakes = plan.talk.find((t) => t.step === 'bake')
    expect(sayNow(plan, bakes ?? null, bowl, null, [], true).lines[0]?.id).not.toBe('in-a-moment')
    // A step without turns has not begun behind its gate either; behind the last turn it is over.
    for (const talk of plan.talk) {
      const hasTurns = plan.turns.some((t) => plan.tasks.some((x) => x.id === t.task && x.step === talk.step))
      const said = sayNow(plan, talk, bowl, null, [], true)
      if (hasTurns) expect(said).toEqual(sayNow(plan, talk, bowl, null))
      else expect(said.lines.some((l) => l.id === 'step-done')).toBe(false)
    }
  })
  it('reads a plan that was frozen before lines had kinds', () => {
    const old: Plan = {
      ...plan,
      talk: plan.talk.map((t) => ({
        step: t.step,
        fact: t.fact,
        child: t.child,
        words: t.words,
        prompts: [],
        start: 'focused' as const,
        asks: (t.asks ?? []).map(({ child: who, target, level, says, answer, why }) => ({
          child: who,
          target,
          level,
          says,
          answer,
          why,
        })),
      })),
    }
    for (const { now, step } of played(old)) {
      const talk = old.talk.find((t) => t.step === step) ?? null
      expect(sayNow(old, talk, bowl, now).lines.length).toBeGreaterThan(0)
    }
  })
})

describe('the tokens', () => {
  const asked = (tastes: Parameters<typeof voteTalk>[1]) =>
    new Map(voteTalk(plan, tastes).map((p) => [p.id, p.answer]))
  it('are asked as they lie: which tower is tallest, how many voted', () => {
    const talk = asked({ small: 'more', middle: 'more', big: 'not-today' })
    expect(talk.get('vote-which')).toBe('more please')
    expect(talk.get('vote-how-many')).toBe('3')
  })
  it('of equal towers none is taller', () => {
    const talk = asked({ small: 'more', middle: 'tried', big: 'not-today' })
    expect(talk.get('vote-which')).toBe('they are the same: more please, tried it, not today')
  })
  it('nothing is asked while nobody chose', () => {
    expect(voteTalk(plan, {})).toEqual([])
  })
})
