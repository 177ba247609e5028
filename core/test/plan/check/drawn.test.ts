/** Drawn recipes with hot and raw words: no child where none may be, and nothing harmless taken from children. More of them: `./lea bench`. */
import { describe, expect, it } from 'vitest'
import { breaches } from '../../../src/plan/check/check'
import { planFault } from '../../../src/plan/check/fields/plan-fields'
import { compile } from '../../../src/plan/compile'
import { child, request } from '../../group'
import { drawnRecipe } from './drawn-recipes'

const AGES = [30, 44, 62, 83, 90, 140]
const SEVEN = 84
/** `./lea bench drawn` asks for more. */
const { process } = globalThis as { process?: { env: Record<string, string | undefined> } }
const HOW_MANY = Number(process?.env['LEA_DRAWN'] ?? 300)

describe('drawn recipes with hot and raw words', () => {
  it(
    `${HOW_MANY}: nobody touches what is raw, none under seven stands at what is hot, the rest is the children’s`,
    { timeout: 300_000 + HOW_MANY * 100 },
    () => {
      const wrong: string[] = []
      for (let seed = 1; seed <= HOW_MANY; seed++) {
        const { recipe, nobody, hot, harmless } = drawnRecipe(seed)
        const of = request(
          AGES.map((months, i) => child(`c${i}`, months)),
          { recipe },
        )
        const plan = compile(of)
        expect(planFault(plan)).toBeNull()
        wrong.push(...breaches(plan, of).map((b) => `${seed}: ${b}`))
        const says = (id: string) => `${seed} ${recipe.steps.map((s) => s.says).join(' ')} @ ${id}`
        for (const turn of plan.turns) {
          const task = plan.tasks.find((t) => t.id === turn.task)
          const age = AGES[Number(turn.child.slice(1))] ?? 0
          if (!task || task.technique === 'wash-hands') continue
          if (nobody.has(task.step)) wrong.push(`raw: ${says(task.step)}`)
          if (hot.has(task.step) && age < SEVEN) wrong.push(`hot: ${says(task.step)}`)
        }
        for (const task of plan.tasks)
          if (harmless.has(task.step) && task.barred.some((b) => b.cause === 'raw' || b.cause === 'heat'))
            wrong.push(`taken: ${says(task.step)} ${task.barred[0]?.why ?? ''}`)
      }
      expect([...new Set(wrong)]).toEqual([])
    },
  )
})
