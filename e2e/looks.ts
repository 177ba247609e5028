/** One page for a file of looks: axe finds nothing, nothing is wider than a phone, the console is quiet, nothing comes from outside. */
import AxeBuilder from '@axe-core/playwright'
import { expect, type Browser, type Page } from '@playwright/test'
import { newContext } from './clock'
import type { TestServer } from './test-server'

/** A page whose complaints are written down: of the console, of scripts, of requests to anywhere else. */
export async function watchedPage(
  browser: Browser,
  house: TestServer,
): Promise<{ page: Page; complaints: string[] }> {
  const complaints: string[] = []
  const page = await (await newContext(browser, { serviceWorkers: 'allow' })).newPage()
  page.on('console', (m) => {
    if (m.type() === 'error' || m.type() === 'warning') complaints.push(m.text())
  })
  page.on('pageerror', (e) => complaints.push(e.message))
  page.on('request', (r) => {
    if (!r.url().startsWith(house.address) && !/^(data|blob):/.test(r.url()))
      complaints.push(`from outside: ${r.url()}`)
  })
  return { page, complaints }
}

/** What axe has against the page, each rule with where. A guard of the focus beside an open panel is no content. */
export async function axeFinds(page: Page): Promise<string[]> {
  const found = await new AxeBuilder({ page })
    .exclude('[data-headlessui-focus-guard]')
    // No frames of elsewhere: the second page that would put their results together is not needed.
    .setLegacyMode()
    .options({ resultTypes: ['violations'] })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'])
    .analyze()
  return found.violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(' | ')}`)
}

export async function looksRight(page: Page): Promise<void> {
  expect.soft(await axeFinds(page)).toEqual([])
  await page.setViewportSize({ width: 390, height: 844 })
  // A chart takes its new width a moment after the page.
  const wide = (): Promise<number> =>
    page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)
  await expect.soft.poll(wide).toBeLessThanOrEqual(0)
  await page.setViewportSize({ width: 1280, height: 800 })
}
