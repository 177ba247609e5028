/** Two devices at one table: a tap on one is on the other within a moment, and both agree when they tap at once. */
import { expect, type Page } from '@playwright/test'
import { test, newContext } from '../clock'
import {
  TestServer,
  openBread,
  passGates,
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

const done = (page: Page) => page.getByRole('button', { name: /^done:/ })

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
  await expect(table.getByRole('button', { name: /only looks on/ })).toHaveCount(0)
  await settleAtTable(table, 'Wren eats the oat cakes from home, from an own plate.')
  await goOn.click()
  await expect(table.getByRole('heading', { name: /^Stop:/ })).toHaveCount(0)
  await table.context().close()
  await office.context().close()
})
