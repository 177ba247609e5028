/** What a person changes in the talk: a line that is not said, one that is kept, words of one's own of any kind. */
import { describe, expect, it } from 'vitest'
import { compile } from '../../../src/plan/compile'
import { decide, type Decision } from '../../../src/plan/model/decision'
import { talkMoments } from '../../../src/session/talk/talk-moments'
import { scriptOf } from '../../../src/session/talk/script'
import { request } from '../../group'
import { GROUPS } from './tables'

const base = request([...GROUPS.fives])
const planOf = (...list: Decision[]) => compile({ ...base, decisions: list.reduce(decide, base.decisions) })
const first = planOf()
const ids = (plan: ReturnType<typeof planOf>) =>
  scriptOf(plan).flatMap((s) => s.lines.slice(0, 1).map((l) => l.id))

describe('what a person changes in the talk', () => {
  it('a line that is not wanted is said nowhere in the session, and another stands in its place', () => {
    const asked = first.talk.flatMap((t) => (t.asks ?? []).map((a) => ({ step: t.step, line: a.line ?? '' })))
    const said = scriptOf(first).flatMap((s) =>
      s.step === null
        ? []
        : s.lines.slice(0, 1).map((l) => ({ step: s.step ?? '', line: l.id, kind: l.kind })),
    )
    for (const { step, line } of [...asked, ...said.filter((l) => l.kind !== 'routine').slice(0, 12)]) {
      const plan = planOf({ kind: 'line', step, line, use: 'not' })
      expect(ids(plan)).not.toContain(line)
      expect(plan.talk.flatMap((t) => t.asks ?? []).some((a) => a.line === line)).toBe(false)
      expect(scriptOf(plan).length).toBeGreaterThanOrEqual(scriptOf(first).length - 1)
    }
  })
  it('a line that is kept is the first of its step that can say it', () => {
    for (const slot of scriptOf(first)) {
      const other = slot.lines[1]
      if (slot.step === null || slot.child === null || other?.kind !== 'comment') continue
      const plan = planOf({ kind: 'line', step: slot.step, line: other.id, use: 'keep' })
      const heard = scriptOf(plan).filter((s) => s.step === slot.step)
      expect(heard.some((s) => s.lines[0]?.id === other.id)).toBe(true)
    }
  })
  it('words of one’s own stand as the kind that they are', () => {
    const step = first.schedule[1]?.step ?? ''
    const plan = planOf({
      kind: 'own-prompt',
      step,
      child: null,
      says: 'Do you hear the rain?',
      answer: '',
      line: 'comment',
    })
    const rows = talkMoments(plan).find((m) => m.step === step)?.rows ?? []
    expect(rows.find((r) => r.says === 'Do you hear the rain?')).toMatchObject({
      kind: 'comment',
      child: null,
    })
  })
  it('every line that is shown beforehand says to whom, and every question why', () => {
    for (const m of talkMoments(first))
      for (const r of [...m.rows, ...m.turns])
        if (r.kind === 'question') {
          expect(r.child, r.says).not.toBeNull()
          expect(r.why.length, r.says).toBeGreaterThan(3)
        }
  })
})
