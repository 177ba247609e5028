// @vitest-environment node
/**
 * The rules of docs/words.md that a test can hold, over the words that stand in the pages themselves: a button and a label begin with a
 * capital, one word stands for one thing, nothing is called safe, and no count is followed by a plural that does not ask how many.
 */
import { readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { describe, expect, it } from 'vitest'
import { parse } from 'vue/compiler-sfc'

const SRC = fileURLToPath(new URL('../src', import.meta.url))
const PAGES = readdirSync(SRC, { recursive: true, encoding: 'utf8' }).filter((f) => f.endsWith('.vue'))

/** What of the compiler's tree is asked for here: 1 element, 2 text, 5 words that are worked out. */
interface Node {
  type: number
  tag?: string
  content?: string | { content: string }
  props?: { name: string; value?: { content: string } }[]
  children?: Node[]
  loc: { start: { line: number } }
}
interface Found {
  where: string
  says: string
}
const templateOf = (file: string): Node[] =>
  (parse(readFileSync(join(SRC, file), 'utf8')).descriptor.template?.ast?.children ?? []) as unknown as Node[]
function* nodes(list: readonly Node[]): Generator<Node> {
  for (const n of list) {
    yield n
    yield* nodes(n.children ?? [])
  }
}
const textOf = (n: Node): string =>
  typeof n.content === 'string' ? n.content.replace(/\s+/g, ' ').trim() : ''
const attribute = (n: Node, name: string): string =>
  n.props?.find((p) => p.name === name)?.value?.content ?? ''
const isButton = (n: Node): boolean =>
  n.tag === 'button' || (['a', 'RouterLink'].includes(n.tag ?? '') && /\bbtn\b/.test(attribute(n, 'class')))

/** Every piece of static words of all pages. */
const said: Found[] = PAGES.flatMap((file) =>
  [...nodes(templateOf(file))].flatMap((n) =>
    [n.type === 2 ? textOf(n) : '', attribute(n, 'aria-label'), attribute(n, 'title'), attribute(n, 'label')]
      .filter(Boolean)
      .map((says) => ({ where: `${file}:${n.loc.start.line}`, says })),
  ),
)
const matching = (pattern: RegExp): string[] =>
  said.filter((s) => pattern.test(s.says)).map((s) => `${s.where} ${s.says}`)

describe('words of the pages', () => {
  it('are found at all', () => {
    expect(PAGES.length).toBeGreaterThan(100)
    expect(said.length).toBeGreaterThan(800)
  })
  it('a button and a label begin with a capital', () => {
    const small: string[] = []
    for (const file of PAGES)
      for (const n of nodes(templateOf(file))) {
        if (!isButton(n) && !['label', 'legend'].includes(n.tag ?? '')) continue
        const [first] = (n.children ?? []).filter((c) => c.type !== 2 || textOf(c) !== '')
        const own = first?.type === 2 ? textOf(first) : ''
        // Of words that are worked out, those that stand there as they are: "open ? 'fewer' : 'easier'".
        const worked = first?.type === 5 && typeof first.content === 'object' ? first.content.content : ''
        const parts = /^[^`]*\?/.test(worked)
          ? [...worked.matchAll(/[?:] '([^']+)'/g)].map((m) => m[1] ?? '')
          : []
        for (const says of [own, ...parts])
          if (/^\p{Ll}/u.test(says)) small.push(`${file}:${n.loc.start.line} ${says}`)
      }
    expect(small).toEqual([])
  })
  it('nothing is called safe', () => {
    expect(matching(/\bsafe\b/i)).toEqual([])
  })
  it.each([
    ['the first page', /\bDiary\b/],
    ['something is undone', /\btake(n)? back\b|\bunpin\b/i],
    ['a session is planned', /\blaid out\b|\bLay it out with\b/i],
    ['what is too much or too little time', /\b(minutes?|min) in hand\b/i],
    ['the paper of allergies', /kitchen wall|who must not have what/i],
  ])('one word for one thing: %s', (_, other) => {
    expect(matching(other)).toEqual([])
  })
  it('no arrow, no id and no token stands in the words', () => {
    expect(matching(/→|\{\{|\b[0-9a-f]{8}-[0-9a-f]{4}\b/)).toEqual([])
  })
  it('a number that is worked out is not followed by a plural that never asks how many', () => {
    const THINGS =
      'turns|children|sessions|weeks|recipes|packets|foods|scoops|minutes|adults|guests|words|days'
    const fixed = PAGES.flatMap((file) =>
      [...nodes(templateOf(file))].flatMap((n) =>
        (n.children ?? []).flatMap((c, i) => {
          const next = n.children?.[i + 1]
          const counts = c.type === 5 && typeof c.content === 'object' && /\.length$/.test(c.content.content)
          return counts && next?.type === 2 && new RegExp(`^(${THINGS})\\b`).test(textOf(next))
            ? [`${file}:${n.loc.start.line} ${textOf(next)}`]
            : []
        }),
      ),
    )
    expect(fixed).toEqual([])
  })
})
