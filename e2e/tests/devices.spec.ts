/** Two devices at one table: a tap on one is on the other within a moment, and both agree when they tap at once. */
import { expect, type Page } from '@playwright/test'
import { axeFinds } from '../looks'
import { test, newContext } from '../clock'
import {
  TestServer,
  openBread,
  passGates,
  sessionFor,
  settleAtTable,
  signIn,
  swapTheMilk,
  startCooking,
} from '../test-server'

let house: TestServer
test.beforeAll(async () => {
  house = await TestServer.open()
})
test.afterAll(() => house.close())

const done = (page: Page) => page.getByRole('button', { name: /^Done:/ })

test('a second device shows the same step and the same turns, and its taps come back', async ({
  browser,
}) => {
  const [one, two] = await Promise.all(
    [0, 1].map(async () => (await newContext(browser, { viewport: { width: 1280, height: 800 } })).newPage()),
  )
  if (!one || !two) throw new Error('no pages')
  await signIn(one, house)
  await openBread(one)
  await swapTheMilk(one)
  await startCooking(one)
  await expect(one.getByRole('heading', { name: 'Wash hands' })).toBeVisible()
  const at = one.url()
  await signIn(two, house, 'seun')
  await two.goto(at)
  await expect(two.getByRole('heading', { name: 'Wash hands' })).toBeVisible()
  await expect(done(one)).toBeVisible()
  await expect(done(two)).toBeVisible()
  // A tap here moves the turn there.
  const before = await done(two).textContent()
  await done(one).click()
  await expect.poll(() => done(two).textContent()).not.toBe(before)
  // Both tap at once: nothing is lost, and they show the same.
  await Promise.all([done(one).click(), done(two).click()])
  await expect
    .poll(async () => (await done(one).textContent()) === (await done(two).textContent()))
    .toBe(true)
  // The next step, chosen there, is here too.
  await two.getByRole('button', { name: 'next step' }).click()
  const gate = (page: Page) => page.getByRole('button', { name: 'Hands washed' })
  await expect(gate(two)).toBeVisible()
  await expect(gate(one)).toBeVisible()
  // Gates that are signed on one are signed on the other.
  await passGates(one)
  await expect(done(one)).toBeVisible()
  await expect(done(two)).toBeVisible()
  await one.context().close()
  await two.context().close()
})

test('a card that is changed elsewhere stops the table, until the plan knows it', async ({ browser }) => {
  const [table, office] = await Promise.all(
    [0, 1].map(async () => (await newContext(browser, { viewport: { width: 1280, height: 800 } })).newPage()),
  )
  if (!table || !office) throw new Error('no pages')
  await signIn(table, house)
  await table
    .getByRole('link', { name: /Herb soda bread/ })
    .first()
    .click()
  await table.waitForURL(/session\//)
  await table.goto(table.url().replace('/weave', '/cook'))
  await expect(done(table)).toBeVisible()

  // The family calls the office: gluten. It is written on the card as they say it.
  await signIn(office, house, 'seun')
  await office.goto(`${house.address}/children`)
  await office.getByRole('button', { name: /Wren/ }).first().click()
  const card = office.getByRole('dialog')
  await card.getByRole('button', { name: 'Add an allergy' }).click()
  await card.getByLabel('To what').last().fill('Gluten')
  await expect(card.getByText('“Gluten”: read as cereals containing gluten.')).toBeVisible()
  await card.getByRole('button', { name: 'Save' }).click()
  await expect(card).toHaveCount(0)

  await expect(table.getByRole('heading', { name: 'Stop: the card of Wren has changed' })).toBeVisible()
  await expect(table.getByRole('status')).toContainText(/^Wren with another card: .*stop/)
  await expect(done(table)).toBeDisabled()
  const goOn = table.getByRole('button', { name: 'Go on with the plan for everyone' })
  await expect(goOn).toBeDisabled()
  await expect(table.getByRole('button', { name: /looks on/ })).toHaveCount(0)
  await settleAtTable(table, 'Wren eats the oat cakes from home, from an own plate.')
  await goOn.click()
  await expect(table.getByRole('heading', { name: /^Stop:/ })).toHaveCount(0)
  await table.context().close()
  await office.context().close()
})

test('a code opens the pictures of the table on a device that nobody signed in on: it follows at once, and ends with the session', async ({
  browser,
}) => {
  // Twenty seconds at the tap, and the moments before a turn at their own pace.
  test.setTimeout(300_000)
  const [table, screen] = await Promise.all(
    [0, 1].map(async () => (await newContext(browser, { viewport: { width: 1280, height: 800 } })).newPage()),
  )
  if (!table || !screen) throw new Error('no pages')
  await signIn(table, house)
  const id = await sessionFor(table, 'own-flatbreads', [], 3)
  await table.goto(`${house.address}/session/${id}/amounts`)
  await startCooking(table)
  await table.getByRole('button', { name: 'second screen for the children' }).click()
  const code = table.getByTestId('code')
  await expect(code).toHaveText(/^[A-Z2-9]{3} [A-Z2-9]{3}$/)
  const word = (await code.textContent()) ?? ''

  // The wrong code says so, and what was typed stays.
  await screen.goto(`${house.address}/show`)
  await screen.getByLabel('Code').fill('ABC 234')
  await screen.getByRole('button', { name: 'Show' }).click()
  await expect(screen.getByRole('alert')).toContainText('opens nothing')
  await expect(screen.getByLabel('Code')).toHaveValue('ABC 234')
  expect(await axeFinds(screen)).toEqual([])
  await screen.getByLabel('Code').fill(word.toLowerCase())
  await screen.getByRole('button', { name: 'Show' }).click()
  await expect(screen.locator('[data-moment="wash"]')).toBeVisible()
  // Twenty seconds at the tap, and not one less.
  const bar = screen.getByRole('progressbar')
  await expect(bar).toHaveAttribute('aria-valuenow', '100', { timeout: 30_000 })

  await table.keyboard.press('Escape')
  await table.getByRole('button', { name: 'next step' }).click()
  await expect(screen.locator('[data-moment="ready"]')).toBeVisible()
  await table.getByRole('button', { name: 'Petra Vance' }).click()
  await table.getByRole('button', { name: 'Hands washed' }).click()
  await table.getByRole('button', { name: 'all of them' }).click()
  await table.getByRole('button', { name: 'Petra Vance' }).click()
  await table.getByRole('button', { name: 'Gwenda Marsh' }).click()
  await table.getByRole('button', { name: 'We read them all' }).click()
  await expect(screen.locator('[data-moment="turn"]')).toBeVisible({ timeout: 40_000 })
  // What is tapped at the table is on the screen within a moment.
  const late: number[] = []
  for (let i = 1; i <= 3; i++) {
    const asked = Date.now()
    await done(table).click()
    await expect.poll(() => screen.locator('[data-done="true"]').count(), { intervals: [20] }).toBe(i)
    late.push(Date.now() - asked)
  }
  console.warn(`the second screen followed after ${late.join(', ')} ms`)
  expect(await axeFinds(screen)).toEqual([])
  // It opens nothing else, and nothing of anybody stands in it.
  expect(await screen.evaluate(async () => (await fetch('/api/children')).status)).toBe(401)
  expect(await screen.content()).not.toMatch(/Leocadia|Maren|Pavel|Tarquin|allerg|milk/i)
  // Without a network the last picture stays, and it follows again after.
  await screen.context().setOffline(true)
  await done(table).click()
  await expect(screen.locator('[data-moment="turn"]')).toBeVisible()
  await screen.context().setOffline(false)
  await expect(screen.locator('[data-moment="turn"]')).toBeVisible({ timeout: 30_000 })
  // Ended at the table, it is ended there.
  await table.getByRole('button', { name: 'second screen for the children' }).click()
  await table.getByRole('button', { name: 'end all second screens' }).click()
  await expect(screen.getByLabel('Code')).toBeVisible({ timeout: 30_000 })
  await table.context().close()
  await screen.context().close()
})
