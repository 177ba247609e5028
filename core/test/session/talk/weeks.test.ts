/** Eight weeks of one group with its record kept: what was asked does not come again within three weeks, but for what is due back. */
import { describe, expect, it } from 'vitest'
import { dayAfter } from '../../../src/amount/days'
import { compile } from '../../../src/plan/compile'
import type { Plan } from '../../../src/plan/model/plan'
import { SHIPPED_RECIPES } from '../../../src/recipe/shipped'
import type { TableEvent } from '../../../src/session/event'
import { carriedOf } from '../../../src/session/progress'
import type { PastSession } from '../../../src/session/record'
import { request } from '../../group'
import { GROUPS, type GroupName } from './tables'

const WEEKS = 8
const event = (n: number, kind: string, body: object): TableEvent =>
  ({
    id: `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`,
    device: 'd',
    lamport: n,
    at: '2026-01-01T10:00:00Z',
    kind,
    body,
  }) as TableEvent

/** A session that was played to its end, with every answer "said it". */
function past(plan: Plan, date: string): PastSession {
  let n = 0
  const events = [event(n++, 'begin', {})]
  for (const t of plan.talk) {
    events.push(event(n++, 'step', { step: t.step }))
    for (const a of t.asks ?? [])
      if (a.child && a.target)
        events.push(event(n++, 'talk', { child: a.child, target: a.target, how: 'said', level: a.level }))
  }
  return { id: date, date, title: plan.recipe.title, plan, events }
}

function weeksOf(group: GroupName, sameRecipe: boolean) {
  const done: PastSession[] = []
  let date = '2026-01-05'
  for (let week = 0; week < WEEKS; week++, date = dayAfter(date, 7)) {
    const recipe = SHIPPED_RECIPES[sameRecipe ? 9 : (week * 5) % SHIPPED_RECIPES.length]
    const children = GROUPS[group].map((c) => ({ ...c, talk: carriedOf(c.id, done).talk }))
    const base = request(children, { recipe })
    const plan = compile({ ...base, session: { ...base.session, id: date, date } })
    done.push(past(plan, date))
  }
  return done
}

const repeats = (done: readonly PastSession[]) =>
  done.flatMap((s, week) =>
    s.plan.talk
      .flatMap((t) => t.asks ?? [])
      .flatMap((a) => {
        const before = done.slice(Math.max(0, week - 3), week)
        const again = before.some((b) => b.plan.talk.some((t) => t.asks?.some((x) => x.key === a.key)))
        return again ? [{ week, ...a }] : []
      }),
  )

describe('eight weeks', () => {
  for (const group of Object.keys(GROUPS) as GroupName[])
    it(`asks ${group} nothing again within three weeks but what is due, and each child is asked`, () => {
      for (const same of [false, true]) {
        const done = weeksOf(group, same)
        for (const r of repeats(done)) expect(r.why, `${r.key} in week ${r.week}`).toBe('due')
        const without = done.flatMap((s) =>
          s.plan.children.filter((c) => !s.plan.talk.some((t) => t.asks?.some((a) => a.child === c.id))),
        )
        // With one and the same recipe every week there is less that is new.
        expect(without.length).toBeLessThanOrEqual(same ? WEEKS : 0)
      }
    })
})
