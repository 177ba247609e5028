/** What the first pages cost, and what no page for children may show. */
import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { gzipSync } from 'node:zlib'
import { expect, type Page } from '@playwright/test'
import { test } from '../clock'
import { axeFinds } from '../looks'
import { openBread, openTopic, signIn, swapTheMilk, TestServer, startCooking } from '../test-server'

const DIST = fileURLToPath(new URL('../../web/dist', import.meta.url))
/** Of JavaScript by gzip, up to the first route: perf budget of Lea. */
const MOST_BYTES = 150_000

let house: TestServer
test.beforeAll(async () => {
  house = await TestServer.open()
})
test.afterAll(() => house.close())

interface Chunk {
  file: string
  isEntry?: boolean
  imports?: string[]
}
const manifest = JSON.parse(readFileSync(join(DIST, '.vite/manifest.json'), 'utf8')) as Record<string, Chunk>
/** The files of JavaScript that a route reads before it is there. */
function filesOf(route: string): string[] {
  const seen = new Set<string>()
  const walk = (key: string): void => {
    if (seen.has(key)) return
    seen.add(key)
    for (const next of manifest[key]?.imports ?? []) walk(next)
  }
  for (const key of Object.keys(manifest)) if (manifest[key]?.isEntry) walk(key)
  walk(route)
  return [...seen].map((key) => manifest[key]?.file ?? '').filter((f) => f.endsWith('.js'))
}

/** Words that stand in each of the large tables, and nowhere else. */
const TABLES = [
  ['foods', 'gf-flour-blend'],
  ['label words', 'elderberry elderflower'],
  ['swaps', 'buttermilk>oat-drink'],
  ['ladders', 'does it come out even, or are some left over?'],
  ['comments', 'Glug, glug. In it goes.'],
  ['choking rules', 'Cut grapes long ways, then long ways again.'],
  ['shipped recipes', 'Lentil soup with letter shapes'],
  ['glossary', 'Lea glossary, from memory'],
] as const
/** The built files of JavaScript that hold these words. */
const holding = (words: string): string[] =>
  readdirSync(join(DIST, 'assets')).filter(
    (f) => f.endsWith('.js') && readFileSync(join(DIST, 'assets', f), 'utf8').includes(words),
  )

for (const route of [
  'auth/SignIn',
  'auth/FirstVisit',
  'today/Today',
  'session/SessionPage',
  'session/weave/Weave',
  'choose/NewSession',
  'recipes/Recipes',
]) {
  test(`${route}: at most 150 kB of JavaScript by gzip, and no table of data among it`, () => {
    const files = filesOf(`src/${route}.vue`)
    expect(files.length).toBeGreaterThan(2)
    const texts = files.map((f) => readFileSync(join(DIST, f)))
    expect(texts.reduce((sum, t) => sum + gzipSync(t).length, 0)).toBeLessThanOrEqual(MOST_BYTES)
    const all = texts.join('\n')
    for (const [table, words] of TABLES) expect(all.includes(words), table).toBe(false)
  })
}

test('each table is built into something, so that its absence says something', () => {
  for (const [table, words] of TABLES) expect(holding(words).length, table).toBeGreaterThan(0)
})

test('the words of labels stand in workers only', () => {
  const all = holding('elderberry elderflower')
  expect(all.length).toBeGreaterThan(0)
  expect(all.filter((f) => !f.includes('.worker'))).toEqual([])
})

/** What came over the wire for a path: each answer with its encoding. */
function listen(page: Page): { url: string; encoding: string }[] {
  const answers: { url: string; encoding: string }[] = []
  page.on('response', (r) => {
    answers.push({ url: new URL(r.url()).pathname, encoding: r.headers()['content-encoding'] ?? '' })
  })
  return answers
}

test('answers come compressed, and each list of the setting is asked for once', async ({ page }) => {
  const answers = listen(page)
  await signIn(page, house)
  await expect(page.getByRole('link', { name: /Herb soda bread/ }).first()).toBeVisible()
  const scripts = answers.filter((a) => a.url.startsWith('/assets/') && a.url.endsWith('.js'))
  expect(scripts.length).toBeGreaterThan(3)
  for (const s of scripts.filter((x) => existsSync(join(DIST, `${x.url}.br`))))
    expect(s.encoding).toMatch(/br|gzip/)
  expect(answers.find((a) => a.url === '/api/recipes')?.encoding).toMatch(/br|gzip|deflate/)
  for (const list of ['setting', 'children', 'recipes', 'sessions', 'packets'])
    expect(answers.filter((a) => a.url === `/api/${list}`).length, list).toBe(1)
})

test('a note about a child’s allergy is not on the table’s screen, whatever its words', async ({ page }) => {
  await signIn(page, house)
  await openBread(page)
  await swapTheMilk(page)
  await startCooking(page)
  await expect(page.getByRole('heading', { name: 'Wash hands', level: 1 })).toBeVisible()
  // The plan in force gets a note for each child, in words that no rule knows, at every step.
  interface Frozen {
    children: { id: string }[]
    schedule: { step: string }[]
    watch: object[]
  }
  await page.route(/\/api\/sessions\/[^/]+$/, async (route) => {
    const response = await route.fetch()
    const body = (await response.json()) as { plan: Frozen | null }
    const { plan } = body
    for (const { step } of plan?.schedule ?? [])
      for (const { id: child } of plan?.children ?? [])
        plan?.watch.push({
          step,
          grade: 'adult',
          about: { kind: 'child', child },
          says: `{{${child}}} keeps well away from the quibblewort.`,
          source: 'a test',
        })
    await route.fulfill({ response, json: body })
  })
  await page.reload()
  const watch = page.getByRole('region', { name: 'Watch' })
  await expect(watch).toBeVisible()
  await expect(page.getByText('quibblewort')).toHaveCount(0)
  await watch.getByRole('button', { name: /for an adult’s eyes/ }).click()
  await expect(watch.getByText('quibblewort').first()).toBeVisible()
})

test('the first owner of a setting that was made for them comes in by a link, which then opens nothing more', async ({
  page,
}) => {
  const link = /https?:\S+#\S+/.exec(house.operator('make', 'Ferry Lane', '--kind', 'home'))?.[0] ?? ''
  await page.goto(link)
  await expect(page.getByRole('heading', { name: 'Ferry Lane' })).toBeVisible()
  // Whoever opens the browser's history finds no link in it.
  await expect(page).toHaveURL(/\/welcome$/)
  expect(await axeFinds(page)).toEqual([])
  await page.getByLabel('Your name').fill('Wren Odell')
  await page.getByLabel('Sign-in name').fill('wren')
  await page.getByLabel('Password').fill('short')
  await page.getByRole('button', { name: 'Start' }).click()
  await expect(page.getByText('Password must have at least 10 characters')).toBeVisible()
  // What was typed stands; the password is put right.
  await expect(page.getByLabel('Your name')).toHaveValue('Wren Odell')
  await page.getByLabel('Password').fill('bramble-quayside-9')
  await page.getByRole('button', { name: 'Start' }).click()
  await expect(page.getByRole('heading', { name: 'Three steps to the first session' })).toBeVisible()
  await page.goto('about:blank')
  await page.goto(link)
  await expect(page.getByText(/opens nothing \(any more\)/)).toBeVisible()
})

test('a lost password is set anew by a link, and signs in', async ({ page }) => {
  const link = /https?:\S+#\S+/.exec(house.operator('password-link', 'gwenda'))?.[0] ?? ''
  await page.goto(link)
  await expect(page.getByText('You sign in as gwenda.')).toBeVisible()
  await expect(page.getByLabel('Your name')).toHaveCount(0)
  await page.getByLabel('Password').fill('bramble-quayside-9')
  await page.getByRole('button', { name: 'Set the password' }).click()
  await page.getByRole('link', { name: 'Sign in' }).click()
  await page.getByLabel('Sign-in name').fill('gwenda')
  await page.getByLabel('Password').fill('bramble-quayside-9')
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page).toHaveURL(/today/)
})

test('an owner looks through the log for one thing', async ({ page }) => {
  await signIn(page, house)
  await page.goto(`${house.address}/setting`)
  await openTopic(page, 'How long records are kept')
  const log = page.getByRole('search', { name: 'Look through the log' })
  const lines = page.getByRole('region', { name: 'Log' }).getByRole('row')
  await expect(lines.filter({ hasText: 'read the cards of all children' }).first()).toBeVisible()
  // A label that holds a list has the words of the list in its text: the fields are taken in their order.
  const [of, by] = [log.locator('select').nth(0), log.locator('select').nth(1)]
  await of.selectOption('Signing in and out')
  await expect(lines.filter({ hasText: 'read the cards' })).toHaveCount(0)
  await expect(lines.filter({ hasText: 'signed in' }).first()).toBeVisible()
  await by.selectOption('Lea and its operator')
  await expect(lines.filter({ hasText: 'the operator made a link for a new password' })).toHaveCount(1)
  await log.locator('input[type=date]').nth(1).fill('2001-01-01')
  await expect(page.getByText('Nothing of that.')).toBeVisible()
})
