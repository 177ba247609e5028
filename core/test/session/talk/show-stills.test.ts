/** The children's screen on paper: every moment that a table comes to is there once, and nothing of anybody's name or health. */
import { describe, expect, it } from 'vitest'
import { compile } from '../../../src/plan/compile'
import { sayNow } from '../../../src/session/talk/say'
import { showMoments } from '../../../src/session/talk/show'
import { showStills } from '../../../src/session/talk/show-stills'
import { nextTurn, tableTasks } from '../../../src/session/table'
import { replay } from '../../../src/session/replay'
import { SHIPPED_RECIPES } from '../../../src/recipe/shipped'
import { child, request } from '../../group'
import { tables } from './tables'

const mat = (child: string): number => Array.from(child, (c) => c.charCodeAt(0)).reduce((a, b) => a + b, 0)

describe('the pictures of a session', () => {
  it('are those that the screen shows, turn by turn, each once; a job has one for each way in which it is done', () => {
    for (const { plan, recipe, group, children } of tables()) {
      if (group !== 'fives' && group !== 'mixed') continue
      const bowl = plan.bowls[0]?.id ?? ''
      const speakers = children.map((c) => ({ child: c.id, languages: c.languages }))
      const stills = showStills(plan, bowl, speakers, mat)
      const at = `${recipe.id} ${group}`
      expect(new Set(stills.map((s) => s.key)).size, at).toBe(stills.length)
      const have = new Set(stills.map((s) => JSON.stringify(s.moment)))
      for (const { step } of plan.schedule) {
        let state = replay([])
        const talk = plan.talk.find((t) => t.step === step) ?? null
        for (;;) {
          const now = nextTurn(tableTasks(plan, state, step).filter((t) => t.task.bowl === bowl))
          const say = sayNow(plan, talk, bowl, now, speakers)
          for (const m of showMoments(plan, step, talk, say, { turn: now?.turn ?? null, blocked: false }))
            if (
              m.kind !== 'choose' &&
              m.kind !== 'scene' &&
              m.kind !== 'story' &&
              !(m.kind === 'turn' && now?.task.scoop)
            )
              // Of scoops one picture stands for all who scoop.
              expect(have, `${at} ${step}`).toContain(JSON.stringify(m))
          if (!now) break
          const { id, who } = now.turn
          state = {
            ...state,
            turns: { ...state.turns, [id]: { event: id, child: who, at: '', skipped: false } },
          }
        }
      }
      const kinds = stills.map((s) => s.moment.kind)
      expect(kinds.slice(-2), at).toEqual(['tastes', 'done'])
      expect(kinds, at).toContain('wash')
    }
  })
  it('show of each job every turn in the mat of its child, and who does it in this way', () => {
    for (const { plan, recipe } of tables()) {
      const bowl = plan.bowls[0]?.id ?? ''
      const stills = showStills(plan, bowl, [], mat).filter((s) => s.moment.kind === 'turn')
      for (const s of stills) {
        expect(s.row?.own.length, recipe.id).toBeGreaterThan(0)
        expect(s.row?.own.every((o) => o.done && !o.skipped)).toBe(true)
        expect(s.row?.count).toBe(s.row?.own.length)
        expect(s.mats.length).toBeGreaterThan(0)
      }
      const doing = new Set(
        plan.turns
          .filter((t) => {
            const task = plan.tasks.find((x) => x.id === t.task)
            return task?.bowl === bowl && task.technique !== 'wash-hands'
          })
          .map((t) => mat(t.child)),
      )
      expect(new Set(stills.flatMap((s) => s.mats)), recipe.id).toEqual(doing)
    }
  })
  it('say nothing of a name or of health, and hold up only what every child is offered', () => {
    let chosen = 0
    for (const recipe of SHIPPED_RECIPES) {
      const crew = ['a', 'b', 'c'].map((n, i) =>
        child(
          `child-${n}`,
          50 + i,
          i === 0 ? { concerns: [{ allergen: 'milk', level: 'allergy-ingredient' }] } : {},
        ),
      )
      const plan = compile(request(crew, { recipe }))
      for (const { id } of plan.bowls) {
        const stills = showStills(plan, id, [], mat)
        const text = JSON.stringify(stills.map(({ moment, row, mats }) => [moment, row, mats]))
        for (const c of crew) expect(text, recipe.id).not.toContain(c.id)
        expect(text, recipe.id).not.toMatch(/allerg|anaphyl|coeliac|intoleran|care plan|finding|stop:/i)
        for (const { moment } of stills) {
          if (moment.kind !== 'choose') continue
          chosen++
          const all = moment.foods
          for (const f of all) expect(offeredToAll(plan, f), `${recipe.id} ${f}`).toBe(true)
        }
      }
    }
    expect(chosen).toBeGreaterThan(0)
  })
})

/** A food that stands in a free choice and in what each child is offered of it. */
function offeredToAll(plan: ReturnType<typeof compile>, word: string): boolean {
  return (plan.choices ?? []).some((c) =>
    c.offers.every((o) =>
      o.lines.some((l) => {
        const food = c.lines.find((x) => x.line === l)?.food ?? ''
        return food.includes(word) || word.includes(food)
      }),
    ),
  )
}
