/** What to make: four short answers and the ranked shelf, remedies tried for real, a half term, copies, and files in and out. */
import { readFile } from 'node:fs/promises'
import { expect } from '@playwright/test'
import { test } from '../clock'
import { TestServer, openTopic, signIn } from '../test-server'

let house: TestServer
test.beforeAll(async () => {
  house = await TestServer.open()
})
test.afterAll(() => house.close())

test('the shelf says what fits, what stands against the others, and what would help', async ({ page }) => {
  await signIn(page, house)
  await page.getByRole('link', { name: 'New session' }).click()
  await expect(page.getByText(/\d+ of \d+ recipes, what fits best first/)).toBeVisible()
  const rows = page.locator('ol > li')
  await expect(rows.first().getByText(/^Fits/)).toBeVisible()
  // "Fits" never stands alone: the packets are read.
  await expect(rows.first().getByText(/Read the packets\.$/i)).toBeVisible()
  // Without an adult who leads heat the oven is closed to this group; with one more it would fit.
  await page.getByRole('button', { name: 'Petra Vance' }).click()
  await page.getByRole('button', { name: 'Oluwaseun Adair' }).click()
  const bread = page.locator('li', { hasText: 'Herb soda bread' })
  await expect(bread).toContainText(/adult/)
  await expect(bread).toContainText(/Would fit: .*adult|Helps, but a problem stays/)
  await page.getByRole('button', { name: 'Petra Vance' }).click()
  // The season, a length, a budget that is no price.
  const season = page.getByRole('button', { name: /^(spring|summer|autumn|winter)$/ })
  await season.click()
  await expect(page.getByText(/^\d of \d+ recipes, what fits best first/)).toBeVisible()
  // The bread has no season: it is looked at without one.
  await season.click()
  await page.getByRole('button', { name: '30', exact: true }).click()
  await expect(page.getByText('Home time: 10:45')).toBeVisible()
  await expect(bread).toContainText(/after the families come|Would fit|Ends at/)
  await page.getByLabel('Most to spend per child').fill('cheap')
  await page.getByLabel('Most to spend per child').blur()
  await expect(page.getByRole('alert')).toContainText("'cheap' is not a price")
})

test('recipes are found by words, heat and theme; none is like that is said', async ({ page }) => {
  await signIn(page, house)
  await page.goto(`${house.address}/recipes`)
  await expect(page.getByText('24 of 24 recipes.')).toBeVisible()
  await page.getByLabel('Find').fill('lentil')
  await expect(page.getByText('2 of 24 recipes.')).toBeVisible()
  await page.getByLabel('Heat').selectOption('fire')
  await expect(page.getByText('None is like that.')).toBeVisible()
  await page.getByRole('button', { name: 'Show all again' }).click()
  await expect(page.getByText('24 of 24 recipes.')).toBeVisible()
})

test('a half term is laid out, moved about by keyboard, and added; a session is copied', async ({ page }) => {
  await signIn(page, house)
  await page.getByRole('link', { name: 'Plan several weeks' }).click()
  await page.getByLabel('Weeks').fill('4')
  await page.getByRole('button', { name: 'Plan these weeks' }).click()
  const send = page.getByRole('button', { name: /Add \d+ sessions?/ })
  await expect(send).toBeVisible()
  const titles = page.locator('ol > li p.font-title')
  const before = await titles.allTextContents()
  expect(new Set(before).size).toBe(before.length)
  await page
    .getByRole('button', { name: /^Later: / })
    .first()
    .focus()
  await page.keyboard.press('Enter')
  await expect.poll(() => titles.allTextContents()).toEqual([before[1], before[0], ...before.slice(2)])
  await expect(page.getByText('Fixed: undo').first()).toBeVisible()
  await send.click()
  await expect(page.getByText(/sessions? (is|are) planned/)).toBeVisible()
  await page.getByRole('link', { name: 'Today' }).last().click()
  for (const title of before)
    await expect(page.getByRole('link', { name: new RegExp(title) }).first()).toBeVisible()
  await page
    .getByRole('button', { name: /^Copy Herb soda bread/ })
    .first()
    .click()
  await page.getByRole('dialog').getByRole('button', { name: 'Zuri' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Copy it' }).click()
  await expect(page.getByText(/11 children, 3 adults/)).toBeVisible()
})

test('sessions as a calendar file, the setting as an archive', async ({ page }) => {
  await signIn(page, house)
  const [calendar] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Save as a calendar' }).click(),
  ])
  const ics = await readFile(await calendar.path(), 'utf8')
  expect(ics).toContain('BEGIN:VEVENT')
  expect(ics).not.toContain('Zuri')
  await page.goto(`${house.address}/setting`)
  await openTopic(page, 'The whole setting as one file')
  const [archive] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Save the archive' }).click(),
  ])
  const zip = await readFile(await archive.path())
  await page.getByLabel('Read an archive in').setInputFiles({
    name: 'a.zip',
    mimeType: 'application/zip',
    buffer: zip,
  })
  await expect(page.getByText(/goes into an empty one/)).toBeVisible()
  const empty = await TestServer.open(false)
  try {
    await page.goto(empty.address)
    await page.getByLabel('Name of the setting').fill('New House')
    await page.getByLabel('Your name').fill('Farida Quill')
    await page.getByLabel('Sign-in name').fill('farida')
    await page.getByLabel('Password').fill('a long password')
    await page.getByRole('button', { name: 'Start' }).click()
    await expect(page.getByRole('heading', { name: 'Three steps to the first session' })).toBeVisible()
    await page.goto(`${empty.address}/setting`)
    await openTopic(page, 'The whole setting as one file')
    await page
      .getByLabel('Read an archive in')
      .setInputFiles({ name: 'a.zip', mimeType: 'application/zip', buffer: zip })
    await expect(page.getByText(/children, \d+ recipes and \d+ sessions were read/)).toBeVisible()
    await page.goto(`${empty.address}/children`)
    await expect(page.getByText('Leocadia', { exact: true }).last()).toBeVisible()
  } finally {
    await empty.close()
  }
})

test('children from a table: columns matched, rows at fault named, the others taken', async ({ page }) => {
  await signIn(page, house)
  await page.goto(`${house.address}/children`)
  await page.getByRole('button', { name: 'From a list' }).click()
  const csv =
    'Child,Room,DOB,Medical\r\n"Ondine",Heron,2022-05,"milk (anaphylaxis); glimmerberry"\r\nCaspian,Heron,soon,\r\nWren,Heron,03/2022,none\r\n'
  await page
    .getByLabel('Open a CSV file')
    .setInputFiles({ name: 'c.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) })
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByText('Nothing is taken from:')).toContainText('Room')
  await expect(dialog.getByText(/'soon' is no month/)).toBeVisible()
  await expect(dialog.getByText(/milk: anaphylaxis risk/)).toBeVisible()
  await expect(dialog.getByText(/will ask at every food/)).toBeVisible()
  await dialog.getByLabel('Column for Allergies').selectOption('none')
  await expect(dialog.getByRole('button', { name: /Add \d child/ })).toBeDisabled()
  await dialog.getByLabel('Column for Allergies').selectOption('Medical')
  await dialog.getByRole('button', { name: 'Add 2 children' }).click()
  await expect(page.getByText('2 added, 0 changed.')).toBeVisible()
  await expect(page.getByText('Ondine', { exact: true }).last()).toBeVisible()
})

test('children pasted as lines: read as they are written, each looked at, what is at fault put right above', async ({
  page,
}) => {
  await signIn(page, house)
  await page.goto(`${house.address}/children`)
  await page.getByRole('button', { name: 'From a list' }).click()
  const dialog = page.getByRole('dialog')
  const lines = dialog.getByLabel('One child to a line')
  await expect(lines).toBeFocused()
  await lines.fill(
    '1. Linnet, April 2022, milk (epipen), Welsh at home\nDunlin, soon, egg\nGodwit 03/2021 sesame',
  )
  await expect(dialog.getByText(/milk: anaphylaxis risk/)).toBeVisible()
  await expect(dialog.getByText('Welsh', { exact: true })).toBeVisible()
  await expect(dialog.getByText('Birth month is missing: not taken')).toBeVisible()
  await expect(dialog.getByRole('button', { name: 'Add 2 children' })).toBeEnabled()
  // Nothing is left of what was taken away.
  const written = await lines.inputValue()
  await lines.fill('')
  await expect(dialog.getByRole('button', { name: /^Add \d/ })).toHaveCount(0)
  await lines.fill(written)
  await expect(dialog.getByRole('button', { name: 'Add 2 children' })).toBeEnabled()
  await lines.fill(written.replace('soon', 'May 2021'))
  // Nothing is added of what stood there before.
  await expect(dialog.getByRole('button', { name: 'Add 2 children' })).toBeDisabled()
  await dialog.getByRole('button', { name: 'Add 3 children' }).click()
  await expect(page.getByText('3 added, 0 changed.')).toBeVisible()
  await expect(page.getByText('Dunlin', { exact: true }).last()).toBeVisible()
})
