/** A recipe found somewhere becomes one that Lea can plan: pasted, from a saved page, or out of Lea's own file; changed beside its weave. */
import { readFile } from 'node:fs/promises'
import { expect, type Page } from '@playwright/test'
import { test } from '../clock'
import { axeFinds } from '../looks'
import { TestServer, openExtras, signIn } from '../test-server'

let house: TestServer
test.beforeAll(async () => {
  house = await TestServer.open()
})
test.afterAll(() => house.close())

const MESSY = `LEMON OAT CUPS (from my neighbour)

You will need
150 g plain flour
100 g rolled oats
1 tsp baking powder
1 egg
200 ml milk or oat drink
2-3 tbsp lemon juice

What to do
Wash your hands.
Scoop the flour, oats and baking powder into the bowl.
Whisk the egg and milk with the lemon juice. Stir it into the flour.
Each child fills a cup.
An adult bakes them for 20 minutes at 180 C.
Leave to cool for ten minutes, then taste.`

async function readIn(page: Page, text: string): Promise<void> {
  await page.goto(`${house.address}/recipes/read`)
  await page.getByLabel('The recipe', { exact: true }).fill(text)
  await page.getByRole('button', { name: 'Read the recipe' }).click()
}

test('pasted, its questions answered, kept, woven, planned for a group with an egg allergy, under Today', async ({
  page,
}) => {
  const start = Date.now()
  await signIn(page, house)
  await readIn(page, MESSY)
  await expect(page.getByText('1 question to answer before it is kept')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Save it', exact: true })).toBeDisabled()
  await page.getByRole('button', { name: '200 ml oat drink' }).click()
  await page.getByRole('button', { name: '3 tbsp lemon juice' }).click()
  await expect(page.getByText('Nothing must be answered any more.')).toBeVisible()
  // Each answer is seen, and can be taken back in any order, and given again.
  await page.getByRole('button', { name: /Undo: .*200 ml oat drink/ }).click()
  await expect(page.getByText('1 question to answer before it is kept')).toBeVisible()
  await expect(page.getByRole('button', { name: /Undo: .*3 tbsp lemon juice/ })).toBeVisible()
  await page.getByRole('button', { name: '200 ml oat drink' }).click()
  await expect(page.getByText('Nothing must be answered any more.')).toBeVisible()
  await page.getByRole('button', { name: '8', exact: true }).click()
  await page.getByRole('button', { name: 'Save it and go on writing' }).click()
  // Its weave stands beside it, for the next group.
  const weave = page.getByRole('region', { name: 'Its weave' })
  await expect(weave.getByText(/minutes, to/)).toBeVisible()
  await expect(weave.getByText(/\d+ to \d+ turns each|\d+ turns each/).first()).toBeVisible()
  await page.getByRole('button', { name: 'Save the recipe' }).click()
  await expect(page.getByRole('heading', { name: 'Lemon oat cups (from my neighbour)' })).toBeVisible()
  await page.getByRole('link', { name: 'Plan it' }).click()
  // Idris has the egg allergy of this group; the swap that suits everyone is counted in and named.
  const row = page.locator('li', { hasText: 'Lemon oat cups' })
  await expect(row).toContainText(/for egg/)
  await row.getByRole('button', { name: /Plan it/ }).click()
  await expect(page.getByRole('heading', { name: /Must fix|Ready to cook/ })).toBeVisible()
  await expect(page.getByRole('complementary').getByText(/Egg lists|Eggs list/)).toHaveCount(0)
  await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Today' }).click()
  await expect(page.getByRole('link', { name: /Lemon oat cups/ })).toBeVisible()
  expect(Date.now() - start).toBeLessThan(180_000)
})

test('a draft of the reader and of the editor is kept on this device', async ({ page }) => {
  await signIn(page, house)
  await readIn(page, MESSY)
  await page.getByRole('button', { name: '200 ml oat drink' }).click()
  await page.reload()
  await expect(page.getByText('Nothing must be answered any more.')).toBeVisible()
  await expect(page.getByRole('button', { name: /Undo: .*200 ml oat drink/ })).toBeVisible()
  await page.goto(`${house.address}/recipes/new`)
  await page.getByLabel('Title').fill('Half a thought')
  await page.reload()
  await expect(page.getByText(/your draft of this device is open/)).toBeVisible()
  await expect(page.getByLabel('Title')).toHaveValue('Half a thought')
  await page.getByRole('button', { name: 'Throw the draft away' }).click()
  await expect(page.getByLabel('Title')).toHaveValue('')
})

test('a change is seen in the weave, can be taken back, and is named beside Lea’s own recipe', async ({
  page,
}) => {
  await signIn(page, house)
  await page.goto(`${house.address}/recipes`)
  await page.getByRole('link', { name: 'Couscous picnic jars' }).click()
  await page.getByRole('link', { name: 'Change it' }).click()
  const weave = page.getByRole('region', { name: 'Its weave' })
  const length = weave.getByText(/\d+ minutes, to/)
  await expect(length).toBeVisible()
  const before = await length.textContent()
  const seconds = page.getByLabel('Seconds (a turn, or in all)').nth(1)
  await seconds.fill('900')
  await expect.poll(() => length.textContent()).not.toBe(before)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(() => length.textContent()).toBe(before)
  await page.getByLabel('Serves (children)').fill('10')
  await page.getByRole('button', { name: 'Save the recipe' }).click()
  await expect(page.getByText(/serves 10 instead of 8|serves 10 instead of/)).toBeVisible()
})

test('a row is said in the editor: what lies in it, how often it comes and how, and reads so on the recipe’s page', async ({
  page,
}) => {
  await signIn(page, house)
  await page.goto(`${house.address}/recipes`)
  await page.getByRole('link', { name: 'Couscous picnic jars' }).click()
  await page.getByRole('link', { name: 'Change it' }).click()
  await openExtras(page)
  const laid = page.getByLabel(/Laid on one another or in a row/)
  const step = page.getByRole('listitem').filter({ has: laid.last() }).last()
  const field = step.getByLabel(/Laid on one another/)
  await field.fill('red, green')
  await field.press('Tab')
  await step.getByLabel('Comes so many times').fill('3')
  await step.getByLabel('Comes so many times').press('Tab')
  await step.getByLabel('It lies').selectOption('ring')
  await expect(step.getByText('3 times over, round in a ring: red, green.')).toBeVisible()
  await page.getByRole('button', { name: 'Save the recipe' }).click()
  await expect(page.getByText('3 times over, round in a ring: red, green.')).toBeVisible()
})

test('out as Lea’s file and as schema.org, and in again', async ({ page }) => {
  await signIn(page, house)
  await page.goto(`${house.address}/recipes`)
  await page.getByRole('link', { name: 'Seeded crackers' }).click()
  const [own] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Lea’s file (JSON)' }).click(),
  ])
  const json = await readFile(await own.path(), 'utf8')
  const [web] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: /schema\.org/ }).click(),
  ])
  const node = JSON.parse(await readFile(await web.path(), 'utf8')) as Record<string, unknown>
  expect(node['@type']).toBe('Recipe')
  expect(node['totalTime']).toMatch(/^PT/)
  await page.goto(`${house.address}/recipes/read`)
  const open = page.getByLabel('Open a saved page or file')
  await open.setInputFiles({ name: 'own.json', mimeType: 'application/json', buffer: Buffer.from(json) })
  await expect(page.getByText('Nothing must be answered any more.')).toBeVisible()
  await open.setInputFiles({
    name: 'page.html',
    mimeType: 'text/html',
    buffer: Buffer.from(
      `<html><script type="application/ld+json">${JSON.stringify({ '@graph': [node] })}</script></html>`,
    ),
  })
  await expect(page.getByText(/5 lines and|6 lines and|\d lines and \d+ steps were read/)).toBeVisible()
  await open.setInputFiles({
    name: 'page.html',
    mimeType: 'text/html',
    buffer: Buffer.from('<html><body>No recipe here</body></html>'),
  })
  await expect(page.getByText(/page without recipe data/)).toBeVisible()
})

test('a recipe without steps is kept, and said to be without a plan', async ({ page }) => {
  await signIn(page, house)
  await page.goto(`${house.address}/recipes/new`)
  await page.getByRole('button', { name: 'Save the recipe' }).click()
  await expect(page.getByRole('alert').first()).toContainText('Nothing you wrote is lost')
  await expect(page.getByLabel('Title')).toBeFocused()
  await expect(page.getByLabel('Title')).toHaveAttribute('aria-invalid', 'true')
  await page.getByLabel('Title').fill('Plain pears')
  await page.getByRole('button', { name: 'Add an empty line' }).click()
  await page.getByLabel('Food').fill('pear')
  await page.getByLabel('Food').blur()
  await page.getByLabel('Amount').fill('1/0')
  await page.getByRole('button', { name: 'Save the recipe' }).click()
  await expect(page.getByRole('alert').first()).toHaveText(/divides by zero/i)
  await page.getByLabel('Amount').fill('1½')
  await page.getByRole('button', { name: 'Save the recipe' }).click()
  // Kept: it has a page of its own.
  await expect(page).toHaveURL(/recipes\/[0-9a-f-]{36}$/)
  await page.goto(`${house.address}/today/new`)
  // The last of the list: what cannot be planned stands behind all that can.
  const row = page.locator('li', { hasText: 'Plain pears' })
  const more = page.getByRole('button', { name: /^Show \d+ more$/ })
  await expect(row.or(more).first()).toBeVisible()
  while (!(await row.isVisible()) && (await more.isVisible())) await more.click()
  await expect(row).toContainText('this recipe has no steps yet')
})

test('several small things are put together into one recipe: washed once, planned as one', async ({
  page,
}) => {
  await signIn(page, house)
  await page.goto(`${house.address}/recipes/new`)
  await page.getByText('Put several small things together').click()
  const choose = page.locator('details select').first()
  const add = async (title: string): Promise<void> => {
    await choose.selectOption({ label: title })
    await expect(page.getByRole('button', { name: `Not ${title}` })).toBeVisible()
  }
  await add('Cucumber and mint raita')
  await expect(page.getByRole('button', { name: 'Put them together' })).toBeDisabled()
  await add('Cornbread squares')
  await page.getByRole('button', { name: 'Put them together' }).click()
  await expect(page.getByRole('alert').first()).toContainText('fills a tin')
  await page.getByRole('button', { name: 'Not Cornbread squares' }).click()
  await add('Beetroot and bean dip')
  expect(await axeFinds(page)).toEqual([])
  await page.getByRole('button', { name: 'Put them together' }).click()
  await expect(page.getByLabel('Title')).toHaveValue('Cucumber and mint raita and Beetroot and bean dip')
  await page.getByLabel('Title').fill('Two for the lunch box')
  await page.getByRole('button', { name: 'Save the recipe' }).click()
  await expect(page).toHaveURL(/recipes\/[0-9a-f-]{36}$/)
  await expect(page.getByRole('heading', { name: 'Wash hands' })).toHaveCount(1)
  for (const step of ['Cut the cucumber', 'Mash the beans'])
    await expect(page.getByRole('heading', { name: step })).toBeVisible()
})
