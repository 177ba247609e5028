import { writeFileSync } from 'node:fs'
import { it } from 'vitest'
import { compile } from '../src/plan/compile'
import { SHIPPED_RECIPES } from '../src/recipe/shipped'
import { scriptOf } from '../src/session/talk/script'
import { child, request } from './group'
const G: Record<string, ReturnType<typeof child>[]> = {
  threes: [36, 38, 41, 44].map((m, i) => child(`t${i}`, m, { languages: i === 0 ? ['pl'] : [] })),
  fives: [60, 61, 62, 64, 66, 68].map((m, i) => child(`f${i}`, m, { languages: i === 1 ? ['ar'] : [] })),
  mixed: [26, 38, 55, 72, 96, 122].map((m, i) => child(`m${i}`, m)),
  nines: [106, 110, 114, 118].map((m, i) => child(`n${i}`, m)),
}
it('dump', () => {
  const env = (globalThis as unknown as { process: { env: Record<string, string | undefined> } }).process.env
  const only = env['ONLY']?.split(',')
  let out = ''
  for (const r of SHIPPED_RECIPES) {
    if (only && !only.includes(r.id)) continue
    for (const [g, group] of Object.entries(G)) {
      if (env['GROUP'] && env['GROUP'] !== g) continue
      const base = request(group, { recipe: r })
      const plan = compile(g === 'fives' ? { ...base, rules: { ...base.rules, grouping: 'groups', groupSize: 3 } } : base)
      out += `\n##### ${r.id} ${g}\n`
      let step: string | null = ''
      for (const s of scriptOf(plan, group.map((c) => ({ child: c.id, languages: c.languages })))) {
        if (s.bowl !== plan.bowls[0]?.id) continue
        if (s.step !== step) { step = s.step; out += `-- ${plan.schedule.find((x) => x.step === step)?.title ?? ''}\n` }
        const first = s.moment === 'begin' || s.moment === 'arrive' || s.moment === 'read' || s.moment === 'look-back' ? s.lines.slice(0, 4) : s.moment === 'wait' ? s.lines.slice(0, 3) : s.lines.slice(0, 1)
        const task = plan.tasks.find((t) => plan.turns.find((x) => x.id === s.turn)?.task === t.id || t.id === s.turn)
        for (const l of first) {
          const m = plan.children.find((c) => c.id === (l.who ?? s.child))?.months
          out += `   ${s.moment}${task ? '/' + task.technique : ''} ${m ?? 'all'} [${l.kind}] ${l.id}: ${l.says}${l.answer ? ' => ' + l.answer : ''}${l.home ? ' {' + l.home.word + '}' : ''}\n`
          if (l.rungs && env['RUNGS']) for (const x of l.rungs) out += `        (${x.level}) ${x.says}\n`
        }
      }
      if (plan.uncovered?.length) out += `   !! ${plan.uncovered.map((u) => `${u.kind} ${u.child ?? ''} ${u.why}`).join('; ')}\n`
    }
  }
  writeFileSync('/tmp/w/dump.txt', out)
})
