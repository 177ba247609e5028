/** Reading recipes: a hundred texts as they occur, and pages made to break a reader. Limits of the design: 1.5 s, and 1 s each. */
import { readdirSync, readFileSync } from 'node:fs'
import { AmountError } from '@lea/core/amount'
import { readRecipeFile } from '@lea/core/schema'

/** As seen from the bundle, server/dist. */
const FOLDER = new URL('../../core/test/recipe/corpus/', import.meta.url)
const out = (text: string): void => {
  process.stdout.write(`${text}\n`)
}

/** The texts of the tests' corpus, without what is expected of them. */
function texts(): string[] {
  const files = readdirSync(FOLDER).filter((f) => f.endsWith('.txt'))
  return files.flatMap((f) =>
    readFileSync(new URL(f, FOLDER), 'utf8')
      .split(/^## (?=[a-z0-9-]+(?: \| [a-z]+)?$)/m)
      .slice(1)
      .map((block) => block.slice(block.indexOf('\n') + 1, block.search(/^=>/m))),
  )
}

const HOSTILE: [string, string][] = [
  ['a million open tags', '<div>'.repeat(1_000_000)],
  ['600,000 parts', '<b>x</b>'.repeat(600_000)],
  ['5 MB of words', `<p>${'flour '.repeat(800_000)}`],
  ['a script of brackets', `<script type="application/ld+json">${'['.repeat(4_000_000)}`],
  ['entities', `<p>${'&amp;'.repeat(900_000)}`],
  ['one attribute without end', `<p title="${'x'.repeat(4_900_000)}`],
  ['a list of 30,000 lines', `<ul>${'<li>200 g flour</li>'.repeat(30_000)}`],
  ['5 MB of JSON that is no recipe', `{"a":[${'1,'.repeat(2_000_000)}1]}`],
  ['60,000 characters of spaces and a', 'a '.repeat(30_000)],
  ['60,000 characters of and', 'and '.repeat(15_000)],
  ['one line of 2,900 amounts', '200 g flour, '.repeat(4_500)],
]

export function benchReading(): Promise<void> {
  const all = texts()
  const hundred = Array.from({ length: 100 }, (_, i) => all[(i * 7) % all.length] ?? '')
  const run = (): number => {
    const start = performance.now()
    for (const text of hundred) readRecipeFile(text)
    return performance.now() - start
  }
  const one = performance.now()
  readRecipeFile(all[1] ?? '')
  out(`\nthe first recipe, tables and all: ${(performance.now() - one).toFixed(0)} ms`)
  const cold = run()
  out(
    `\nreading 100 recipes (limit 1500 ms): ${cold.toFixed(0)} ms the first time, ${run().toFixed(0)} ms again`,
  )
  const each = all.map((text) => {
    const start = performance.now()
    readRecipeFile(text)
    return performance.now() - start
  })
  out(`  of ${all.length} texts the longest ${Math.max(...each).toFixed(0)} ms`)
  out('hostile sources (limit 1000 ms each)')
  for (const [name, text] of HOSTILE) {
    const start = performance.now()
    let says = 'read'
    try {
      readRecipeFile(text)
    } catch (fault) {
      if (!(fault instanceof AmountError)) throw fault
      says = fault.message
    }
    out(`  ${name}: ${(performance.now() - start).toFixed(0)} ms, ${says.slice(0, 70)}`)
  }
  return Promise.resolve()
}
