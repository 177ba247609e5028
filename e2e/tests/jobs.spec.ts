/** Jobs in full: twelve children with their hands and needs, the clock, rotation, ages of the setting, and what is lost at the table. */
import { expect, type Page } from '@playwright/test'
import { test } from '../clock'
import {
  TestServer,
  openBread,
  openTopic,
  passGates,
  signIn,
  startCooking,
  swapTheMilk,
} from '../test-server'

let house: TestServer
test.beforeAll(async () => {
  house = await TestServer.open()
})
test.afterAll(() => house.close())

async function openJobs(page: Page): Promise<void> {
  await signIn(page, house)
  await openBread(page)
  // The panel comes with the plan: what must be fixed is in it from its first moment.
  await expect(page.getByRole('complementary')).toBeVisible()
  if (await page.getByRole('button', { name: /Oat drink and fresh lemon juice for everyone/ }).isVisible())
    await swapTheMilk(page)
  await page.getByRole('link', { name: 'jobs' }).click()
  await expect(page.getByLabel('The plan in figures')).toContainText('turns each')
  // A shorter plan that is found beside would move what is being dragged.
  await expect(page.getByText('Looking for a shorter plan')).toHaveCount(0)
}
/** What was chosen is named: another choice of an earlier test may stand beside it. */
async function undo(page: Page, name: RegExp): Promise<void> {
  const button = page.getByRole('region', { name: 'Jobs' }).getByRole('button', { name })
  await button.click()
  await expect(button).toHaveCount(0)
}
const lane = (page: Page, name: string) =>
  page
    .getByRole('region', { name: 'Lanes against the clock' })
    .getByRole('row', { name: new RegExp(`^${name}`) })

test('a turn is dragged to another time: refused beside its job with the times, pinned within it', async ({
  page,
}) => {
  await openJobs(page)
  const turn = lane(page, 'Maren').locator('[draggable="true"]').first()
  const cloth = lane(page, 'Maren').locator('[data-lane]')
  const box = await cloth.boundingBox()
  if (!box) throw new Error('no lane')
  await turn.dragTo(cloth, { targetPosition: { x: box.width - 4, y: 10 } })
  await expect(page.getByText(/Not there\. This job is done from \d\d:\d\d to \d\d:\d\d/)).toBeVisible()
  // The same place is within its own job: it is pinned to that very turn.
  const own = await turn.boundingBox()
  if (!own) throw new Error('no turn')
  await turn.dragTo(cloth, { targetPosition: { x: own.x - box.x + own.width + 3, y: 10 } })
  await expect(page.getByText(/Pinned: Maren has turn \d+ of/)).toBeVisible()
  await undo(page, /^Undo ?: Maren/)
})

test('a job of an adult is handed to another who leads it, and refused to one who does not', async ({
  page,
}) => {
  await openJobs(page)
  const list = page.getByLabel('Hand over a job of Petra Vance')
  const oven = list.locator('option', { hasText: 'use the oven' }).first()
  await list.selectOption((await oven.getAttribute('value')) ?? '')
  await page.getByRole('button', { name: 'to Gwenda Marsh' }).click()
  await expect(page.getByText(/Not there\. Gwenda Marsh does not lead heat/)).toBeVisible()
  await list.selectOption((await oven.getAttribute('value')) ?? '')
  await page.getByRole('button', { name: 'to Oluwaseun Adair' }).click()
  await expect(page.getByText('Pinned: Oluwaseun Adair stands at use the oven.')).toBeVisible()
  await undo(page, /^Undo ?: Oluwaseun Adair/)
})

test('which turn is chosen by keyboard, and the plan before and after are set beside each other', async ({
  page,
}) => {
  await openJobs(page)
  const list = page.getByLabel('Hand over a turn of Wren')
  const flour = list.locator('option', { hasText: 'plain flour' }).first()
  await list.selectOption((await flour.getAttribute('value')) ?? '')
  await page.getByLabel('Which turn').selectOption({ label: 'turn 1' })
  await page.getByRole('button', { name: 'to Kofi' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByText('Pinned: Kofi has turn 1 of scoop and level: plain flour.')).toBeVisible()
  await undo(page, /^Undo ?: Kofi/)
  await page.getByRole('button', { name: 'What would make it shorter?' }).click()
  await expect(page.locator('strong', { hasText: '4 wash at once' })).toBeVisible()
  const few = page.getByRole('listitem').filter({ hasText: 'Few scoops instead of even turns' }).first()
  await few.getByText('before and after').click()
  await expect(few.getByRole('columnheader', { name: 'after' })).toBeVisible()
  await few.getByRole('button', { name: 'Use it' }).click()
  await expect(page.getByRole('heading', { name: 'The last change' })).toBeVisible()
  await undo(page, /^Undo ?: few scoops/)
})

test('left hand and wheelchair: what helps stands on the card; waits are filled, clearing up is dealt', async ({
  page,
}) => {
  await openJobs(page)
  await expect(page.getByRole('heading', { name: 'Clearing up' })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Ready in time' })).toBeVisible()
  await page.getByRole('heading', { name: 'Ready in time' }).click()
  await expect(page.getByText(/Oven on, (Petra Vance|Oluwaseun Adair)/)).toBeVisible()
  await page.getByRole('heading', { name: 'Turns, waits and fit' }).click()
  await expect(page.getByRole('region', { name: 'Turns, waits and fit' }).getByRole('row')).toHaveCount(13)
  await page.goto(page.url().replace(/jobs$/, 'cards'))
  const card = (name: string) =>
    page.getByRole('listitem').filter({ has: page.getByRole('heading', { name }) })
  await expect(card('Maren')).toContainText('left-handed scissors')
  await expect(card('Tarquin')).toContainText(/lap tray|between the knees|on the tray/)
  await expect(card('Maren')).toContainText('While you wait:')
})

test('an age moved in Setting moves the plan, and a wrong one is refused in words', async ({ page }) => {
  await signIn(page, house)
  await page.getByRole('link', { name: 'Setting' }).click()
  await openTopic(page, 'Ages of techniques')
  const ages = page.getByRole('region', { name: 'Ages of techniques' })
  await ages.getByRole('combobox', { name: /^Technique/ }).selectOption('snip-scissors')
  await ages.getByLabel('Children from, months').fill('70')
  await ages.getByLabel('An adult watches from, months').fill('50')
  await ages.getByRole('button', { name: 'Save these ages' }).click()
  await expect(page.getByRole('alert')).toContainText('Overseeing begins before children do it at all')
  await ages.getByLabel('Children from, months').fill('60')
  await ages.getByLabel('An adult watches from, months').fill('84')
  await ages.getByRole('button', { name: 'Save these ages' }).click()
  await expect(page.getByText('Saved. Plans to come use it.')).toBeVisible()
  await page.getByRole('link', { name: 'Today' }).click()
  await openBread(page)
  await page.getByRole('link', { name: 'jobs' }).click()
  await page.getByRole('heading', { name: /^Who sits out of what/ }).click()
  await expect(page.getByText('Wren: snip with scissors: from 5 years')).toBeVisible()
  await page.getByRole('link', { name: 'Setting' }).click()
  await openTopic(page, 'Ages of techniques')
  await ages.getByRole('button', { name: 'snip with scissors as in the catalogue' }).click()
  await expect(ages.getByRole('button', { name: /As in the catalogue/ })).toHaveCount(0)
})

test('ratios of the setting are kept, counted, and given back to the published ones', async ({ page }) => {
  await signIn(page, house)
  await page.getByRole('link', { name: 'Setting' }).click()
  await openTopic(page, 'Children to an adult')
  const ratios = page.getByRole('region', { name: 'Children to an adult' })
  await expect(ratios).toContainText('EYFS statutory framework 2025')
  await ratios.getByLabel('Children to one adult, from 3 years').fill('2')
  await ratios.getByRole('button', { name: 'Save these numbers' }).click()
  await expect(ratios).toContainText('Your own numbers.')
  await page.getByRole('link', { name: 'Today' }).click()
  await openBread(page)
  await expect(page.getByText(/children of these ages need \d+ adults/)).toBeVisible()
  await page.getByRole('link', { name: 'Setting' }).click()
  await openTopic(page, 'Children to an adult')
  await ratios.getByRole('button', { name: 'Back to the published' }).click()
  await expect(ratios).toContainText('EYFS statutory framework 2025')
})

test('a measure is lost at the table: the rest is made with the others; the rest can be shortened or not', async ({
  page,
}) => {
  await openJobs(page)
  await startCooking(page)
  await page.getByRole('button', { name: 'next step' }).click()
  await passGates(page)
  await expect(page.getByRole('heading', { name: 'Meanwhile' })).toBeVisible()
  const sheet = page.getByRole('dialog')
  await page.getByRole('button', { name: 'Something changed' }).click()
  await sheet.getByRole('button', { name: 'a measure is lost' }).click()
  await sheet.getByRole('button', { name: '1/2 cup' }).click()
  await expect(sheet.getByText(/instead of \d+ × 1\/2 cup/).first()).toBeVisible()
  await expect(sheet.getByText('What is in the bowl stays; all other jobs stay.')).toBeVisible()
  await sheet.getByRole('button', { name: 'Back to the table' }).click()
  await expect(page.getByText(/with the ½ cup/)).toHaveCount(0)
  await page.getByRole('button', { name: 'Something changed' }).click()
  await sheet.getByRole('button', { name: 'make it shorter' }).click()
  await expect(sheet.getByText(/The rest could be shorter|Nothing that Lea can try/)).toBeVisible()
})

test('small groups one after another: a session of each, with everybody in one of them', async ({ page }) => {
  await signIn(page, house, 'tomasz')
  const sessions = page.getByRole('main').getByRole('link', { name: /Couscous/ })
  await expect(sessions.first()).toBeVisible()
  const before = await sessions.count()
  await sessions.first().click()
  await page.getByRole('link', { name: 'jobs' }).click()
  await openTopic(page, 'Small groups one after another')
  await page.getByLabel('Children at once, at most').selectOption('5')
  await page.getByRole('button', { name: 'Try it' }).click()
  await page.getByRole('button', { name: /Make these \d sessions/ }).click()
  await expect(page.getByText(/2 sessions, this one with the first group/)).toBeVisible()
  await page.getByRole('link', { name: 'They stand under Today.' }).click()
  await expect(sessions).toHaveCount(before + 1)
})
