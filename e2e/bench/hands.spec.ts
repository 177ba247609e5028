/**
 * `./lea bench hands`: what a hand waits for on a slow device, at four times the time for everything (CDP's CPU throttling): from a key, a tap or
 * a drag to the next paint, and the longest task on the main thread meanwhile. Goals: no task over 50 ms; a job picked up among thirty children
 * within 50 ms; the weave of thirty within 1.5 s; from a decision of twelve to the new plan within 150 ms. Told, not judged.
 * Waits are from the event itself to the end of the next frame; long tasks (a W3C draft) as Chromium reports them, without those of the test's own
 * questions to the page.
 */
import { type CDPSession, type Page } from '@playwright/test'
import { test } from '../clock'
import { openBread, passGates, sessionFor, signIn, startCooking, TestServer } from '../test-server'

const SLOWER = 4
const RUNS = 5

let house: TestServer
test.beforeAll(async () => {
  house = await TestServer.open()
})
test.afterAll(() => house.close())

interface Seen {
  /** Milliseconds from each event of a hand to the paint after it. */
  waits: number[]
  tasks: number[]
}
const worst = (list: readonly number[]): string => (list.length === 0 ? '-' : Math.max(...list).toFixed(0))
const middle = (list: readonly number[]): string =>
  list.length === 0 ? '-' : ([...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? 0).toFixed(0)
const say = (name: string, waits: readonly number[], tasks: readonly number[]): void =>
  void process.stdout.write(
    `${name.padEnd(46)} ${middle(waits).padStart(6)} ms median, ${worst(waits).padStart(6)} ms at most; longest task ${worst(tasks).padStart(5)} ms, ${tasks.length} over 50 ms\n`,
  )

/** So many more cards: enough without an allergy for thirty at one table. */
const moreChildren = (page: Page, count: number): Promise<void> =>
  page.evaluate(async (count) => {
    for (let i = 0; i < count; i++) {
      const answer = await fetch('/api/children', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({
          nickname: `Child ${String.fromCharCode(65 + i)}`,
          birth: `2022-${String((i % 9) + 1).padStart(2, '0')}`,
          concerns: [],
          diets: [],
          languages: [],
          needs: [],
          confirmed: false,
        }),
      })
      if (!answer.ok) throw new Error(`a child was refused: ${await answer.text()}`)
    }
  }, count)

/** What the page reports from now on. */
const listen = (page: Page): Promise<void> =>
  page.evaluate(() => {
    const seen: Seen = { waits: [], tasks: [] }
    Object.assign(window, { seen })
    new PerformanceObserver((list) => {
      for (const e of list.getEntries()) seen.tasks.push(e.duration)
    }).observe({ type: 'longtask' })
    for (const kind of ['keydown', 'click', 'dragstart'])
      document.addEventListener(
        kind,
        ({ timeStamp }) =>
          requestAnimationFrame(() => setTimeout(() => seen.waits.push(performance.now() - timeStamp))),
        true,
      )
  })
const heard = async (page: Page): Promise<Seen> => {
  await page.waitForTimeout(500)
  return page.evaluate(() => (window as unknown as { seen: Seen }).seen)
}

/** The first of these that is there, pressed by the page itself: looking for it as a test does would be a long task of its own. */
const press = (page: Page, ...says: readonly string[]): Promise<void> =>
  page.evaluate((says) => {
    const all = [...document.querySelectorAll('button')]
    const found = says.flatMap((s) => all.find((b) => b.textContent.trim().startsWith(s)) ?? [])[0]
    if (!found) throw new Error(`no button says ${says.join(' or ')}`)
    found.click()
  }, says)

async function slowly<T>(devtools: CDPSession, work: () => Promise<T>): Promise<T> {
  await devtools.send('Emulation.setCPUThrottlingRate', { rate: SLOWER })
  try {
    return await work()
  } finally {
    await devtools.send('Emulation.setCPUThrottlingRate', { rate: 1 })
  }
}

test('what a hand waits for on a slow device', async ({ page }) => {
  test.setTimeout(900_000)
  page.setDefaultTimeout(40_000)
  await signIn(page, house)
  await moreChildren(page, 22)
  const thirty = await sessionFor(page, 'overnight-oats-pear', [], 30)
  const devtools = await page.context().newCDPSession(page)
  process.stdout.write('\n')

  // The weave of thirty, from the address to the plan on the screen.
  const shown: number[] = []
  const busy: number[] = []
  for (let n = 0; n < RUNS; n++) {
    await page.goto('about:blank')
    await page.addInitScript(() => {
      const kept: { tasks: number[] } = { tasks: [] }
      Object.assign(window, { opening: kept })
      new PerformanceObserver((list) => {
        for (const e of list.getEntries()) kept.tasks.push(e.duration)
      }).observe({ type: 'longtask', buffered: true })
    })
    await slowly(devtools, async () => {
      const start = Date.now()
      await page.goto(`${house.address}/session/${thirty}/weave`, { waitUntil: 'commit' })
      await page.getByLabel(/^Steps and threads of/).waitFor()
      shown.push(Date.now() - start)
      await page.waitForTimeout(1500)
      busy.push(...(await page.evaluate(() => (window as unknown as { opening: Seen }).opening.tasks)))
    })
  }
  say('the weave of thirty, opened', shown, busy)

  await page.getByRole('link', { name: 'jobs' }).click()
  const pick = page.getByLabel(/^Hand over a turn of/).first()
  await pick.waitFor()
  await page.waitForTimeout(6000)
  await listen(page)
  const from = await page.locator('[data-lane] [draggable="true"]').first().boundingBox()
  if (!from) throw new Error('no turn can be dragged')
  await slowly(devtools, async () => {
    for (let n = 0; n < RUNS; n++) {
      await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2)
      await page.mouse.down()
      // Through lanes, and set down beside them.
      await page.mouse.move(from.x + 40, from.y + 90, { steps: 6 })
      await page.mouse.move(from.x + 40, from.y - 60, { steps: 6 })
      await page.waitForTimeout(400)
      await page.mouse.up()
      await press(page, 'Leave it where it is')
      await page.waitForTimeout(400)
    }
  })
  const dragged = await heard(page)
  say('jobs of thirty: picked up, dragged, left', dragged.waits, dragged.tasks)

  await page.goto(`${house.address}/recipes`)
  await page.getByText(/\d+ of \d+ recipes\./).waitFor()
  await page.waitForTimeout(3000)
  await listen(page)
  await slowly(devtools, async () => {
    const find = page.getByRole('searchbox')
    await find.focus()
    for (let n = 0; n < 3; n++) {
      await page.keyboard.type('bread with pear', { delay: 120 })
      for (let i = 0; i < 15; i++) await page.keyboard.press('Backspace', { delay: 40 })
    }
  })
  const typed = await heard(page)
  say('typing in the shelf', typed.waits, typed.tasks)

  // A decision of twelve: from the tap to the plan that knows it.
  await page.goto(`${house.address}/today`)
  await openBread(page)
  await page.getByRole('link', { name: 'check' }).click()
  const swap = page.getByRole('button', { name: /Oat drink and fresh lemon juice for everyone/ }).first()
  const open = page.getByRole('complementary').getByText(/Buttermilk lists/)
  const decided: number[] = []
  await swap.waitFor()
  await page.waitForTimeout(6000)
  await listen(page)
  await slowly(devtools, async () => {
    for (let n = 0; n < RUNS; n++) {
      const took = await swap.evaluate(
        (button: HTMLElement) =>
          new Promise<number>((done) => {
            const side = document.querySelector('aside') ?? document.body
            const start = performance.now()
            const watch = new MutationObserver(() => {
              if (/Buttermilk lists/.test(side.textContent)) return
              watch.disconnect()
              requestAnimationFrame(() => setTimeout(() => done(performance.now() - start)))
            })
            watch.observe(side, { subtree: true, childList: true, characterData: true })
            button.click()
          }),
      )
      decided.push(took)
      await page.waitForTimeout(2500)
      if (n < RUNS - 1) {
        await page.getByRole('button', { name: /^Undo/ }).first().click()
        await open.first().waitFor()
        await page.waitForTimeout(2500)
      }
    }
  })
  const after = await heard(page)
  say('a decision of twelve, to the new plan', decided, after.tasks)

  await page.goto(page.url().replace(/check$/, 'weave'))
  await startCooking(page)
  // The gates stand before the second step.
  await page.getByRole('button', { name: 'Next step' }).click()
  await passGates(page)
  await page.waitForTimeout(4000)
  await listen(page)
  await slowly(devtools, async () => {
    for (let n = 0; n < 12; n++) {
      await press(page, 'Done', 'Next step')
      await page.waitForTimeout(700)
    }
  })
  const tapped = await heard(page)
  say('taps at the table of twelve', tapped.waits, tapped.tasks)
})
