/** Two people at once, in two browsers: nobody's work takes away another's, and what both changed is shown to whoever came second. */
import { type BrowserContext, type Page, expect } from '@playwright/test'
import { newContext, test } from '../clock'
import { TestServer, openBread, signIn } from '../test-server'

let house: TestServer
test.beforeAll(async () => {
  house = await TestServer.open()
})
test.afterAll(() => house.close())

let contexts: BrowserContext[] = []
test.afterEach(async () => {
  for (const context of contexts) await context.close()
  contexts = []
})

test('a card that somebody else has changed is shown side by side, and no allergy is taken away unseen', async ({
  browser,
}) => {
  const [petra, seun] = await pair(browser)
  for (const page of [petra, seun]) {
    await page.goto(`${house.address}/children`)
    await page.getByRole('listitem').filter({ hasText: 'Kofi' }).getByRole('button', { name: 'Edit' }).click()
    await expect(page.getByLabel('Nickname')).toHaveValue('Kofi')
  }
  await petra.getByRole('button', { name: 'Add an allergy' }).click()
  await petra.getByLabel('To what').last().fill('peanut')
  await petra.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(petra.getByRole('dialog')).toHaveCount(0)
  // Opened before, saved after: a language.
  await seun.getByLabel('Polish').check()
  await seun.getByRole('button', { name: 'Save', exact: true }).click()
  const conflict = seun.getByRole('alert').filter({ hasText: 'Somebody else has changed this card' })
  await expect(conflict).toBeFocused()
  await expect(conflict.getByRole('row', { name: /^allergies/ })).toContainText('peanut')
  await expect(conflict.getByRole('row', { name: /^home languages/ })).toContainText('Polish')
  await conflict.getByRole('button', { name: 'Take the card as it is now' }).click()
  await seun.getByRole('listitem').filter({ hasText: 'Kofi' }).getByRole('button', { name: 'Edit' }).click()
  await expect(seun.getByLabel('To what')).toHaveValue('peanut')
  await seun.getByLabel('Polish').check()
  await seun.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(seun.getByRole('dialog')).toHaveCount(0)
  // Both are there.
  await petra.reload()
  const kofi = petra.getByRole('listitem').filter({ hasText: 'Kofi' })
  await expect(kofi).toContainText('peanut')
  await expect(kofi).toContainText('Polish')
})

test('who plans sees what another decides; one thing that both decided is settled by who has seen both', async ({
  browser,
}) => {
  const [petra, seun] = await pair(browser)
  for (const page of [petra, seun]) await openBread(page)
  const settle = (page: Page) => page.getByRole('complementary')
  // The message of one is slow: meanwhile the other decides otherwise.
  let letGo = (): void => undefined
  const held = new Promise<void>((done) => (letGo = done))
  await seun.route('**/changes', async (route) => {
    await held
    await route.continue()
  })
  await settle(seun)
    .getByText(/^Other ways: \d/)
    .click()
  await settle(seun)
    .getByRole('button', { name: /Soya drink and fresh lemon juice for everyone/ })
    .click()
  await settle(petra)
    .getByRole('button', { name: /Oat drink and fresh lemon juice for everyone/ })
    .click()
  await expect(settle(petra).getByText(/Buttermilk lists/)).toHaveCount(0)
  letGo()
  const conflict = seun.getByRole('alert').filter({ hasText: 'Somebody else changed this' })
  await expect(conflict).toContainText(/oat drink .*instead of buttermilk/)
  await expect(conflict).toContainText(/soya drink .*instead of buttermilk/)
  // Until it is settled, what is there is on the screen.
  await expect(seun.getByText('(swapped in)').first()).toBeVisible()
  await conflict.getByRole('button', { name: 'Use mine' }).click()
  await expect(conflict).toHaveCount(0)
  // The other hears it without asking.
  await expect(petra.getByText(/soya drink/).first()).toBeVisible()
})

test('who plans hears of a recipe and of a card that somebody else changes, and has the plan of it', async ({
  browser,
}) => {
  const [petra, seun] = await pair(browser)
  await openBread(petra)
  await expect(petra.getByRole('heading', { level: 1, name: 'Herb soda bread', exact: true })).toBeVisible()
  const row = await seun.evaluate(async () => {
    const rows = (await (await fetch('/api/recipes')).json()) as { id: string; recipe: { id: string } }[]
    return rows.find((r) => r.recipe.id === 'herb-soda-bread')?.id ?? ''
  })
  await seun.goto(`${house.address}/recipes/${row}/edit`)
  await seun.getByLabel('Title', { exact: true }).first().fill('Herb soda bread of ours')
  await seun.getByRole('button', { name: 'Save the recipe' }).click()
  await expect(petra.getByRole('heading', { level: 1, name: 'Herb soda bread of ours' })).toBeVisible()
  // A card: what it lists stands in the plan of the other at once.
  await seun.goto(`${house.address}/children`)
  await seun.getByRole('listitem').filter({ hasText: 'Kofi' }).getByRole('button', { name: 'Edit' }).click()
  await seun.getByRole('button', { name: 'Add an allergy' }).click()
  await seun.getByLabel('To what').last().fill('wheat')
  await seun.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(seun.getByRole('dialog')).toHaveCount(0)
  await expect(
    petra
      .getByRole('complementary')
      .getByText(/flour.*Kofi|Kofi.*wheat/i)
      .first(),
  ).toBeVisible()
})

async function pair(browser: Parameters<typeof newContext>[0]): Promise<[Page, Page]> {
  const pages: Page[] = []
  for (const name of ['petra', 'seun']) {
    const context = await newContext(browser)
    contexts.push(context)
    const page = await context.newPage()
    await signIn(page, house, name)
    pages.push(page)
  }
  return pages as [Page, Page]
}
