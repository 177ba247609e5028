/** Jobs handed over at the desk, and changes in the middle of cooking. */
import { expect } from '@playwright/test'
import { test } from '../clock'
import {
  TestServer,
  openBread,
  passGates,
  sessionFor,
  settleAll,
  signIn,
  swapTheMilk,
  startCooking,
} from '../test-server'

let house: TestServer
test.beforeAll(async () => {
  house = await TestServer.open()
})
test.afterAll(() => house.close())

test('a turn is handed over by keyboard and by dragging, refused with the reason, and unpinned', async ({
  page,
}) => {
  await signIn(page, house)
  await openBread(page)
  await swapTheMilk(page)
  await page.getByRole('link', { name: 'jobs' }).click()
  await expect(page.getByLabel('The plan in figures')).toContainText('turns each')
  const turn = page
    .getByLabel('Hand over a turn of Wren')
    .locator('option', { hasText: 'plain flour' })
    .first()
  await page.getByLabel('Hand over a turn of Wren').selectOption((await turn.getAttribute('value')) ?? '')
  await expect(page.getByText(/Taken up: .*plain flour/)).toBeVisible()
  await page.getByRole('button', { name: 'to Zuri' }).click()
  await expect(page.getByRole('alert')).toContainText('Zuri works at another bowl')
  await page.getByLabel('Hand over a turn of Wren').selectOption((await turn.getAttribute('value')) ?? '')
  await page.getByRole('button', { name: 'to Kofi' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByText(/Pinned: Kofi has a turn of scoop and level: plain flour/)).toBeVisible()
  const undo = page.getByRole('region', { name: 'Jobs' }).getByRole('button', { name: /^Undo ?: Kofi/ })
  await undo.click()
  await expect(undo).toHaveCount(0)
  // Undo stands below the lanes: both lanes are on the screen before anything is taken up.
  await page.evaluate(() => scrollTo(0, 0))
  const lane = (name: string) => page.getByRole('row', { name: new RegExp(`^${name}`) })
  await lane('Maren').locator('[draggable="true"]').first().dragTo(lane('Idris').locator('td').first())
  await expect(
    page.getByText(/Pinned: Idris has turn \d+ of|Not there\. This job is done from/),
  ).toBeVisible()
})

test('a child leaves in the middle: the end stays, the others keep their jobs; late and away are said', async ({
  page,
}) => {
  await signIn(page, house)
  await openBread(page)
  const swap = page.getByRole('button', { name: /Oat drink and fresh lemon juice for everyone/ })
  const cook = page.getByRole('button', { name: 'Cook', exact: true })
  await expect.poll(async () => (await swap.isVisible()) || (await cook.isEnabled())).toBe(true)
  if (await swap.isVisible()) await swapTheMilk(page)
  const before =
    (await page
      .getByText(/ to \d\d:\d\d/)
      .first()
      .textContent()) ?? ''
  await startCooking(page)
  // She has washed her hands: what somebody did before she left stands in the way of nothing.
  for (const name of ['Wren', 'Idris', 'Maren'])
    await page.getByRole('button', { name: `done: ${name}’s turn` }).click()
  await page.getByRole('button', { name: 'next step' }).click()
  await passGates(page)
  await page.getByRole('button', { name: /^Done:/ }).click()
  await page.getByRole('button', { name: 'Something changed' }).click()
  const sheet = page.getByRole('dialog')
  await sheet.getByRole('button', { name: 'someone left' }).click()
  await sheet.getByRole('button', { name: 'Maren' }).click()
  await expect(sheet.getByText(/takes over|Nobody else is touched/).first()).toBeVisible()
  await expect(sheet.getByText('All others keep their jobs and times.')).toBeVisible()
  await sheet.getByRole('button', { name: 'Back to the table' }).click()
  await expect(page.getByLabel('The table').getByText('Maren')).toHaveCount(0)

  await page.getByRole('button', { name: 'Something changed' }).click()
  await sheet.getByRole('button', { name: 'we ran short' }).click()
  await sheet.getByRole('button', { name: 'plain flour' }).click()
  await expect(
    sheet.getByText(/more of plain flour were to come\. For how many is there enough\?/),
  ).toBeVisible()
  await sheet.getByRole('button', { name: '1', exact: true }).click()
  await expect(sheet.getByText(/^Missing in all: .*plain flour; /)).toBeVisible()
  await sheet.getByRole('button', { name: 'Back to the table' }).click()

  await page.getByRole('button', { name: 'Something changed' }).click()
  await sheet.getByRole('button', { name: 'running late' }).click()
  await sheet.getByRole('button', { name: '10 minutes' }).click()
  await expect(sheet.getByText(/before the families come|after the families come/)).toBeVisible()
  await sheet.getByRole('button', { name: 'Back to the table' }).click()

  await page.getByRole('button', { name: 'Something changed' }).click()
  await sheet.getByRole('button', { name: 'adult away' }).click()
  await sheet.getByRole('button', { name: 'Gwenda Marsh' }).click()
  await expect(sheet.getByText(/takes over: .*Snip the chives/)).toBeVisible()
  await sheet.getByRole('button', { name: 'Back to the table' }).click()
  await page.reload()
  await expect(page.getByLabel('The table').getByText('Maren')).toHaveCount(0)
  expect(before).toMatch(/\d\d:\d\d/)
})

test('a free choice: what a card forbids is not offered, stops nobody, and what each took stands in the record', async ({
  page,
}) => {
  await signIn(page, house)
  const id = await sessionFor(page, 'soup-of-my-own', ['Anouk'], 3)
  await page.goto(`${house.address}/session/${id}/amounts`)
  const takes = page.getByRole('region', { name: /Who takes what/ })
  const anouk = takes.getByRole('row', { name: /^Anouk/ })
  await expect(anouk).toContainText('not offered')
  await expect(anouk).toContainText('lists lactose')
  await expect(anouk.getByRole('button', { name: 'Anouk, cheddar' })).toHaveCount(0)
  // What a child said before is kept, and laid out for.
  await expect(anouk).toContainText('reckoned')
  const spinach = anouk.getByRole('button', { name: 'Anouk, spinach' })
  const before = await spinach.getAttribute('aria-pressed')
  await spinach.click()
  await expect(anouk).toContainText('Said')
  await expect(spinach).toHaveAttribute('aria-pressed', before === 'true' ? 'false' : 'true')
  await anouk.getByRole('button', { name: 'Said. Undo' }).click()
  await expect(anouk).toContainText('reckoned')
  await settleAll(page, 'Petra Vance', 'Gwenda Marsh')
  await startCooking(page)
  const heading = page.getByRole('heading', { level: 1 })
  for (const step of ['Broth on the hob', 'Tear', 'Grate', 'Choose four']) {
    await page.getByRole('button', { name: 'next step' }).click()
    if (step === 'Broth on the hob') {
      await page.getByRole('button', { name: 'Petra Vance' }).click()
      await page.getByRole('button', { name: 'Hands washed' }).click()
      await page.getByRole('button', { name: 'all of them' }).click()
      await page.getByRole('button', { name: 'Petra Vance' }).click()
      await page.getByRole('button', { name: 'Gwenda Marsh' }).click()
      await page.getByRole('button', { name: 'We read them all' }).click()
    }
    await expect(heading.or(page.getByText(/An adult is in place/))).toBeVisible()
    const inPlace = page.getByRole('button', { name: 'In place' })
    if (await inPlace.isVisible()) {
      for (const adult of await page.getByRole('button', { pressed: false }).all())
        if (/Petra|Gwenda|Oluwaseun/.test((await adult.textContent()) ?? '')) await adult.click()
      await inPlace.click()
    }
    await expect(heading).toContainText(step)
  }
  const choose = page.getByRole('region', { name: /^Choose/ }).first()
  await choose.getByRole('button', { name: /^Anouk/ }).click()
  await expect(choose.getByRole('button', { name: 'cheddar' })).toHaveCount(0)
  await choose.getByRole('button', { name: 'sweetcorn' }).click()
  await choose.getByRole('button', { name: 'carrot' }).click()
  await expect(choose.getByRole('button', { name: 'carrot' })).toHaveAttribute('aria-pressed', 'true')
  // One tap too many is taken back like every other.
  await page.getByRole('button', { name: 'undo' }).click()
  await expect(choose.getByRole('button', { name: 'carrot' })).toHaveAttribute('aria-pressed', 'false')
  await expect(page.getByText('all sent')).toBeVisible()
  await page.goto(`${house.address}/record/sessions/${id}`)
  await expect(page.getByRole('row', { name: /Anouk/ })).toContainText('chose sweetcorn')
})
