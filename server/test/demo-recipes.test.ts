/** The library of the demo, planned for its three settings: nothing stays without a way to settle it, and every kind of work occurs. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { evaluateRecipe, criteriaFor } from '@lea/core/choose'
import { compile, openStops } from '@lea/core/plan'
import { type Recipe, SHIPPED_RECIPES, isByChildren } from '@lea/core/recipe'
import {
  type StoredAdult,
  type StoredChild,
  type StoredSession,
  type StoredSetting,
  assemble,
} from '@lea/core/setting'
import { DEMO_PASSWORD } from '../src/demo/people'
import { today } from '../src/clock'
import { openTestServer, type TestServer } from './test-server'

let house: TestServer
beforeAll(async () => {
  house = await openTestServer({ demo: true })
})
afterAll(() => house.close())

describe('the recipes of the demo', () => {
  it.each([
    ['petra', 'nursery'],
    ['tomasz', 'library'],
    ['alder', 'home'],
  ])('each is planned for the setting of %s (%s)', async (who) => {
    const visitor = house.visitor()
    await visitor.signIn(who, DEMO_PASSWORD)
    const setting = (await visitor.get('/api/setting')).body as StoredSetting & { adults: StoredAdult[] }
    const children = (await visitor.get('/api/children')).body as StoredChild[]
    const rows = (await visitor.get('/api/recipes')).body as { id: string; recipe: Recipe }[]
    expect(rows.length).toBe(SHIPPED_RECIPES.length)
    const session: StoredSession = {
      id: 's',
      date: today(),
      start: '10:00',
      until: '11:30',
      recipe: '',
      children: children.map((c) => c.id),
      guests: [],
      adults: setting.adults.map((a) => a.id),
      seats: [],
      decisions: [],
      state: 'planned',
    }
    const stored = { setting, children, adults: setting.adults }
    let fits = 0
    for (const { id, recipe } of rows) {
      const plan = compile(assemble({ ...session, recipe: id }, { ...stored, recipe }))
      for (const stop of openStops(plan))
        expect(stop.fixes.length, `${recipe.title}: ${stop.says}`).toBeGreaterThan(0)
      const look = evaluateRecipe(id, recipe, criteriaFor(session, stored))
      expect(
        look.against.some((a) => a.kind === 'plan'),
        recipe.title,
      ).toBe(false)
      if (look.against.length === 0) fits += 1
    }
    // A setting finds something to make.
    expect(fits).toBeGreaterThanOrEqual(3)
  })
  it('every kind of work occurs', () => {
    const all = SHIPPED_RECIPES
    const tasks = all.flatMap((r) => r.steps.flatMap((s) => s.tasks))
    const has = (what: string, there: boolean): void => expect(there, what).toBe(true)
    for (const place of ['oven', 'hob', 'fire', 'fridge'])
      has(
        place,
        tasks.some((t) => t.place === place),
      )
    has(
      'nothing cooked',
      all.some((r) =>
        r.steps.every((s) => s.tasks.every((t) => !['oven', 'hob', 'fire'].includes(t.place ?? ''))),
      ),
    )
    has(
      'griddle',
      tasks.some((t) => t.technique === 'use-griddle'),
    )
    has(
      'a night',
      all.some((r) => r.steps.some((s) => s.nextSitting)),
    )
    has(
      'soaking or rising',
      tasks.some((t) => t.mode === 'WAIT' && t.seconds >= 1800 && t.place === undefined),
    )
    has(
      'stations',
      tasks.some((t) => t.mode === 'STATION'),
    )
    has(
      'shared turns',
      tasks.some((t) => t.mode === 'TURNS'),
    )
    has(
      'each its own',
      tasks.some((t) => t.mode === 'EACH'),
    )
    has(
      'layers',
      all.some((r) => r.steps.some((s) => (s.layers ?? []).length > 1)),
    )
    has(
      'equal pieces',
      tasks.some((t) => (t.cuts ?? 0) > 1),
    )
    has(
      'a tin',
      all.some((r) => r.tin),
    )
    has(
      'free choice',
      all.some((r) => (r.choices ?? []).length > 0),
    )
    has(
      'ways by age',
      all.some((r) => r.steps.some((s) => (s.variants ?? []).length > 0)),
    )
    const raw = (food: RegExp) =>
      all.some((r) =>
        r.steps.some(
          (s) =>
            s.uses.some((u) => food.test(r.lines.find((l) => l.id === u.line)?.food ?? '')) &&
            s.tasks.some(
              (t) => t.mode === 'ADULT' && (t.technique === 'crack-egg' || t.technique === 'handle-raw-meat'),
            ),
        ),
      )
    has('raw egg by an adult', raw(/^egg/))
    has('raw meat by an adult', raw(/^chicken/))
    for (const r of all) {
      const jobs = r.steps.flatMap((s) => s.tasks).filter((t) => isByChildren(t.mode)).length
      expect(jobs, r.title).toBeGreaterThanOrEqual(4)
      expect(r.themes.length, r.title).toBeGreaterThan(0)
      expect(r.storage, r.title).not.toBe('')
      expect((r.keeps ?? []).length, r.title).toBeGreaterThan(0)
    }
  })
})
