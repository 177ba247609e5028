/**
 * The test of sense (design/talk.md 7) over every shipped recipe, four groups and every turn: nothing false, nothing of another moment,
 * nothing of what is not in view, and at least so many comments to a question as the age wants.
 */
import { describe, expect, it } from 'vitest'
import { ratio } from '../../../src/amount/ratio'
import { commentsToAQuestion } from '../../../src/learn/levels'
import { isByChildren, isHot } from '../../../src/recipe/recipe'
import { LADDERS } from '../../../src/learn/fact/saying'
import { lineAtWork } from '../../../src/plan/talk/facts/in-hand'
import { onlySize } from '../../../src/plan/model/scoop-sequence'
import { saidIn, tables, type Table } from './tables'

const where = ({ recipe, group }: Table, more = ''): string => `${recipe.id} ${group} ${more}`
const taskOf = ({ plan }: Table, slot: { turn?: string }) => {
  const turn = plan.turns.find((t) => t.id === slot.turn)
  return plan.tasks.find((t) => t.id === (turn?.task ?? slot.turn))
}

describe('what is said at 72 tables', () => {
  it('has no gap, no number that is none, and no double word', () => {
    for (const t of tables())
      for (const s of t.slots)
        for (const l of s.lines) {
          const all = [l.says, l.answer ?? '', ...(l.rungs ?? []).map((r) => r.says)].join(' | ')
          expect(all, where(t, l.id)).not.toMatch(/[{}]|undefined|NaN|\b(the|a|of|in) \1\b| {2}/)
          expect(l.says, where(t, l.id)).toMatch(/^[“(]?[\p{Lu}\d½¼¾⅓⅔]/u)
          expect(l.says, where(t, l.id)).toMatch(/[.!?…”)]$/)
        }
  })
  it('says hot at heat only, never cold there, and neither at the tap', () => {
    for (const t of tables()) {
      for (const s of t.slots) {
        const task = taskOf(t, s)
        const text = s.lines.map((l) => l.says).join(' ')
        if (s.moment === 'wash') expect(text, where(t)).not.toMatch(/\b(hot|cold)\b/i)
        if (task && isHot(task.place)) expect(text, where(t)).not.toMatch(/\bcold\b/i)
      }
      for (const talk of t.plan.talk) {
        const tasks = t.plan.tasks.filter((x) => x.step === talk.step)
        const heat = tasks.some((x) => isHot(x.place) || x.hazard === 'heat')
        const ids = [...talk.words, ...(talk.pair ?? [])].map((w) => w.id)
        if (ids.includes('hot')) expect(heat, where(t, talk.step)).toBe(true)
        if (heat) expect(ids, where(t, talk.step)).not.toContain('cold')
        const pair = (talk.pair ?? []).length
        expect([0, 2]).toContain(pair)
      }
    }
  })
  it('sings at every wash', () => {
    for (const t of tables())
      for (const s of t.slots.filter((x) => x.moment === 'wash'))
        expect(
          s.lines.some((l) => l.id === 'song'),
          where(t, s.key),
        ).toBe(true)
  })
  it('asks of nothing but the washing at a wash', () => {
    const ofWash = new Set(LADDERS.filter((l) => l.of === 'do-wash-hands').map((l) => l.id))
    for (const t of tables())
      for (const s of t.slots.filter((x) => x.moment === 'wash'))
        for (const l of s.lines)
          if (l.kind === 'question') expect(ofWash, where(t, `${s.key} ${l.says}`)).toContain(l.id)
  })
  it('asks what comes before and after of cooking only: not of the wash, and not before anything has begun', () => {
    for (const t of tables())
      t.plan.talk.forEach((talk, i) => {
        for (const a of talk.asks ?? []) {
          if (!/^order-/.test(a.line ?? '')) continue
          expect(i, where(t, a.says)).toBeGreaterThan(0)
          const all = [a.says, a.answer, ...(a.rungs ?? []).map((r) => r.says)].join(' ')
          expect(all, where(t)).not.toMatch(/wash (our )?hands/i)
        }
      })
  })
  it('names, of several foods side by side, the one that is worked on', () => {
    let beside = 0
    for (const t of tables())
      for (const s of t.slots) {
        const task = taskOf(t, s)
        const step = t.recipe.steps.find((x) => x.id === s.step)
        const works = step?.tasks.filter((x) => !x.measures && isByChildren(x.mode)) ?? []
        if (!task || s.moment !== 'turn' || task.measured || works.length < 2) continue
        const lines = t.plan.bowls.find((b) => b.id === s.bowl)?.lines ?? []
        const named = works.find((w) => w.technique === task.technique)?.lines
        const others = lines.filter(
          (l) => step?.uses.some((u) => u.line === l.line) && !named?.includes(l.line) && named !== undefined,
        )
        beside += others.length
        for (const l of s.lines)
          for (const o of others)
            expect(l.says.toLowerCase(), where(t, s.key)).not.toContain(o.name.toLowerCase())
      }
    expect(beside).toBeGreaterThan(20)
  })
  it('asks only who has it in hand: in its own turn of that task, at its own bowl', () => {
    for (const t of tables())
      for (const talk of t.plan.talk)
        for (const a of talk.asks ?? []) {
          if (a.task === undefined || a.child === null) continue
          const task = t.plan.tasks.find((x) => x.id === a.task)
          expect(task?.step, where(t)).toBe(talk.step)
          const crew = t.plan.bowls.find((b) => b.id === task?.bowl)?.children ?? []
          expect(crew, where(t, a.says)).toContain(a.child)
          if (task?.mode === 'WAIT' || task?.mode === 'ADULT') continue
          expect(
            t.plan.turns.some((x) => x.task === a.task && x.child === a.child),
            where(t, a.says),
          ).toBe(true)
          const slot = t.slots.find((s) => s.child === a.child && s.lines.some((l) => l.says === a.says))
          expect(t.plan.turns.find((x) => x.id === slot?.turn)?.task, where(t, a.says)).toBe(a.task)
        }
    for (const t of tables())
      for (const s of t.slots)
        if (s.child !== null)
          expect(t.plan.bowls.find((b) => b.id === s.bowl)?.children, where(t)).toContain(s.child)
  })
  it('counts scoops only where they are of one size', () => {
    for (const t of tables())
      for (const s of t.slots) {
        const task = taskOf(t, s)
        if (task?.measured?.by !== 'scoop' || task.measured.any || onlySize(task.measured)) continue
        for (const l of s.lines) {
          expect(l.id, where(t, l.says)).not.toMatch(/^scoop(-|\.)(?!level$|feel$|careful$)/)
          expect(l.says, where(t)).not.toMatch(/\d+ scoops/)
        }
      }
  })
  it('names a part only of what the child holds: part times pieces times hands is the amount', () => {
    let named = 0
    for (const t of tables())
      for (const talk of t.plan.talk)
        for (const f of [...(talk.facts ?? []), ...(talk.beside ?? [])]) {
          if (f.fact.kind !== 'cut' || !f.task) continue
          const task = t.plan.tasks.find((x) => x.id === f.task)
          const bowl = t.plan.bowls.find((b) => b.id === f.bowl)
          const line = bowl && task && lineAtWork(task, bowl)
          if (!line || line.unit !== 'item') continue
          const goes = t.plan.turns.filter((x) => x.task === f.task).length
          const whole = ratio(line.amount)
          if (f.fact.unnamed) continue
          named += 1
          expect(
            ratio(f.fact.held ?? '1')
              .mul(goes)
              .equals(whole),
            where(t, `${line.name} ${line.amount} for ${goes}`),
          ).toBe(true)
        }
    expect(named).toBeGreaterThan(4)
  })
  it('speaks of a pattern only where the recipe says how often it comes', () => {
    for (const t of tables())
      for (const talk of t.plan.talk)
        for (const f of [...(talk.facts ?? []), ...(talk.beside ?? [])])
          if (f.fact.kind === 'layer')
            expect(t.recipe.steps.find((s) => s.id === talk.step)?.rows?.times ?? 1).toBeGreaterThan(1)
  })
  it('tells the time as the plan has it', () => {
    let clocks = 0
    for (const t of tables())
      for (const talk of t.plan.talk)
        for (const f of talk.beside ?? []) {
          if (f.fact.kind !== 'timer') continue
          const task = t.plan.tasks.find((x) => x.id === f.task)
          const time = t.plan.schedule.find((s) => s.step === talk.step)
          if (!task || !time || task.end === undefined || task.start === undefined) continue
          const [h = 0, m = 0] = f.fact.start.split(':').map(Number)
          const [sh = 0, sm = 0] = time.at.split(':').map(Number)
          const begins = (h - sh) * 60 + (m - sm)
          expect(Math.abs(begins - (task.start - time.start) / 60), where(t, talk.step)).toBeLessThanOrEqual(
            1,
          )
          expect(Math.abs(f.fact.minutes - (task.end - task.start) / 60), where(t)).toBeLessThanOrEqual(1)
          clocks += 1
        }
    expect(clocks).toBeGreaterThan(40)
  })
  it('tells each wait as what it is: nothing of an oven at a fridge or rising dough', () => {
    for (const t of tables())
      for (const s of t.slots.filter((x) => x.moment === 'wait')) {
        const task = taskOf(t, s)
        if (!task || isHot(task.place)) continue
        const text = s.lines
          .filter((l) => l.kind !== 'story')
          .map((l) => l.says)
          .join(' ')
        expect(text, where(t, s.key)).not.toMatch(/\b(oven|golden|browns?|bake[sd]?|sizzle)\b/i)
      }
  })
  it('has the tasting words at the tasting', () => {
    for (const t of tables())
      for (const s of t.slots.filter((x) => x.moment === 'taste'))
        for (const l of s.lines) expect(l.says, where(t)).not.toMatch(/\b(soap|rinse|scrub|stir|knead)/i)
  })
  it('says nothing twice at a bowl but routines, and asks nothing twice in a session', () => {
    for (const t of tables()) {
      for (const bowl of t.plan.bowls) {
        const said = t.slots.filter((s) => s.bowl === bowl.id).flatMap(saidFirst)
        expect(new Set(said).size, where(t)).toBe(said.length)
      }
      const asks = t.plan.talk.flatMap((x) => x.asks ?? []).map((a) => a.key)
      expect(new Set(asks).size, where(t)).toBe(asks.length)
    }
  })
  it('asks about what comes before and after twice at most', () => {
    for (const t of tables()) {
      const order = t.plan.talk.flatMap((x) => x.asks ?? []).filter((a) => a.line?.startsWith('order-'))
      expect(order.length, where(t)).toBeLessThanOrEqual(2)
    }
  })
  it('comments at least so often to a question as the age wants', () => {
    for (const t of tables())
      for (const c of t.plan.children) {
        const bowl = t.plan.bowls.find((b) => b.children.includes(c.id))?.id
        const heard = t.slots
          .filter((s) => s.bowl === bowl && (s.child === null || s.child === c.id))
          .flatMap(saidIn)
          .filter((l) => l.who == null || l.who === c.id)
        const questions = heard.filter((l) => l.kind === 'question' && l.level !== 'model').length
        const others = heard.filter((l) => l.kind !== 'question' && l.kind !== 'guess').length
        expect(others, where(t, `${c.months} months, ${questions} asked`)).toBeGreaterThanOrEqual(
          questions * commentsToAQuestion(c.months),
        )
      }
  })
  it('leaves nobody out: each child of a year and more is asked, and hears a line in each of its turns', () => {
    for (const t of tables()) {
      const asked = new Set(t.plan.talk.flatMap((x) => x.asks ?? []).map((a) => a.child))
      for (const c of t.plan.children) expect(asked.has(c.id), where(t, `${c.months}`)).toBe(true)
      for (const turn of t.plan.turns)
        expect(
          t.slots.some((s) => s.turn === turn.id && s.lines.length > 0),
          where(t, turn.id),
        ).toBe(true)
    }
  })
})

const saidFirst = (s: Table['slots'][number]): string[] =>
  saidIn(s)
    .filter((l) => l.kind !== 'routine')
    .map((l) => l.says)
