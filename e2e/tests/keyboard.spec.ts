/** The whole job by keyboard alone: Tab, Enter, space and the keys of the table; the mouse is never touched. */
import { expect, type Locator, type Page } from '@playwright/test'
import { test } from '../clock'
import { TestServer, openBread, signIn } from '../test-server'

let house: TestServer
test.beforeAll(async () => {
  house = await TestServer.open()
})
test.afterAll(() => house.close())

/** As a person does: Tab until it has the focus. */
async function reach(page: Page, what: Locator): Promise<void> {
  await expect(what).toBeVisible()
  for (let n = 0; n < 300; n++) {
    if (await what.evaluate((el) => el === document.activeElement)) return
    await page.keyboard.press('Tab')
  }
  throw new Error(`Tab does not reach ${what.toString()}`)
}
async function press(page: Page, what: Locator, key = 'Enter'): Promise<void> {
  await reach(page, what)
  await page.keyboard.press(key)
}

test('the weave opens a step from its head, a list in a cell keeps its own arrows, a dialog gives the focus back', async ({
  page,
}) => {
  await signIn(page, house)
  await openBread(page)
  const head = page.getByRole('columnheader', { name: /Snip the chives/ })
  await head.focus()
  await page.keyboard.press('Enter')
  await expect(head.getByRole('button')).toHaveAttribute('aria-expanded', 'true')
  const flour = page.getByRole('columnheader', { name: /Fill the flour/ })
  await flour.focus()
  await page.keyboard.press('Enter')
  const list = page.getByRole('combobox', { name: /^Pin a turn of .*plain flour to/ })
  await list.focus()
  await page.keyboard.press('ArrowDown')
  await expect(list).toBeFocused()
  await page.getByRole('link', { name: 'who', exact: true }).click()
  const guest = page.getByRole('button', { name: 'Add a guest' })
  await guest.focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('dialog').getByRole('textbox').first()).toBeFocused()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await expect(guest).toBeFocused()
})

test('sign in, settle, cook, finish and read the record without a mouse', async ({ page }) => {
  test.setTimeout(120_000)
  await page.goto(`${house.address}/sign-in`)
  await reach(page, page.getByLabel('Sign-in name'))
  await page.keyboard.type('petra')
  await reach(page, page.getByLabel('Password'))
  await page.keyboard.type('saltmere-demo')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Today', level: 1 })).toBeVisible()
  await press(page, page.getByRole('link', { name: /Herb soda bread/ }).first())
  await press(page, page.getByRole('button', { name: /Oat drink and fresh lemon juice for everyone/ }))
  const cook = page.getByRole('button', { name: 'Cook', exact: true })
  await expect(cook).toBeEnabled()
  await press(page, cook)

  const heading = page.getByRole('heading', { name: 'Wash hands' })
  await expect(heading).toBeVisible()
  const done = page.getByRole('button', { name: /^Done:/ })
  const first = (await done.textContent()) ?? ''
  await press(page, done)
  await expect(done).not.toHaveText(first)
  // After a tap the focus is at the heading: the keys of the table work.
  const second = (await done.textContent()) ?? ''
  await expect.poll(() => page.evaluate(() => document.activeElement?.tagName)).toBe('H1')
  await page.keyboard.press('Space')
  await expect(done).not.toHaveText(second)
  await page.keyboard.press('n')
  const name = (who: string) => page.getByRole('button', { name: who, exact: true })
  await press(page, name('Petra Vance'), 'Space')
  await press(page, name('Hands washed'))
  await press(page, name('All of them'))
  await press(page, name('Petra Vance'))
  await press(page, name('We know the plans'))
  await press(page, name('All of them'))
  await press(page, name('Petra Vance'))
  await press(page, name('Gwenda Marsh'))
  await press(page, name('We read them all'))
  await expect(page.getByRole('heading', { name: 'Fill the flour' })).toBeVisible()
  const third = (await done.textContent()) ?? ''
  await press(page, done)
  await expect(done).not.toHaveText(third)

  await page.goto(page.url().replace('/cook', '/finish'))
  const taste = page
    .getByRole('group', { name: 'How was it for Wren' })
    .getByRole('button', { name: 'more please' })
  await press(page, taste)
  await expect(taste).toHaveAttribute('aria-pressed', 'true')
  await reach(page, page.getByLabel('What worked'))
  await page.keyboard.type('By keyboard.')
  await press(page, page.getByRole('button', { name: 'Close the session' }))
  await expect(page).toHaveURL(/record\/sessions/)
  await expect(page.getByText('By keyboard.')).toBeVisible()
})
