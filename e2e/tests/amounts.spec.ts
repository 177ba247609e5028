/** Amounts, shopping and the cupboard, driven as a leader does. */
import { readFileSync } from 'node:fs'
import { expect, type Locator, type Page } from '@playwright/test'
import { test } from '../clock'
import { TestServer, openBread, openPart, sessionFor, signIn, startCooking } from '../test-server'
import { looksRight } from '../looks'

let house: TestServer
test.beforeAll(async () => {
  house = await TestServer.open()
})
test.afterAll(() => house.close())

const view = async (page: Page, name: 'amounts' | 'ready'): Promise<void> => {
  await page.getByRole('navigation', { name: 'Views of the session' }).getByRole('link', { name }).click()
}
const rowOf = (page: Page, food: string) =>
  page.getByRole('table', { name: 'Lines' }).getByRole('row', { name: new RegExp(food) })

/** The scoops of a line as they stand: which are fair hangs on who is there and how old they are, and so on the day. */
async function scoopsOf(row: Locator): Promise<string> {
  await expect(row).toContainText(/\d × \S+ cup/)
  return /\d+ × \S+ cup( \+ \d+ × \S+ cup)*/.exec((await row.textContent()) ?? '')?.[0] ?? ''
}

test('a measure is lost and everything is worked out anew; back in the box, all is as it was', async ({
  page,
}) => {
  await signIn(page, house)
  await openBread(page)
  await view(page, 'amounts')
  const flour = rowOf(page, 'plain flour')
  const asBefore = await scoopsOf(flour)
  expect(asBefore).toContain('1/4 cup')
  const quarter = page.getByRole('button', { name: /^1\/4 cup:/ })
  await quarter.click()
  await expect(quarter).toHaveAttribute('aria-pressed', 'false')
  await expect(flour).not.toContainText('1/4 cup')
  await quarter.click()
  await expect.poll(() => scoopsOf(flour)).toBe(asBefore)
})

test('another way is chosen, pinned for every group alike, and given back to Lea', async ({ page }) => {
  await signIn(page, house)
  await openBread(page)
  await view(page, 'amounts')
  const flour = rowOf(page, 'plain flour')
  await page.getByRole('button', { name: 'Other ways to measure plain flour' }).click()
  await expect(page.getByText(/exact ways to make/)).toBeVisible()
  await expect(page.getByText(/The same whole, \d ways/)).toBeVisible()
  await page.getByRole('button', { name: /^3 × 1\/2 cup/ }).click()
  await expect(flour).toContainText('3 × 1/2 cup · pinned')
  await page.getByRole('button', { name: /^bowl 2/ }).click()
  await expect(rowOf(page, 'plain flour')).toContainText('3 × 1/2 cup · pinned')
  await page.getByRole('button', { name: 'Other ways to measure plain flour' }).click()
  await page.getByRole('button', { name: 'Let Lea choose again' }).click()
  await expect(rowOf(page, 'plain flour')).not.toContainText('pinned')
})

test('own portions: what one child takes stands in Amounts, and each has a strip of its own at the table', async ({
  page,
}) => {
  await signIn(page, house)
  const id = await sessionFor(page, 'own-flatbreads', [], 3)
  await page.goto(`${house.address}/session/${id}/amounts`)
  await expect(rowOf(page, 'plain flour').first()).toContainText('4 tbsp for each child')
  await expect(rowOf(page, 'plain flour').first()).toContainText('4 × 1 tbsp for each child')
  await page.getByRole('button', { name: 'Other ways to measure plain flour' }).first().click()
  await expect(page.getByText(/exact ways? to make/)).toContainText('4 tbsp')
  await page.keyboard.press('Escape')
  await startCooking(page)
  await page.getByRole('button', { name: 'next step' }).click()
  await page.getByRole('button', { name: 'Petra Vance' }).click()
  await page.getByRole('button', { name: 'Hands washed' }).click()
  await page.getByRole('button', { name: 'all of them' }).click()
  await page.getByRole('button', { name: 'Petra Vance' }).click()
  await page.getByRole('button', { name: 'Gwenda Marsh' }).click()
  await page.getByRole('button', { name: 'We read them all' }).click()
  const done = page.getByRole('button', { name: /^Done:/ })
  const whose = async () => (await done.textContent()) ?? ''
  const first = await whose()
  for (let i = 0; i < 2; i++) await done.click()
  await expect(page.getByText('half full')).toBeVisible()
  expect(await whose()).toBe(first)
  for (let i = 0; i < 2; i++) await done.click()
  // The next child begins with an empty bowl of its own.
  await expect(page.getByText('empty', { exact: true }).first()).toBeVisible()
  expect(await whose()).not.toBe(first)
})

test('on the scale, in parts, few scoops: by keyboard', async ({ page }) => {
  await signIn(page, house)
  await openBread(page)
  await view(page, 'amounts')
  const flour = rowOf(page, 'plain flour')
  const even = await scoopsOf(flour)
  await page.getByText('Measured as the recipe says, with even turns').click()
  await page.getByRole('radio', { name: 'as the recipe says' }).focus()
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowRight')
  await expect(flour).toContainText('weigh 198 g')
  await page.keyboard.press('ArrowRight')
  await expect(flour).toContainText('2 parts with any cup')
  await page.getByRole('radio', { name: 'as the recipe says' }).click()
  await page.getByRole('radio', { name: 'few scoops' }).click()
  await expect(flour).toContainText('1 × 1 cup + 1 × 1/2 cup')
  await page.getByRole('radio', { name: 'even turns' }).click()
  await expect.poll(() => scoopsOf(flour)).toBe(even)
})

test('how much: a bad amount is said at the field and stays there; a good one scales all', async ({
  page,
}) => {
  await signIn(page, house)
  await openBread(page)
  await view(page, 'amounts')
  const much = page.getByRole('region', { name: 'How much' })
  await much.getByLabel('Counted in').selectOption('batches of the recipe')
  await much.getByLabel('Make').fill('one or two')
  await much.getByRole('button', { name: 'Use' }).click()
  await expect(much.getByRole('alert')).toContainText('is not an amount')
  await expect(much.getByLabel('Make')).toHaveValue('one or two')
  await much.getByLabel('Make').fill('2')
  await much.getByRole('button', { name: 'Use' }).click()
  await expect(much).toContainText('16 portions, 16 slices for 12 children: 4 more than children')
  await expect(rowOf(page, 'plain flour')).toContainText('2 cups')
  await much.getByText('Other batches, tins and cases').click()
  await much.getByRole('button', { name: /^1 1\/2 batches: 12 portions, none left over/ }).click()
  await expect(rowOf(page, 'plain flour')).toContainText('1 1/2 cups')
})

test('shopping in packs: ticked off, compared, saved as a table', async ({ page }) => {
  await signIn(page, house)
  await openBread(page)
  await view(page, 'ready')
  const list = page.getByRole('table', { name: 'Shopping' })
  await expect(list.getByRole('row', { name: /plain flour/ })).toContainText('1 × 500 g')
  await expect(list.getByRole('row', { name: /bicarbonate/ })).toContainText('enough')
  await list.getByRole('checkbox', { name: /chives/ }).check()
  await expect(page.getByText('1 of 3 got')).toBeVisible()
  const cost = page.getByRole('region', { name: 'Cost' })
  await cost.getByText('Worth of what goes in, and the ready-made thing').click()
  await cost.getByLabel('Ready-made costs').fill('cheap')
  await cost.getByLabel('for portions').fill('8')
  await cost.getByRole('button', { name: 'Compare' }).click()
  await expect(cost.getByRole('alert')).toContainText('is not a price')
  await cost.getByLabel('Ready-made costs').fill('1.60')
  await cost.getByRole('button', { name: 'Compare' }).click()
  await expect(cost).toContainText('Ready-made: 20p a portion')
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'CSV' }).click(),
  ])
  const csv = readFileSync(await download.path(), 'utf8')
  expect(csv).toContain('plain flour,4 1/2 cups,595 g,400 g,1 × 500 g,70p')
  expect(csv).toMatch(/chives.*,yes,/)
  await page.reload()
  await expect(page.getByText('1 of 3 got')).toBeVisible()
})

test('stock and prices are kept in the Cupboard, a fault stands at its field', async ({ page }) => {
  await signIn(page, house)
  await page.getByRole('link', { name: 'Cupboard' }).click()
  // Of a measure too: the fault stands at its field, which has the focus, and what was typed stays.
  await page.getByLabel('Name', { exact: true }).fill('blue scoop')
  await page.getByRole('button', { name: 'Put it in the box' }).click()
  await expect(page.getByLabel('Size', { exact: true })).toBeFocused()
  await expect(page.getByRole('alert')).toContainText('Size')
  await page.getByLabel('Size', { exact: true }).fill('1/3')
  await page.getByRole('button', { name: 'Put it in the box' }).click()
  await expect(page.getByRole('button', { name: 'One blue scoop more' })).toBeVisible()
  await openPart(page, 'Stock and prices')
  await page.getByRole('searchbox', { name: 'Find' }).first().fill('butterm')
  await page.getByRole('button', { name: 'Change buttermilk' }).click()
  const form = page.getByRole('dialog')
  await form.getByLabel('Price of pack 1').fill('a lot')
  await form.getByRole('button', { name: 'Save' }).click()
  await expect(form.getByRole('alert')).toContainText('is not a price')
  await expect(form.getByLabel('Price of pack 1')).toHaveValue('a lot')
  await form.getByLabel('Price of pack 1').fill('80p')
  await form.getByLabel('Amount on the shelf').fill('1')
  await form.getByLabel('Unit on the shelf').selectOption('L')
  await form.getByRole('button', { name: 'Save' }).click()
  await expect(form).toHaveCount(0)
  await expect(page.getByRole('list', { name: 'Stock' })).toContainText('284 mL for 80p')
  await page.getByRole('link', { name: 'Today' }).click()
  await openBread(page)
  await view(page, 'ready')
  await expect(
    page.getByRole('table', { name: 'Shopping' }).getByRole('row', { name: /buttermilk/ }),
  ).toContainText('enough')
})

test('a printed line is read into a recipe; what is missing is said beside it', async ({ page }) => {
  await signIn(page, house)
  await page.getByRole('link', { name: 'Recipes' }).click()
  await page.getByRole('link', { name: /Cornbread squares/ }).click()
  await page.getByRole('link', { name: 'Change it' }).click()
  const printed = page.getByLabel('A line as it is printed')
  await printed.fill('salt, to taste')
  await page.getByRole('button', { name: 'Read it in' }).click()
  await expect(page.getByRole('alert')).toContainText('gives no amount of salt')
  await expect(printed).toHaveValue('salt, to taste')
  await printed.fill('1 ½ tbsp honey')
  await printed.press('Enter')
  await expect(page.getByText(/^Added: honey/)).toBeVisible()
  await expect(page.getByLabel('Amount').last()).toHaveValue('3/2')
  await page.getByLabel('Amount').last().fill('two')
  await page.getByLabel('Amount').last().blur()
  await expect(page.getByRole('alert')).toContainText('is not an amount')
})

test('the panel of other ways looks right', async ({ page }) => {
  await signIn(page, house)
  await openBread(page)
  await view(page, 'amounts')
  await page
    .getByRole('button', { name: /Other ways/ })
    .first()
    .click()
  await expect(page.getByText(/exact ways to make/)).toBeVisible()
  await looksRight(page)
})
