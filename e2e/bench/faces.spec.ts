/**
 * `./lea bench faces`: of each main view at 1280 x 800 the words on the first screen and on the whole page, the largest paint and the layout
 * shift with the processor four times slower, and the bytes of scripts until then. Figures for people to read; nothing is asserted of time.
 */
import { gzipSync } from 'node:zlib'
import { type Page } from '@playwright/test'
import { test } from '../clock'
import { TestServer, signIn } from '../test-server'
import { seenWords } from './seen-words'

interface Figures {
  paint: number
  shift: number
  first: number
  whole: number
  script: number
}

/** The middle one; of two, the upper. */
const median = (list: readonly number[]): number =>
  [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? 0

async function measure(page: Page, address: string, settle: number): Promise<Figures> {
  let script = 0
  page.on('response', (r) => {
    if (r.url().endsWith('.js'))
      void r.body().then(
        (b) => (script += gzipSync(b).length),
        () => undefined,
      )
  })
  await page.goto(address)
  await page.waitForTimeout(settle)
  const seen = await page.evaluate(() => {
    const kept = window as unknown as { leaPaint: number; leaShift: number }
    return { paint: kept.leaPaint, shift: kept.leaShift }
  })
  return { ...(await seenWords(page)), ...seen, script }
}

test('the main views: words, paint, shift, scripts', async ({ browser }) => {
  test.setTimeout(900_000)
  const house = await TestServer.open()
  try {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
    const start = await context.newPage()
    await signIn(start, house)
    const weave =
      (await start
        .getByRole('link', { name: /Herb soda bread/ })
        .first()
        .getAttribute('href')) ?? ''
    const views: [string, string][] = [
      ['Today', '/today'],
      ['New session', '/today/new'],
      ['Recipes', '/recipes'],
      ['Children', '/children'],
      ['Cupboard', '/cupboard'],
      ['Record', '/record'],
      ['Setting', '/setting'],
      ...['weave', 'who', 'check', 'amounts', 'jobs', 'talk', 'ready'].map((v): [string, string] => [
        v.charAt(0).toUpperCase() + v.slice(1),
        weave.replace('weave', v),
      ]),
    ]
    const all: Figures[] = []
    console.log('view | words first / whole | largest paint ms | layout shift | scripts kB gzip')
    for (const [name, path] of views) {
      const page = await context.newPage()
      const devtools = await context.newCDPSession(page)
      await devtools.send('Emulation.setCPUThrottlingRate', { rate: 4 })
      await page.addInitScript(() => {
        const kept = window as unknown as { leaPaint: number; leaShift: number }
        kept.leaPaint = 0
        kept.leaShift = 0
        new PerformanceObserver((list) => {
          for (const e of list.getEntries()) kept.leaPaint = e.startTime
        }).observe({ type: 'largest-contentful-paint', buffered: true })
        new PerformanceObserver((list) => {
          for (const e of list.getEntries() as (PerformanceEntry & {
            value: number
            hadRecentInput: boolean
          })[])
            if (!e.hadRecentInput) kept.leaShift += e.value
        }).observe({ type: 'layout-shift', buffered: true })
      })
      const f = await measure(page, house.address + path, 10_000)
      all.push(f)
      console.log(
        `${name} | ${f.first} / ${f.whole} | ${Math.round(f.paint)} | ${f.shift.toFixed(3)} | ${Math.round(f.script / 1024)}`,
      )
      await page.close()
    }
    console.log(
      `median | ${median(all.map((f) => f.first))} / ${median(all.map((f) => f.whole))} | ${Math.round(median(all.map((f) => f.paint)))} | ${median(all.map((f) => f.shift)).toFixed(3)} |`,
    )
    await context.close()
  } finally {
    await house.close()
  }
})
