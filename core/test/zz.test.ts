import { it } from 'vitest'
import { compile } from '../src/plan/compile'
import { child, recipeOf, request } from './group'
it('x', () => {
    const base = request([child('c0',26),child('c1',26)], { recipe: recipeOf('overnight-oats-pear'), adults: [{id:'a',leads:['knives','heat']}] })
    const p = compile({ ...base, rules: { ...base.rules, grouping: 'own' } })
    console.log(p.tasks.filter(t=>t.step==='wash').map((t) => `ROW ${t.start}-${t.end} ${t.id} ${t.mode} ${t.joins} n${t.n} x${t.seconds} ${t.adult ?? ''} ${JSON.stringify(t.forms)}`).join('\n'), JSON.stringify(p.turns.slice(0,3)), JSON.stringify(p.bowls.map(b=>b.children)))
})
