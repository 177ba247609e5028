/** By keyboard, at the door, with bad input, and on an empty house. */
import { expect } from '@playwright/test'
import { test } from '../clock'
import { TestServer, openBread, openFinding, openPart, settleAll, signIn, startCooking } from '../test-server'

let house: TestServer
test.beforeAll(async () => {
  house = await TestServer.open()
})
test.afterAll(() => house.close())

test('arrow keys walk the weave, Enter opens a step', async ({ page }) => {
  await signIn(page, house)
  await openBread(page)
  await page.getByRole('columnheader', { name: /Fill the flour/ }).focus()
  await page.keyboard.press('ArrowDown')
  await expect(page.locator('[data-cell="1-1"]')).toBeFocused()
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowDown')
  await expect(page.locator('[data-cell="2-2"]')).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(
    page.getByRole('columnheader', { name: /Snip the chives/ }).getByRole('button'),
  ).toHaveAttribute('aria-expanded', 'true')
  await page.keyboard.press('Home')
  await expect(page.locator('[data-cell="2-0"]')).toBeFocused()
})

test('seats change by dragging and by keyboard alone', async ({ page }) => {
  await signIn(page, house)
  await openBread(page)
  await page.getByRole('link', { name: 'who' }).click()
  const seat = (n: number) => page.getByLabel('Who comes').locator('button[draggable="true"]').nth(n)
  await expect(seat(0)).toHaveText(/Wren/)
  await seat(0).dragTo(seat(3))
  await expect(seat(0)).toHaveText(/Kofi/)
  await seat(0).focus()
  await page.keyboard.press('Enter')
  await seat(3).focus()
  await page.keyboard.press('Enter')
  await expect(seat(0)).toHaveText(/Wren/)
})

test('a guest at the door changes the plan at once', async ({ page }) => {
  await signIn(page, house, 'tomasz')
  await page
    .getByRole('link', { name: /Couscous picnic jars/ })
    .first()
    .click()
  await page.getByRole('link', { name: 'who' }).click()
  await page.getByRole('button', { name: 'Add a guest' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Nickname').fill('Caspian')
  await dialog.getByLabel('Age').fill('1')
  await dialog.getByRole('button', { name: 'Add to the table' }).click()
  await expect(dialog.getByRole('alert')).toHaveText(/give the age in months/)
  await dialog.getByLabel('Age').fill('5')
  await dialog.getByLabel('Anything else').fill('parsley')
  await dialog.getByRole('button', { name: 'Add to the table' }).click()
  await expect(
    page.getByRole('complementary').getByText(/Parsley lists parsley\. Caspian: parsley/),
  ).toBeVisible()
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Children: 9' })).toBeVisible()
})

test('an unread packet is a stop until two adults read it', async ({ page }) => {
  await signIn(page, house, 'tomasz')
  await page
    .getByRole('link', { name: /Couscous picnic jars/ })
    .first()
    .click()
  await page.getByRole('link', { name: 'check' }).click()
  await expect(page.getByRole('cell', { name: /lists it.*wheat/ })).toBeVisible()
  const sesame = await openFinding(page, /Sesame seeds lists sesame/)
  await sesame.getByRole('button', { name: /Sunflower seeds for everyone/ }).click()
  const seeds = await openFinding(page, /Sunflower seeds may contain sesame/)
  await seeds.getByRole('button', { name: /Read the packet/ }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('button', { name: 'We read it today' }).click()
  await expect(dialog.getByRole('alert')).toHaveText(/Two adults sign/)
  await dialog.getByLabel('Read aloud by').selectOption({ label: 'Tomasz Reil' })
  await dialog.getByLabel('Read along by').selectOption({ label: 'Farida Quill' })
  await dialog.getByRole('button', { name: 'We read it today' }).click()
  await expect(seeds).toHaveCount(0)
  await expect(page.getByRole('main')).toContainText(/read \d\d:\d\d by\s+Tomasz Reil and Farida Quill/)
})

test('a guest five minutes before: re-checked at once, swapped, read, signed, and the sheet prints', async ({
  page,
}) => {
  await signIn(page, house, 'tomasz')
  await page
    .getByRole('link', { name: /Couscous picnic jars/ })
    .first()
    .click()
  const settle = page.getByRole('complementary')
  await page.getByRole('link', { name: 'check', exact: true }).click()
  await page.getByRole('button', { name: /Make (this|these) change/ }).click()
  await expect(settle.getByText(/Couscous lists wheat/)).toHaveCount(0)

  await test.step('the guest, and one sentence on what that changes', async () => {
    await page.getByRole('link', { name: 'who', exact: true }).click()
    await page.getByRole('button', { name: 'Add a guest' }).click()
    const dialog = page.getByRole('dialog')
    await dialog.getByLabel('Nickname').fill('Jarek')
    await dialog.getByLabel('Age').fill('4')
    await dialog.getByRole('button', { name: 'sesame' }).click()
    await dialog.getByRole('button', { name: 'egg' }).click()
    await dialog.getByRole('button', { name: 'Add to the table' }).click()
    await expect(page.getByRole('status')).toHaveText(
      /Jarek came: .*(stop|packets).*amounts for \d+ instead of \d+/,
    )
  })

  await test.step('every stop is settled: a change where there is one, else the packet, read by two', async () => {
    await settleAll(page, 'Tomasz Reil', 'Farida Quill')
    await expect(page.getByRole('button', { name: 'Cook', exact: true })).toBeEnabled()
  })

  await test.step('the sheet for the wall names the guest, and prints on one page', async () => {
    await page.getByRole('link', { name: 'check', exact: true }).click()
    await page.getByRole('link', { name: 'Allergy sheet' }).click()
    // Check names them too: the paper is looked at once it is there.
    await expect(page.getByRole('heading', { name: /^Allergy sheet: / })).toBeVisible()
    await expect(page.getByRole('row', { name: /Jarek.*sesame/ })).toContainText('egg')
    for (const format of ['A4', 'Letter']) {
      const pdf = (await page.pdf({ format, preferCSSPageSize: false })).toString('latin1')
      expect(pdf.match(/\/Type\s*\/Page\b/g)).toHaveLength(1)
    }
    await page.getByRole('link', { name: 'Back to Check' }).click()
  })

  await test.step('the gate opens after two sign-offs', async () => {
    await startCooking(page)
    await page.getByRole('button', { name: 'next step' }).click()
    await page.getByRole('button', { name: 'Tomasz Reil' }).click()
    await page.getByRole('button', { name: 'Hands washed' }).click()
    await page.getByRole('button', { name: 'all of them' }).click()
    await page.getByRole('button', { name: 'Tomasz Reil' }).click()
    const open = page.getByRole('button', { name: 'We read them all' })
    await expect(open).toBeDisabled()
    await page.getByRole('button', { name: 'Farida Quill' }).click()
    await open.click()
    await expect(page.getByRole('heading', { name: /Every packet/ })).toHaveCount(0)
  })
})

test('a packet of the register is read, and is out of date when its words change', async ({ page }) => {
  await signIn(page, house)
  await page.getByRole('link', { name: 'Cupboard', exact: true }).click()
  await openPart(page, 'Packets')
  const seeds = page.locator('li', { hasText: 'Estuary sunflower seeds' })
  await expect(seeds).toContainText('not read yet')
  await seeds.getByRole('button', { name: /^Read / }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog.locator('mark', { hasText: 'SESAME' })).toBeVisible()
  await dialog.getByLabel('Read aloud by').selectOption({ label: 'Petra Vance' })
  await dialog.getByLabel('Read along by').selectOption({ label: 'Petra Vance, a second time' })
  await dialog.getByRole('button', { name: 'We read it today' }).click()
  await expect(seeds).toContainText('read today by Petra Vance and Petra Vance')
  await seeds.getByRole('button', { name: /^Words of / }).click()
  await dialog.getByLabel('All words of the label').fill('Sunflower seeds, flurbinate. May contain milk.')
  await expect(dialog.getByText('flurbinate: ask about these too')).toBeVisible()
  await dialog.getByRole('button', { name: 'Save this packet' }).click()
  await expect(seeds).toContainText('out of date: the words have changed since it was read')
  await page.getByRole('button', { name: 'Add a packet' }).click()
  await dialog.getByLabel('or type it').fill('9999')
  await dialog.getByRole('button', { name: 'Scan' }).click()
  await expect(dialog.getByText(/No packet has the code ‘9999’/)).toBeVisible()
  await dialog.getByLabel('Pick a code').selectOption('4680-109')
  await expect(dialog.getByLabel('Name on the packet')).toHaveValue('Green pesto, 190 g')
})

test('nobody at the table is said in words, and mended', async ({ page }) => {
  await signIn(page, house, 'alder')
  await page
    .getByRole('link', { name: /Overnight oats/ })
    .first()
    .click()
  await page.getByRole('link', { name: 'who' }).click()
  for (const name of ['Xanthe', 'Dilwyn', 'Jarek']) await page.getByRole('checkbox', { name }).uncheck()
  await expect(page.getByRole('alert')).toHaveText(/nobody is in this session yet/)
  await expect(page.getByRole('button', { name: 'Cook' })).toBeDisabled()
  await page.getByRole('checkbox', { name: 'Xanthe' }).check()
  await expect(page.getByRole('alert')).toHaveCount(0)
})

test('a child born in the future is refused beside the field, and what was written stays', async ({
  page,
}) => {
  await signIn(page, house)
  await page.getByRole('link', { name: 'Children', exact: true }).click()
  await page.getByRole('button', { name: 'Add a child' }).click()
  const dialog = page.getByRole('dialog')
  const name = "<b>Solveig</b>'); drop table x;--"
  await dialog.getByLabel('Nickname').fill(name)
  await dialog.getByLabel('Birth month').fill('2031-05')
  await dialog.getByRole('button', { name: 'Save' }).click()
  await expect(dialog.getByText('Birth month lies in the future')).toBeVisible()
  await expect(dialog.getByLabel('Nickname')).toHaveValue(name)
  await expect(dialog.getByLabel('Birth month')).toBeFocused()
  await dialog.getByLabel('Birth month').fill('2022-05')
  // What is wrong with one allergy stands in its row, and is where the keyboard goes on.
  await dialog.getByRole('button', { name: 'Add an allergy' }).click()
  await dialog.getByRole('button', { name: 'Add an allergy' }).click()
  await dialog.getByLabel('To what').first().fill('Brazil nut')
  await dialog.getByRole('button', { name: 'Save' }).click()
  const second = dialog.getByLabel('To what').nth(1)
  await expect(second).toBeFocused()
  await expect(second).toHaveAttribute('aria-invalid', 'true')
  await expect(dialog.getByLabel('To what').first()).not.toHaveAttribute('aria-invalid')
  await second.fill('sesame')
  await dialog.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText(name).first()).toBeVisible()
  // Words that name an allergen are kept as it, and shown as words again.
  const card = page.locator('li', { hasText: name })
  await expect(card).toContainText('Brazil nut')
  await card.getByRole('button', { name: /Edit/ }).click()
  await expect(dialog.getByLabel('To what').first()).toHaveValue('Brazil nut')
})

test('a new session takes a day, who and a recipe', async ({ page }) => {
  await signIn(page, house)
  await page.getByRole('link', { name: 'New session' }).click()
  await page.getByRole('button', { name: 'Zuri' }).click()
  await page.getByRole('button', { name: 'Anouk' }).click()
  // Without the two who have a concern with milk the bread needs no swap.
  const bread = page.locator('li', { hasText: 'Herb soda bread' })
  await expect(bread).toContainText('Fits this group')
  await bread.getByRole('button', { name: /Plan it/ }).click()
  await expect(page.getByRole('heading', { name: 'Herb soda bread' })).toBeVisible()
  await expect(page.getByText(/1[01] children, 3 adults/)).toBeVisible()
})

test('an empty house is made on the first visit', async ({ page }) => {
  const empty = await TestServer.open(false)
  try {
    await page.goto(empty.address)
    await expect(page.getByRole('heading', { name: /Set up Lea for your group/ })).toBeVisible()
    await page.getByRole('button', { name: 'Start' }).click()
    await expect(page.getByText('Name of the setting is missing')).toBeVisible()
    await page.getByLabel('Name of the setting').fill('Number 9, Ropewalk')
    await page.getByLabel('Kind').selectOption('home')
    await page.getByLabel('Your name').fill('Alder Finch')
    await page.getByLabel('Sign-in name').fill('alder')
    await page.getByLabel('Password').fill('a long password')
    await page.getByRole('button', { name: 'Start' }).click()
    const steps = page.getByRole('region', { name: 'Three steps to the first session' }).getByRole('listitem')
    await expect(steps).toHaveText([/To do: .*children/, /Done: \d+ recipes/, /To do: .*session/])
    await test.step('a made-up group: its swaps are tried, and nothing of it is kept', async () => {
      const sent: string[] = []
      page.on('request', (r) => {
        if (r.method() !== 'GET') sent.push(r.url())
      })
      await page.getByRole('link', { name: 'Try it with a made-up group' }).click()
      await expect(page.getByRole('heading', { name: 'Must fix: 1' })).toBeVisible()
      await page.getByLabel('Recipe').selectOption({ label: 'Herb soda bread' })
      await expect(page.getByRole('complementary').getByText(/Buttermilk lists/)).toBeVisible()
      await page.getByRole('button', { name: /Oat drink and fresh lemon juice for everyone/ }).click()
      await expect(page.getByRole('heading', { name: 'Ready to cook' })).toBeVisible()
      for (const view of ['who', 'check', 'amounts', 'jobs', 'talk', 'ready']) {
        await page.getByRole('link', { name: view, exact: true }).click()
        await expect(page.getByRole('main')).toContainText('A made-up group.')
      }
      await expect(page.getByRole('button', { name: 'Cook', exact: true })).toHaveCount(0)
      expect(sent).toEqual([])
      await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Today' }).click()
      await expect(steps.last()).toHaveText(/To do: /)
    })
    for (const place of ['Recipes', 'Children', 'Cupboard', 'Record', 'Setting']) {
      await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: place }).click()
      await expect(page.getByRole('heading', { level: 1, name: place })).toBeVisible()
    }
  } finally {
    await empty.close()
  }
})
