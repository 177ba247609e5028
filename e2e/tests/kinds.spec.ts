/** Kinds of work beyond one bowl: tastes with covered eyes at the table, what grows on for days, and all of it said in the editor. */
import { expect } from '@playwright/test'
import { test, today } from '../clock'
import { axeFinds } from '../looks'
import { openExtras, sessionFor, settleAll, signIn, startCooking, TestServer } from '../test-server'

let house: TestServer
test.beforeAll(async () => {
  house = await TestServer.open()
})
test.afterAll(() => house.close())

test('a tasting with covered eyes: each child’s tastes in its order, what it says, its thumb; all of it in the record', async ({
  page,
}) => {
  await signIn(page, house)
  const id = await sessionFor(page, 'guess-the-garden', [], 4)
  await page.goto(`${house.address}/session/${id}/weave`)
  await settleAll(page, 'Petra Vance', 'Gwenda Marsh')
  await startCooking(page)
  await page.getByRole('button', { name: 'next step' }).click()
  await page.getByRole('button', { name: 'Petra Vance' }).click()
  await page.getByRole('button', { name: 'Hands washed' }).click()
  await page.getByRole('button', { name: 'all of them' }).click()
  await page.getByRole('button', { name: 'Petra Vance' }).click()
  await page.getByRole('button', { name: 'Gwenda Marsh' }).click()
  await page.getByRole('button', { name: 'We read them all' }).click()
  const tastes = page.getByRole('region', { name: 'Tastes' })
  const done = page.getByRole('button', { name: /^Done:/ })
  const next = page.getByRole('button', { name: 'next step' })
  const place = page.getByRole('button', { name: 'In place' })
  for (let i = 0; i < 60 && (await tastes.count()) === 0; i++) {
    if ((await place.count()) > 0) {
      await page.getByRole('main').getByRole('button', { name: 'Petra Vance' }).first().click()
      await place.click()
    } else if ((await done.count()) > 0) await done.click()
    else await next.click()
  }
  await expect(tastes.getByText(/eyes covered, in this order/)).toBeVisible()
  const rows = tastes.locator('li > [role=group]')
  await expect(rows).toHaveCount(4)
  const name = ((await rows.first().getAttribute('aria-label')) ?? '').split(',')[0] ?? ''
  await rows.first().getByRole('combobox').selectOption({ label: name })
  await rows.first().getByRole('button', { name: 'liked it' }).click()
  await expect(rows.first().getByRole('button', { name: 'liked it' })).toHaveAttribute('aria-pressed', 'true')
  await rows.nth(1).getByRole('button', { name: 'not for me' }).click()
  await rows.nth(1).getByRole('button', { name: 'in between' }).click()
  await expect(rows.nth(1).getByRole('button', { name: 'not for me' })).toHaveAttribute(
    'aria-pressed',
    'false',
  )
  expect(await axeFinds(page)).toEqual([])
  await page.goto(`${house.address}/session/${id}/finish`)
  await page.getByRole('button', { name: 'Close the session' }).click()
  await expect(page).toHaveURL(/record\/sessions/)
  await page.goto(`${house.address}/record/sessions/${id}`)
  const tallied = page.getByRole('region', { name: 'Tasted' })
  await expect(tallied.getByRole('row', { name: new RegExp(name) })).toContainText('1 of 1')
  await expect(page.getByText(`${name}: liked it`)).toBeVisible()
  expect(await axeFinds(page)).toEqual([])
})

test('what was sown stands under Today on its days, and what was seen and measured in the record', async ({
  page,
}) => {
  await signIn(page, house)
  // Sown five days ago.
  const sown = new Date(new Date(`${today()}T12:00:00`).getTime() - 5 * 86_400_000)
  const id = await sessionFor(page, 'windowsill-cress', [], 3, sown.toISOString().slice(0, 10))
  await page.goto(`${house.address}/session/${id}/weave`)
  await settleAll(page, 'Petra Vance', 'Gwenda Marsh')
  await startCooking(page)
  await page.goto(`${house.address}/session/${id}/finish`)
  await page.getByRole('button', { name: 'Close the session' }).click()
  await expect(page).toHaveURL(/record\/sessions/)
  await page.goto(`${house.address}/record/sessions/${id}`)
  await expect(page.getByRole('heading', { name: 'What grows: cress' })).toBeVisible()
  await page.goto(`${house.address}/today`)
  await expect(page.getByRole('heading', { name: 'Growing' })).toBeVisible()
  await page.getByRole('link', { name: /cress.*day 5/ }).click()
  const seen = page.getByLabel('What they saw')
  await seen.fill('Two green leaves each')
  await page.getByLabel('How high, in mm').fill('14')
  await page.getByRole('button', { name: 'We looked' }).click()
  await expect(page.getByText('14 mm high')).toBeVisible()
  await expect(page.getByText('Two green leaves each')).toBeVisible()
  expect(await axeFinds(page)).toEqual([])
  await page.reload()
  await expect(page.getByText('14 mm high')).toBeVisible()
})

test('said in the editor: a picture, a round, a variety, looks at what grows', async ({ page }) => {
  await signIn(page, house)
  await page.goto(`${house.address}/recipes`)
  await page.getByRole('link', { name: 'A picnic that goes round' }).click()
  await page.getByRole('link', { name: 'Change it' }).click()
  await openExtras(page)
  const step = page.getByRole('listitem').filter({ has: page.getByLabel('Goes round the table') })
  await step.last().getByLabel('Goes round the table').selectOption('3')
  await expect(step.last().getByLabel('Who passes it on says')).not.toHaveValue('')
  const built = page.getByRole('button', { name: 'A picture is built here' }).and(page.locator(':enabled'))
  await built.first().click()
  await page.getByLabel('It is of').fill('a sun')
  await page.getByLabel('It is of').press('Tab')
  await page.getByLabel('How many', { exact: true }).fill('5')
  await page.getByLabel('How many', { exact: true }).press('Tab')
  await page.locator('label', { hasText: /^Lies/ }).locator('select').selectOption('ring')
  await page.getByLabel('Variety').first().fill('round')
  await page.getByText(/Choices, what grows on/).click()
  await page.getByRole('button', { name: 'Something is sown here' }).click()
  await page.getByLabel('What grows', { exact: true }).fill('beans')
  await page.getByLabel('What grows', { exact: true }).press('Tab')
  await page.getByRole('button', { name: 'Add a look' }).click()
  await page.getByLabel('Day', { exact: true }).last().fill('12')
  await page.getByLabel('Day', { exact: true }).last().press('Tab')
  expect(await axeFinds(page)).toEqual([])
  await page.getByRole('button', { name: 'Save the recipe' }).click()
  await page.waitForURL(/\/recipes\/[0-9a-f-]{36}$/)
  await expect(page.getByText(/It goes round 3 times/)).toBeVisible()
  await expect(page.getByText(/Beans grows on: a look on day 1, 3, 7 and 12/)).toBeVisible()
  await expect(page.getByText('round oatcakes').first()).toBeVisible()
  await expect(page.getByText(/5 \w+ in a ring round it/)).toBeVisible()
  expect(await axeFinds(page)).toEqual([])
})

test('two tastes and the word ‘taste’ make a tasting in the editor, and one taste is refused in words', async ({
  page,
}) => {
  await signIn(page, house)
  await page.goto(`${house.address}/recipes`)
  await page.getByRole('link', { name: 'Guess the garden' }).click()
  await expect(page.getByText(/Tasted with eyes covered, guessing which it is: carrot/)).toBeVisible()
  await page.locator('summary', { hasText: 'With nothing but a bowl and a spoon' }).click()
  await expect(
    page.getByText(/an adult brings some things ready|nothing but a bowl and a spoon\./),
  ).toBeVisible()
  await page.getByRole('link', { name: 'Change it' }).click()
  await openExtras(page)
  const how = page.getByLabel('Tasted one by one')
  await how.last().selectOption('open')
  const what = page.getByRole('group', { name: 'What is tasted' })
  for (const i of [1, 2, 3]) await what.getByRole('checkbox').nth(i).uncheck()
  await expect(page.getByText('It takes two tastes to compare.')).toBeVisible()
  await page.getByRole('button', { name: 'Save the recipe' }).click()
  await expect(
    page
      .getByRole('alert')
      .filter({ hasText: /tastes/ })
      .first(),
  ).toBeVisible()
  await what.getByRole('checkbox').nth(1).check()
  await page.getByRole('button', { name: 'Save the recipe' }).click()
  await page.waitForURL(/\/recipes\/[0-9a-f-]{36}$/)
  await expect(page.getByText('Tasted side by side: carrot, cucumber.')).toBeVisible()
})

test('a way for a room that lacks something, and half for the small, are said in the editor and read so on the page', async ({
  page,
}) => {
  await signIn(page, house)
  await page.goto(`${house.address}/recipes`)
  await page.getByRole('link', { name: 'A flatbread of my own' }).click()
  await page.getByRole('link', { name: 'Change it' }).click()
  await page
    .locator('label', { hasText: /^Smaller under/ })
    .locator('select')
    .first()
    .selectOption('48')
  await page.locator('label', { hasText: /^Part/ }).locator('select').first().selectOption('1/2')
  await openExtras(page)
  const step = page
    .getByRole('listitem')
    .filter({ has: page.getByLabel('Step 5, in five words') })
    .last()
  await step.getByRole('button', { name: 'Another way where something is lacking' }).click()
  const way = step.getByRole('group', { name: /way/i }).last()
  await way.getByLabel('For the adult').fill('Press it flat and eat it cold.')
  await way.getByLabel('For the adult').press('Tab')
  await way.getByRole('button', { name: 'Add a task' }).click()
  await way
    .locator('label', { hasText: /^Place/ })
    .locator('select')
    .last()
    .selectOption('fridge')
  await way.locator('label', { hasText: /^Who/ }).locator('select').last().selectOption('WAIT')
  await way.getByLabel('Seconds').last().fill('300')
  await way.getByLabel('Seconds').last().press('Tab')
  await way.getByRole('button', { name: 'Remove task 1 of way' }).first().click()
  expect(await axeFinds(page)).toEqual([])
  await page.getByRole('button', { name: 'Save the recipe' }).click()
  await page.waitForURL(/\/recipes\/[0-9a-f-]{36}$/)
  await expect(page.getByText(/Without .*: Press it flat and eat it cold\./)).toBeVisible()
  await expect(page.getByText(/1\/2|½|half/i).first()).toBeVisible()
  await page.reload()
  await expect(page.getByText(/Without .*: Press it flat and eat it cold\./)).toBeVisible()
})

test('another food for a line, with no allergy at all, and the recipe’s own again', async ({ page }) => {
  await signIn(page, house)
  const id = await sessionFor(page, 'overnight-oats-pear', [], 4)
  await page.goto(`${house.address}/session/${id}/amounts`)
  await page.getByRole('button', { name: 'Another food instead of pears' }).click()
  await expect(page.getByRole('heading', { name: /Instead of pear/ })).toBeVisible()
  expect(await axeFinds(page)).toEqual([])
  await page.getByRole('button', { name: /^apple/ }).click()
  await expect(page.getByText('instead of pear').first()).toBeVisible()
  await page.reload()
  await page.getByRole('button', { name: /Another food instead of apple/ }).click()
  await page.getByRole('button', { name: /^apple/, pressed: true }).click()
  await expect(page.getByText('instead of pear')).toHaveCount(0)
})
