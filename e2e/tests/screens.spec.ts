/** Every main view: axe finds nothing, nothing is wider than a phone, the console is quiet, nothing comes from outside. */
import AxeBuilder from '@axe-core/playwright'
import { expect, test, type Page } from '@playwright/test'
import { House, openBread, signIn, swapTheMilk } from '../house'

let house: House
let page: Page
const complaints: string[] = []
let session = ''

test.beforeAll(async ({ browser }) => {
  house = await House.open()
  page = await (await browser.newContext()).newPage()
  page.on('console', (m) => {
    if (m.type() === 'error' || m.type() === 'warning') complaints.push(m.text())
  })
  page.on('pageerror', (e) => complaints.push(e.message))
  page.on('request', (r) => {
    if (!r.url().startsWith(house.address) && !/^(data|blob):/.test(r.url()))
      complaints.push(`from outside: ${r.url()}`)
  })
})
test.afterAll(async () => {
  await page.close()
  await house.close()
})

async function looksRight(): Promise<void> {
  const found = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'])
    .analyze()
  expect
    .soft(found.violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(' | ')}`))
    .toEqual([])
  await page.setViewportSize({ width: 390, height: 844 })
  const wide = await page.evaluate(
    () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
  )
  expect.soft(wide).toBeLessThanOrEqual(0)
  await page.setViewportSize({ width: 1280, height: 800 })
}

test('sign-in and emergency', async () => {
  await page.goto(`${house.address}/emergency`)
  await expect(page.getByText(/adrenaline auto-injector first/)).toBeVisible()
  await looksRight()
  await page.goto(`${house.address}/sign-in`)
  await expect(page.getByLabel('Password')).toBeVisible()
  await looksRight()
  complaints.length = 0
})

for (const [path, name] of [
  ['/diary', 'Diary'],
  ['/recipes', 'Recipes'],
  ['/recipes/new', 'New recipe'],
  ['/recipes/read', 'Read a recipe in'],
  ['/diary/new', 'What shall we make?'],
  ['/diary/term', 'A half term laid out'],
  ['/children', 'Children'],
  ['/cupboard', 'Cupboard'],
  ['/record', 'Record'],
  ['/setting', 'Setting'],
  ['/no-such-page', 'There is no page here'],
] as const) {
  test(name, async () => {
    if (name === 'Diary') await signIn(page, house)
    await page.goto(`${house.address}${path}`)
    await expect(page.getByRole('heading', { name, level: 1, exact: true })).toBeVisible()
    if (name === 'Diary') await expect(page.getByRole('link', { name: /1 stop to settle/ })).toBeVisible()
    await looksRight()
  })
}

test('the views of a session', async () => {
  await page.goto(`${house.address}/diary`)
  await openBread(page)
  session = page.url().replace('/weave', '')
  for (const view of ['weave', 'who', 'check', 'amounts', 'jobs', 'talk', 'ready']) {
    await page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name: view }).click()
    await expect(page.getByRole('complementary')).toBeVisible()
    await looksRight()
  }
})

test('the sheets for the wall and the table, and a packet', async () => {
  await page.goto(`${session}/sheet`)
  await expect(page.getByRole('table')).toBeVisible()
  await looksRight()
  for (const sheet of ['words', 'talk-sheet']) {
    await page.goto(`${session}/${sheet}`)
    await expect(page.getByRole('button', { name: /^Print/ })).toBeVisible()
    await expect(page.getByRole('heading', { level: 2 }).first()).toBeVisible()
    await looksRight()
  }
  await page.goto(`${session}/run`)
  await expect(page.getByRole('table')).toBeVisible()
  await looksRight()
  await page.goto(`${session}/cards`)
  await expect(page.getByRole('heading', { name: 'Wren' })).toBeVisible()
  await looksRight()
  await page.goto(`${house.address}/cupboard`)
  await page.getByRole('button', { name: /^Words of Kuchnia/ }).click()
  await expect(page.getByRole('dialog').getByRole('heading').first()).toBeVisible()
  await looksRight()
})

test('the dialogs', async () => {
  await page.goto(`${session}/weave`)
  await page
    .getByRole('button', { name: /Go on, with a written reason/ })
    .first()
    .click()
  await expect(page.getByRole('dialog').getByRole('heading').first()).toBeVisible()
  await looksRight()
  await page.keyboard.press('Escape')
  await page.goto(`${session}/who`)
  await page.getByRole('button', { name: 'Add a guest' }).click()
  await expect(page.getByRole('dialog').getByRole('heading').first()).toBeVisible()
  await looksRight()
  await page.goto(`${house.address}/children`)
  await page.getByRole('button', { name: 'Edit Zuri' }).click()
  await expect(page.getByRole('dialog').getByRole('heading').first()).toBeVisible()
  await looksRight()
  await page.goto(`${house.address}/children`)
  await page.getByRole('button', { name: 'From a table' }).click()
  await expect(page.getByRole('dialog').getByRole('heading').first()).toBeVisible()
  await looksRight()
  await page.goto(`${house.address}/diary`)
  await page
    .getByRole('button', { name: /^Copy / })
    .first()
    .click()
  await expect(page.getByRole('dialog').getByRole('heading').first()).toBeVisible()
  await looksRight()
})

test('the table, the finish and the records', async () => {
  await page.goto(`${session}/weave`)
  await swapTheMilk(page)
  await page.getByRole('button', { name: 'Cook' }).click()
  await expect(page.getByRole('heading', { name: 'Wash hands' })).toBeVisible()
  await looksRight()
  await page.setViewportSize({ width: 1024, height: 640 })
  const tall = await page.evaluate(
    () => document.documentElement.scrollHeight - document.documentElement.clientHeight,
  )
  expect(tall).toBeLessThanOrEqual(0)
  await page.setViewportSize({ width: 1280, height: 800 })
  await page.getByRole('button', { name: 'emergency' }).click()
  await expect(
    page
      .getByRole('dialog')
      .getByText(/Two injectors in the red bag/)
      .first(),
  ).toBeVisible()
  await looksRight()
  await page.goto(`${session}/finish`)
  await expect(page.getByRole('group', { name: 'How was it for Zuri' })).toBeVisible()
  await looksRight()
  await page.goto(`${house.address}/record`)
  await page.getByRole('link', { name: /Cheese and leek scones/ }).click()
  await expect(page.getByRole('heading', { level: 1, name: /Cheese and leek scones/ })).toBeVisible()
  await expect(page.getByText(/Cold butter from the fridge/)).toBeVisible()
  await looksRight()
  await page.getByRole('link', { name: 'Zuri', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Zuri' })).toBeVisible()
  await looksRight()
})

test('the buttons of the table are 56 px or more', async () => {
  await page.goto(`${session}/cook`)
  await expect(page.getByRole('button', { name: /^done:/ })).toBeVisible()
  const small = await page
    .getByRole('main')
    .getByRole('button')
    .evaluateAll((all) =>
      all.flatMap((b) => {
        const { height, width } = b.getBoundingClientRect()
        const isInline = b.closest('section[aria-label="Say"] ul') !== null
        return !isInline && (height < 55.5 || width < 55.5) ? [`${b.textContent} ${width}x${height}`] : []
      }),
    )
  expect(small).toEqual([])
})

test('and the console was quiet, nothing came from outside', () => {
  expect(complaints).toEqual([])
})
