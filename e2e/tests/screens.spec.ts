/** Every place: as e2e/looks.ts asks. */
import { expect, type Page } from '@playwright/test'
import { test, newContext } from '../clock'
import { TestServer, signIn } from '../test-server'
import { axeFinds, looksRight, watchedPage } from '../looks'

let house: TestServer
let page: Page
let complaints: string[] = []
// A test that fails gives those after it a new page.
let inside = false
const comeIn = async (): Promise<void> => {
  if (!inside) await signIn(page, house)
  inside = true
}

test.beforeAll(async ({ browser }) => {
  house = await TestServer.open()
  ;({ page, complaints } = await watchedPage(browser, house))
})
test.afterAll(async () => {
  await page.close()
  await house.close()
})

test('a page with faults is found out', async ({ browser }) => {
  const wrong = await (await newContext(browser)).newPage()
  await wrong.setContent(
    '<html lang="en"><title>Wrong</title><main><h1>Wrong</h1><img src="data:,"><input><p style="color:#ccc;background:#fff">pale</p></main></html>',
  )
  const rules = (await axeFinds(wrong)).map((f) => f.split(':')[0])
  expect(rules).toEqual(expect.arrayContaining(['color-contrast', 'image-alt', 'label']))
  await wrong.close()
})

test('sign-in and emergency', async () => {
  await page.goto(`${house.address}/emergency`)
  await expect(page.getByText(/adrenaline auto-injector first/)).toBeVisible()
  await looksRight(page)
  await page.goto(`${house.address}/sign-in`)
  await expect(page.getByLabel('Password')).toBeVisible()
  await looksRight(page)
  complaints.length = 0
})

for (const [path, name] of [
  ['/today', 'Today'],
  ['/recipes', 'Recipes'],
  ['/recipes/new', 'New recipe'],
  ['/recipes/read', 'Read a recipe in'],
  ['/today/new', 'What shall we make?'],
  ['/today/term', 'Plan several weeks'],
  ['/children', 'Children'],
  ['/cupboard', 'Cupboard'],
  ['/record', 'Record'],
  ['/setting', 'Setting'],
  ['/setting/devices', 'Devices'],
  ['/me', 'Your sign-in'],
  ['/no-such-page', 'There is no page here'],
] as const) {
  test(name, async () => {
    await comeIn()
    await page.goto(`${house.address}${path}`)
    await expect(page.getByRole('heading', { name, level: 1, exact: true })).toBeVisible()
    if (name === 'Today') await expect(page.getByText('1 problem to fix before anybody cooks.')).toBeVisible()
    await looksRight(page)
  })
}

test('a recipe to cook from, its editor, a reading with questions, a shelf that is ranked', async () => {
  await comeIn()
  await page.goto(`${house.address}/recipes`)
  await page.getByRole('link', { name: 'Chapati and dal' }).click()
  await expect(page.getByRole('heading', { name: 'Ingredients' })).toBeVisible()
  await looksRight(page)
  await page.getByRole('link', { name: 'Change it' }).click()
  await expect(page.getByText(/minutes, to/)).toBeVisible()
  await looksRight(page)
  await page.goto(`${house.address}/recipes/read`)
  await page
    .getByLabel('The recipe', { exact: true })
    .fill(
      'Oats\nServes 4\n200 g oats\n2-3 pears\n100 ml milk or oat drink\nsalt, to taste\nGrate the pears. Brush with egg.',
    )
  await page.getByRole('button', { name: 'Read the recipe' }).click()
  await expect(page.getByText(/questions? to answer/)).toBeVisible()
  await looksRight(page)
  await page.goto(`${house.address}/today/new`)
  await expect(page.getByText(/recipes, what fits best first/)).toBeVisible()
  await looksRight(page)
  await page.goto(`${house.address}/today/term`)
  await page.getByRole('button', { name: 'Plan these weeks' }).click()
  await expect(page.getByRole('button', { name: /Add \d+ session/ })).toBeVisible()
  await looksRight(page)
})

test('and the console was quiet, nothing came from outside', () => {
  expect(complaints).toEqual([])
})
