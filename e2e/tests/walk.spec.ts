/** The whole way, as a leader goes it: sign-in, diary, a milk stop, the swap, a pin, the table, tastes, the record. */
import { execFileSync } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { expect } from '@playwright/test'
import { test } from '../clock'
import {
  TestServer,
  openBread,
  passGates,
  settleAll,
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

test('one session, from plan to table to record', async ({ page }) => {
  await signIn(page, house)
  await expect(page.getByRole('article')).toContainText('1 problem to fix before anybody cooks.')

  await test.step('a milk stop, its swap, and the amounts change', async () => {
    await openBread(page)
    await expect(page.getByText(/Buttermilk lists lactose, milk\. Anouk: lactose/).first()).toBeVisible()
    await expect(page.getByRole('button', { name: 'Cook' })).toBeDisabled()
    await expect(page.getByRole('gridcell').filter({ hasText: 'buttermilk' }).first()).toBeVisible()
    await swapTheMilk(page)
    await expect(page.getByRole('gridcell').filter({ hasText: /cup\s+oat drink/ })).toBeVisible()
    await expect(page.getByRole('gridcell').filter({ hasText: /tsp\s+fresh lemon juice/ })).toBeVisible()
    await expect(page.getByRole('button', { name: 'Cook' })).toBeEnabled()
  })

  await test.step('the plan is compiled in a web worker', async () => {
    expect(page.workers().length).toBeGreaterThan(0)
  })

  await test.step('a job pinned to Kofi comes first', async () => {
    await page
      .getByLabel(/^Pin a turn of/)
      .first()
      .selectOption({ label: 'Kofi' })
    await expect(page.getByText('Kofi first')).toBeVisible()
    await page.reload()
    await expect(page.getByText('Kofi first')).toBeVisible()
  })

  const url = page.url().replace('/weave', '')
  let frozen = ''
  await test.step('cooking starts with just the plan that ./lea calc plan prints', async () => {
    const request = await page.evaluate(
      async (path) => (await fetch(path)).text(),
      `/api/sessions/${url.split('/').pop() ?? ''}/request`,
    )
    const file = join(mkdtempSync(join(tmpdir(), 'lea-')), 'request.json')
    writeFileSync(file, request)
    const calc = fileURLToPath(new URL('../../server/dist/calc.js', import.meta.url))
    const printed = JSON.parse(execFileSync('node', [calc, 'plan', file], { encoding: 'utf8' })) as {
      digest: string
    }
    const cooking = page.waitForResponse((r) => r.url().endsWith('/cook') && r.request().method() === 'POST')
    await startCooking(page)
    const response = await cooking
    // The digest that the screen sent is the one of the plan on the screen.
    expect((response.request().postDataJSON() as { digest: string }).digest).toBe(printed.digest)
    frozen = ((await response.json()) as { plan: { digest: string } }).plan.digest
    expect(frozen).toBe(printed.digest)
  })

  await test.step('three steps with taps, one of them taken back', async () => {
    await expect(page.getByRole('heading', { name: 'Wash hands' })).toBeVisible()
    for (const name of ['Wren', 'Idris', 'Maren', 'Kofi'])
      await page.getByRole('button', { name: `done: ${name}’s turn` }).click()
    await page.getByRole('button', { name: 'next step' }).click()
    await passGates(page)
    await expect(page.getByRole('heading', { name: 'Fill the flour' })).toBeVisible()
    // Pinned: Kofi scoops first.
    await page.getByRole('button', { name: 'Count one for Kofi' }).click()
    await expect(page.getByText(/scoops? so far/)).toBeVisible()
    // Three halves make the flour: one is less than half of it, two are more.
    await expect(page.getByLabel('The bowl is less than half')).toBeVisible()
    await page.getByRole('button', { name: /^Done:/ }).click()
    await expect(page.getByLabel('The bowl is more than half')).toBeVisible()
    await page.getByRole('button', { name: 'undo' }).click()
    await expect(page.getByLabel('The bowl is less than half')).toBeVisible()
  })

  await test.step('a reload goes on from the same place', async () => {
    await page.reload()
    await expect(page.getByRole('heading', { name: 'Fill the flour' })).toBeVisible()
    await expect(page.getByLabel('The bowl is less than half')).toBeVisible()
    await page.getByRole('button', { name: 'next step' }).click()
    await expect(page.getByRole('heading', { name: 'An adult is in place for blades.' })).toBeVisible()
    await page.getByRole('button', { name: 'Petra Vance' }).click()
    await page.getByRole('button', { name: 'In place' }).click()
    await page.getByRole('button', { name: /^Done:/ }).click()
  })

  await test.step('to the finish, with tastes and a line to remember', async () => {
    for (let i = 0; i < 4; i++) {
      await page.getByRole('button', { name: 'next step' }).click()
      const gate = page.getByRole('heading', { name: /An adult is in place/ })
      if (i === 2) {
        await expect(gate).toBeVisible()
        await page.getByRole('button', { name: 'Petra Vance' }).click()
        await page.getByRole('button', { name: 'In place' }).click()
      }
    }
    await page.goto(`${url}/finish`)
    await page
      .getByRole('group', { name: 'How was it for Kofi' })
      .getByRole('button', { name: 'more please' })
      .click()
    await page
      .getByRole('group', { name: 'How was it for Wren' })
      .getByRole('button', { name: 'not today' })
      .click()
    await page.getByLabel('What worked').fill('Kofi led the counting.')
    await page.getByRole('button', { name: 'Close the session' }).click()
  })

  await test.step('it stands in the record of the session and of the child', async () => {
    await expect(page).toHaveURL(/record\/sessions/)
    await expect(page.getByText('Kofi led the counting.')).toBeVisible()
    await expect(page.getByText(/Packets read: Petra Vance and Gwenda Marsh/)).toBeVisible()
    await page.getByRole('row', { name: /Kofi/ }).getByRole('link', { name: 'Kofi' }).click()
    const row = page.getByRole('row', { name: /Herb soda bread/ })
    await expect(row).toContainText('more please')
    await expect(row.getByRole('cell').nth(2)).toHaveText('1')
  })
})

test('somebody comes while the table is at work: everything stops until the plan knows them', async ({
  page,
}) => {
  await signIn(page, house, 'alder')
  await page
    .getByRole('link', { name: /Overnight oats/ })
    .first()
    .click()
  await settleAll(page, 'Alder Finch', 'Alder Finch, a second time')
  await startCooking(page)
  await expect(page.getByRole('button', { name: 'Something changed' })).toBeVisible()
  const before = await page.getByRole('button', { name: /^Done:/ }).textContent()

  await page.getByRole('button', { name: 'Something changed' }).click()
  await page.getByRole('button', { name: 'someone came' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Nickname').fill('Caspian')
  await dialog.getByLabel('Age').fill('5')
  await dialog.getByLabel('Anything else').fill('pear')
  await dialog.getByRole('button', { name: 'Add to the table' }).click()
  await expect(page.getByRole('heading', { name: 'Stop: Caspian came' })).toBeVisible()
  await expect(page.getByRole('status')).toHaveText(
    /Caspian came: .*stop.*\(pear\).*amounts for 4 instead of 3/,
  )
  const goOn = page.getByRole('button', { name: 'Go on with the plan for everyone' })
  await expect(goOn).toBeDisabled()
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Stop: Caspian came' })).toBeVisible()
  await settleAtTable(page, 'The family brought an own pot without pear.')
  await goOn.click()
  await expect(page.getByRole('button', { name: /^Done:/ })).toHaveText(before ?? '')
  await expect(page.getByText('Caspian').first()).toBeVisible()
})
