/** Every view of a session, its sheets and dialogs, the table and the records: as e2e/looks.ts asks. */
import { expect, type Page } from '@playwright/test'
import { test } from '../clock'
import { TestServer, openBread, signIn, swapTheMilk, startCooking } from '../test-server'
import { looksRight, watchedPage } from '../looks'

let house: TestServer
let page: Page
let complaints: string[] = []
let session = ''

test.beforeAll(async ({ browser }) => {
  house = await TestServer.open()
  ;({ page, complaints } = await watchedPage(browser, house))
})
test.afterAll(async () => {
  await page.close()
  await house.close()
})

test('the views of a session', async () => {
  await signIn(page, house)
  complaints.length = 0
  await openBread(page)
  session = page.url().replace('/weave', '')
  for (const view of ['plan', 'who', 'check', 'amounts', 'jobs', 'talk', 'ready']) {
    await page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name: view }).click()
    await expect(page.getByRole('complementary')).toBeVisible()
    await looksRight(page)
  }
})

test('the sheets for the wall and the table, and a packet', async () => {
  await page.goto(`${session}/sheet`)
  await expect(page.getByRole('table')).toBeVisible()
  await looksRight(page)
  for (const sheet of ['words', 'talk-sheet']) {
    await page.goto(`${session}/${sheet}`)
    await expect(page.getByRole('button', { name: /^Print/ })).toBeVisible()
    await expect(page.getByRole('heading', { level: 2 }).first()).toBeVisible()
    await looksRight(page)
  }
  await page.goto(`${session}/run`)
  await expect(page.getByRole('table').first()).toBeVisible()
  await looksRight(page)
  await page.goto(`${session}/cards`)
  await expect(page.getByRole('heading', { name: 'Wren' })).toBeVisible()
  await looksRight(page)
  // The children's screen on paper: pictures, and no name.
  await page.goto(`${session}/pictures`)
  await expect(page.locator('[data-moment="tastes"]')).toBeVisible()
  expect(await page.locator('[data-moment="turn"]').count()).toBeGreaterThan(3)
  await expect(page.getByRole('main')).not.toContainText(/Wren|Zuri|milk \(/)
  await looksRight(page)
  await page.goto(`${house.address}/cupboard?part=packets`)
  await page.getByRole('button', { name: /^Words of Kuchnia/ }).click()
  await expect(page.getByRole('dialog').getByRole('heading').first()).toBeVisible()
  await looksRight(page)
})

test('the dialogs', async () => {
  await page.goto(`${session}/weave`)
  await page
    .getByText(/^Other ways: \d/)
    .first()
    .click()
  await page
    .getByRole('button', { name: /Go on, and write why/ })
    .first()
    .click()
  await expect(page.getByRole('dialog').getByRole('heading').first()).toBeVisible()
  await looksRight(page)
  await page.keyboard.press('Escape')
  await page.goto(`${session}/who`)
  await page.getByRole('button', { name: 'Add a guest' }).click()
  await expect(page.getByRole('dialog').getByRole('heading').first()).toBeVisible()
  await looksRight(page)
  await page.goto(`${house.address}/children`)
  await page.getByRole('button', { name: 'Edit Zuri' }).click()
  await expect(page.getByRole('dialog').getByRole('heading').first()).toBeVisible()
  await looksRight(page)
  await page.goto(`${house.address}/children`)
  await page.getByRole('button', { name: 'From a list' }).click()
  await expect(page.getByRole('dialog').getByRole('heading').first()).toBeVisible()
  await looksRight(page)
  await page.goto(`${house.address}/today`)
  await page
    .getByRole('button', { name: /^Copy / })
    .first()
    .click()
  await expect(page.getByRole('dialog').getByRole('heading').first()).toBeVisible()
  await looksRight(page)
})

test('the table, the finish and the records', async () => {
  await page.goto(`${session}/weave`)
  await swapTheMilk(page)
  await startCooking(page)
  await expect(page.getByRole('heading', { name: 'Wash hands' })).toBeVisible()
  await looksRight(page)
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
  await looksRight(page)
  await page.goto(`${session}/finish`)
  await expect(page.getByRole('group', { name: 'How was it for Zuri' })).toBeVisible()
  await looksRight(page)
  await page.goto(`${house.address}/record`)
  await page.getByRole('link', { name: /Cheese and leek scones/ }).click()
  await expect(page.getByRole('heading', { level: 1, name: /Cheese and leek scones/ })).toBeVisible()
  await expect(page.getByText(/Cold butter from the fridge/)).toBeVisible()
  await looksRight(page)
  await page.getByRole('link', { name: 'Zuri', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Zuri' })).toBeVisible()
  await looksRight(page)
})

test('the buttons of the table are 56 px or more', async () => {
  await page.goto(`${session}/cook`)
  await expect(page.getByRole('button', { name: /^Done:/ })).toBeVisible()
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
