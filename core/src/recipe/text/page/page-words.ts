/**
 * A saved page in one pass, without a tree: the data of its scripts, its microdata, and the words that a reader sees, with headings, list items
 * and cells as plain text has them. Menus, footers, forms and scripts are no words. Ends in time on any input: sizes are limited.
 */
import { Parser } from 'htmlparser2'
import { AmountError } from '../../../amount/ratio'

export interface PageRead {
  /** JSON-LD scripts, as they stand. */
  scripts: string[]
  /** Properties of the first thing of type Recipe that is marked in the page. */
  marked: { name: string; text: string }[]
  /** What a reader sees. */
  words: string
}

const SKIPPED = new Set(
  'script style nav footer aside form button select noscript svg template iframe object video audio canvas title'.split(
    ' ',
  ),
)
const BLOCKS = new Set(
  'p div section article main header ul ol li table tr h1 h2 h3 h4 h5 h6 br hr dl dt dd blockquote pre figure figcaption title'.split(
    ' ',
  ),
)
const MOST_TAGS = 200_000
const MOST_WORDS = 400_000
/** Deeper than any page: what is nested so is made to break readers. */
const DEEPEST = 2_000

interface Open {
  name: string
  skips: boolean
  prop?: { name: string; text: string; at: number }
  recipe?: boolean
}

class Reading {
  readonly out: PageRead = { scripts: [], marked: [], words: '' }
  private words: string[] = []
  private size = 0
  private open: Open[] = []
  private skip = 0
  private script: string[] | null = null
  private counts: number[] = []
  private tags = 0
  private recipes = 0

  start(name: string, attributes: Record<string, string>): void {
    this.tags += 1
    if (this.tags > MOST_TAGS)
      throw new AmountError(`is a page of more than ${MOST_TAGS} parts: save the recipe alone`)
    if (this.open.length > DEEPEST) throw new AmountError('is nested too deep')
    if (name === 'script' && /^application\/ld\+json/i.test(attributes['type']?.trim() ?? ''))
      this.script = []
    const heading = /^h[1-6]$/.test(name)
    const inHeader = this.open.some((o) => o.name === 'header')
    const skips =
      SKIPPED.has(name) ||
      (inHeader &&
        ['a', 'ul', 'button', 'span'].includes(name) &&
        !this.open.some((o) => /^h[1-6]$/.test(o.name)))
    const types = `${attributes['itemtype'] ?? ''} ${attributes['typeof'] ?? ''}`
    const recipe = /(?:^|[/#:\s])Recipe\b/.test(types)
    if (recipe) this.recipes += 1
    const prop = attributes['itemprop'] ?? attributes['property']
    const one: Open = { name, skips }
    if (recipe) one.recipe = true
    if (prop !== undefined && this.recipes === 1 && this.open.some((o) => o.recipe))
      one.prop = {
        name: prop,
        text: attributes['content'] ?? attributes['datetime'] ?? '',
        at: this.words.length,
      }
    this.open.push(one)
    if (skips) this.skip += 1
    if (this.skip > 0) return
    if (BLOCKS.has(name)) this.say('\n')
    if (heading) this.say('## ')
    if (name === 'ol') this.counts.push(0)
    if (name === 'ul') this.counts.push(-1)
    if (name === 'li') {
      const n = this.counts.at(-1) ?? -1
      if (n >= 0) this.counts[this.counts.length - 1] = n + 1
      this.say(n >= 0 ? `${n + 1}. ` : '• ')
    }
    if (name === 'td' || name === 'th' || name === 'span') this.say(' ')
  }
  text(text: string): void {
    if (this.script) this.script.push(text)
    else if (this.skip === 0) this.say(text.replace(/\s+/g, ' '))
  }
  end(name: string): void {
    if (name === 'script' && this.script) {
      this.out.scripts.push(this.script.join(''))
      this.script = null
    }
    const at = this.open.findLastIndex((o) => o.name === name)
    if (at < 0) return
    for (const closed of this.open.splice(at)) {
      if (closed.skips) this.skip -= 1
      if (closed.prop) {
        const text = closed.prop.text || this.words.slice(closed.prop.at).join('')
        this.out.marked.push({
          name: closed.prop.name,
          text: text.replace(/^(?:## |• |\d+\. )/gm, '').trim(),
        })
      }
    }
    if (name === 'ol' || name === 'ul') this.counts.pop()
    if (this.skip === 0 && BLOCKS.has(name) && name !== 'br')
      this.say(/^(?:h[1-6]|ul|ol|table|title)$/.test(name) ? '\n\n' : '\n')
  }
  private say(text: string): void {
    this.size += text.length
    if (this.size > MOST_WORDS)
      throw new AmountError('is a page of more words than any recipe has: save the recipe alone')
    this.words.push(text)
  }
  done(): PageRead {
    this.out.words = this.words
      .join('')
      .split('\n')
      .map((l) => l.replace(/[ \t]+/g, ' ').trim())
      .join('\n')
      .replace(/^(?:## |• |\d+\. )\s*$/gm, '')
      .replace(/\n{3,}/g, '\n\n')
      .trim()
    return this.out
  }
}

/**
 * @param html at most 5 MB
 * @throws AmountError where it is larger, made of more parts, or nested deeper than any page of a recipe
 */
export function readPageWords(html: string): PageRead {
  if (html.length > 5_000_000) throw new AmountError('is larger than 5 MB')
  const reading = new Reading()
  const parser = new Parser(
    {
      onopentag: (name, attributes) => {
        reading.start(name, attributes)
      },
      ontext: (text) => {
        reading.text(text)
      },
      onclosetag: (name) => {
        reading.end(name)
      },
    },
    { decodeEntities: true, lowerCaseTags: true, lowerCaseAttributeNames: true },
  )
  parser.write(html)
  parser.end()
  return reading.done()
}
