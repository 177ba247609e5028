/** The clock of the browser tests: that of `./lea test` (LEA_CLOCK_SHIFT_MS), for the tests themselves and for every page. */
import { test as base, type Browser, type BrowserContext, type BrowserContextOptions } from '@playwright/test'

const SHIFT_MS = Number(process.env['LEA_CLOCK_SHIFT_MS'] ?? 0)

/** Now, on the clock of the tests. */
const now = (): Date => new Date(Date.now() + SHIFT_MS)

/** Today on the clock of the tests, `YYYY-MM-DD`. */
export const today = (): string => {
  const at = now()
  const pad = (n: number): string => String(n).padStart(2, '0')
  return `${at.getFullYear()}-${pad(at.getMonth() + 1)}-${pad(at.getDate())}`
}

/** Moves the clock of every page of a context. Timers and `performance` keep the pace of the machine. */
async function moveClock(context: BrowserContext): Promise<void> {
  await context.addInitScript((shift) => {
    const Real = Date
    globalThis.Date = new Proxy(Real, {
      construct: (_, given: unknown[]) =>
        Reflect.construct(Real, given.length > 0 ? given : [Real.now() + shift]) as object,
      apply: () => new Real(Real.now() + shift).toString(),
      get: (target, key) => (key === 'now' ? () => Real.now() + shift : Reflect.get(target, key)),
    })
  }, SHIFT_MS)
}

/** A context beside that of the test, on the same clock. */
export async function newContext(
  browser: Browser,
  options: BrowserContextOptions = {},
): Promise<BrowserContext> {
  const context = await browser.newContext(options)
  await moveClock(context)
  return context
}

export const test = base.extend({
  context: async ({ context }, use) => {
    await moveClock(context)
    await use(context)
  },
})
