import { describe, expect, it } from 'vitest'
import { readRecipeFile } from '../../src/schema/recipe/recipe-file'
import { recipeSchema } from '../../src/schema/recipe/recipe'
import { scoreOf, type Score } from './corpus/score'
import { CASES, type Case } from './corpus/texts'

const out = (globalThis as unknown as { console: { log: (...a: unknown[]) => void } }).console
const env = (globalThis as unknown as { process: { env: Record<string, string | undefined> } }).process.env
const scores: { c: Case; s: Score }[] = []
const refused: string[] = []
const badSchema: string[] = []
for (const c of CASES)
  try {
    const read = readRecipeFile(c.text, c.system)
    scores.push({ c, s: scoreOf(c, read) })
    try {
      recipeSchema.validateSync(read.recipe)
    } catch (e) {
      badSchema.push(`${c.style}/${c.name}: ${String(e)}`)
    }
  } catch (e) {
    refused.push(`${c.style}/${c.name}: ${String(e)}`)
  }

/** Words of headings, which say where something stands and not what. */
const HEADINGS = new Set(
  'ingredients method directions instructions steps step what need you will equipment notes note tips time child each need needs needed personal preparation ingrédients préparation make filling dough topping sauce base middle decorate cakes icing rice soup croutons balls layers dressing toppings dumplings finish pastry assembly wrapping raita cream plain cocoa salad chapati stew shape bake croutons first then this makes portions servings dozen eight persone porcje environ adults little snack small plus fruit quantity recipe card name learning'.split(
    ' ',
  ),
)
const share = (list: readonly boolean[]): number => list.filter(Boolean).length / Math.max(1, list.length)
const all = <T>(pick: (s: Score) => T[]): T[] => scores.flatMap(({ s }) => pick(s))
const median = (list: number[]): number => {
  const sorted = [...list].sort((a, b) => a - b)
  return (
    ((sorted[Math.floor((sorted.length - 1) / 2)] ?? 0) + (sorted[Math.ceil((sorted.length - 1) / 2)] ?? 0)) /
    2
  )
}

if (env['CORPUS']) {
  const only = env['CORPUS'] === '1' ? '' : env['CORPUS']
  for (const { c, s } of scores) {
    if (only && !`${c.style}/${c.name}`.includes(only)) continue
    const bad = [
      ...(s.title ? [] : [`title ${readRecipeFile(c.text, c.system).recipe.title}`]),
      ...(s.serves ? [] : [`serves ${readRecipeFile(c.text, c.system).recipe.serves}`]),
      ...s.lines.filter((l) => l.verdict !== 'exact').map((l) => `${l.verdict}: ${l.says}`),
      ...[...s.techniques, ...s.foods, ...s.minutes, ...s.degrees]
        .filter((x) => !x.right)
        .map((x) => `miss ${x.says}`),
      ...s.extra.map((x) => `extra ${x}`),
      ...(s.must > 1 ? [`must ${s.must}`] : []),
    ]
    if (bad.length > 0) out.log(`${c.style}/${c.name}\n   ${bad.join('\n   ')}`)
  }
  out.log(refused.join('\n'), badSchema.join('\n'))
  for (const style of ['', ...new Set(CASES.map((c) => c.style))]) {
    const own = scores.filter(({ c }) => style === '' || c.style === style).map(({ s }) => s)
    const of = <T>(pick: (s: Score) => T[]): T[] => own.flatMap(pick)
    const lines = of((s) => s.lines.map((l) => l.verdict))
    const count = (v: string): number => lines.filter((l) => l === v).length
    const p = (list: { right: boolean }[]): string => `${Math.round(100 * share(list.map((x) => x.right)))}`
    out.log(
      `${(style || 'ALL').padEnd(9)} lines ${lines.length} exact ${count('exact')} (${Math.round((100 * count('exact')) / lines.length)}%) asked ${count('asked')} unk ${count('unknown')} lost ${count('lost')} WRONG ${count('WRONG')} | tech ${p(of((s) => s.techniques))} foods ${p(of((s) => s.foods))} min ${p(of((s) => s.minutes))} deg ${p(of((s) => s.degrees))} | extra ${of((s) => s.extra).length} must ${median(own.map((s) => s.must))}/${Math.max(...own.map((s) => s.must))} title ${own.filter((s) => s.title).length} serves ${own.filter((s) => s.serves).length}/${own.length}`,
    )
  }
}

describe('texts as they occur', () => {
  it('none is refused', () => {
    expect(refused).toEqual([])
    expect(badSchema).toEqual([])
  })
  it('nothing is silently wrong', () => {
    const wrong = scores.flatMap(({ c, s }) =>
      s.lines.filter((l) => l.verdict === 'WRONG').map((l) => `${c.style}/${c.name}: ${l.says}`),
    )
    expect(wrong).toEqual([])
    expect(
      scores.flatMap(({ c, s }) =>
        s.extra.filter((x) => x.startsWith('line')).map((x) => `${c.style}/${c.name}: ${x}`),
      ),
    ).toEqual([])
  })
  it('nine lines in ten are exact, techniques nine in ten, degrees 95 %, foods of steps 85 %', () => {
    expect(share(all((s) => s.lines.map((l) => l.verdict === 'exact')))).toBeGreaterThanOrEqual(0.9)
    expect(share(all((s) => s.techniques.map((l) => l.right)))).toBeGreaterThanOrEqual(0.9)
    expect(share(all((s) => s.degrees.map((l) => l.right)))).toBeGreaterThanOrEqual(0.95)
    expect(share(all((s) => s.foods.map((l) => l.right)))).toBeGreaterThanOrEqual(0.85)
    expect(median(scores.map(({ s }) => s.must))).toBeLessThanOrEqual(1.5)
  })
})

describe('nothing named ever vanishes', () => {
  const plain = (text: string): string => text.toLowerCase().replace(/[^\p{L}]+/gu, ' ')
  it.each(
    scores
      .filter(({ c }) => !['html', 'chat', 'mail', 'scan', 'fresh', 'fresh2', 'fresh3'].includes(c.style))
      .map(({ c }) => [`${c.style}/${c.name}`, c] as const),
  )('%s', (_, c) => {
    const read = readRecipeFile(c.text, c.system)
    const kept = new Set(
      plain(JSON.stringify([read.recipe, read.unread, read.notes, read.lines, read.steps])).split(' '),
    )
    // Headings and bullets are the page's; every other word is the recipe's.
    const words = plain(c.text)
      .split(' ')
      .filter((w) => w.length > 3 && !HEADINGS.has(w))
    expect(words.filter((w) => !kept.has(w))).toEqual([])
  })
})
