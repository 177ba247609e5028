/** The figures above the lanes are the plan’s own, and the pictures of jobs show what its tasks say. */
import { describe, expect, it } from 'vitest'
import { compile } from '../../../src/plan/compile'
import { handPicture, LEFT_TOOLS } from '../../../src/plan/view/hand-picture'
import { halfMinutes, headline } from '../../../src/plan/view/headline'
import { TECHNIQUES } from '../../../src/craft/techniques'
import { TOOLS } from '../../../src/craft/tools'
import { SHIPPED_RECIPES } from '../../../src/recipe/shipped'
import { child, request } from '../../group'

describe('a plan at one look', () => {
  it('says halves as ½ and whole minutes as they are', () => {
    expect([0, 14, 15, 30, 60, 90, 150, 600].map(halfMinutes)).toEqual([
      '0 min',
      '0 min',
      '½ min',
      '½ min',
      '1 min',
      '1½ min',
      '2½ min',
      '10 min',
    ])
  })
  it('has its length, its end, its turns and its longest wait, of every recipe', () => {
    const group = [child('a', 30), child('b', 44), child('c', 61)]
    for (const recipe of SHIPPED_RECIPES) {
      const plan = compile(request(group, { recipe }))
      const { figures } = headline(plan)
      expect(figures[0]).toEqual({
        figure: `${Math.round(plan.totals.seconds / 60)} min`,
        says: `ends ${plan.totals.endsAt}`,
      })
      const turns = plan.totals.perChild.map((p) => p.turns)
      const said =
        figures
          .find((f) => f.says === 'turns each')
          ?.figure.split('–')
          .map(Number) ?? []
      expect([said[0], said.at(-1)], recipe.id).toEqual([Math.min(...turns), Math.max(...turns)])
      for (const f of figures) expect(f.figure, recipe.id).toMatch(/\d|½/)
    }
  })
})

describe('the picture of a job', () => {
  it('shows the tool of the child’s own form, and a food of its own bowl', () => {
    const group = [child('a', 30), child('b', 75)]
    for (const recipe of SHIPPED_RECIPES) {
      const plan = compile(request(group, { recipe }))
      for (const task of plan.tasks)
        for (const c of ['a', 'b']) {
          const lines = plan.bowls.find((b) => b.id === task.bowl)?.lines ?? []
          const shown = handPicture(task, lines, c)
          const form = task.forms.find((f) => f.children.includes(c))
          expect(shown.tool, `${recipe.id} ${task.id}`).toBe(form?.tool ?? '')
          if (shown.food !== null) expect(lines.map((l) => l.food)).toContain(shown.food)
          expect(shown.left).toBe(false)
        }
    }
  })
  it('knows the tools of the left hand as the catalogue does', () => {
    const onLadder = new Set(TECHNIQUES.flatMap((t) => t.ladder.map((r) => r.tool)))
    const left = TOOLS.flatMap((t) => t.adapts?.left ?? []).filter((t) => !onLadder.has(t))
    expect([...LEFT_TOOLS].sort()).toEqual([...new Set(left)].sort())
  })
  it('is mirrored for a left hand where the catalogue has something for it', () => {
    const left = { ...child('a', 60), hand: 'left' as const }
    const shown = SHIPPED_RECIPES.flatMap((recipe) => {
      const plan = compile(request([left, child('b', 60)], { recipe }))
      return plan.tasks
        .filter((t) => t.technique === 'snip-scissors' && t.forms.some((f) => f.children.includes('a')))
        .map((t) => ['a', 'b'].map((c) => handPicture(t, plan.bowls[0]?.lines ?? [], c).left))
    })
    expect(shown.length).toBeGreaterThan(0)
    for (const both of shown) expect(both).toEqual([true, false])
  })
})
