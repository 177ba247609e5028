/** The server is killed in the middle: taps go on, nothing is lost, and the table goes on from the same place. */
import { expect } from '@playwright/test'
import { test } from '../clock'
import { TestServer, openBread, passGates, signIn, swapTheMilk, startCooking } from '../test-server'

let house: TestServer
test.beforeAll(async () => {
  house = await TestServer.open()
})
test.afterAll(() => house.close())

test('a killed server loses no tap', async ({ page }) => {
  await signIn(page, house)
  await openBread(page)
  await swapTheMilk(page)
  await startCooking(page)
  await page.getByRole('button', { name: 'next step' }).click()
  await passGates(page)
  // 'all sent' stands there before the tap as well: only the answer says that this one is with the server.
  const sent = page.waitForResponse(
    (r) => r.url().endsWith('/events') && r.request().method() === 'POST' && r.ok(),
  )
  await page.getByRole('button', { name: /^Done:/ }).click()
  await sent
  await expect(page.getByText('all sent')).toBeVisible()

  await house.kill()
  await page.getByRole('button', { name: /^Done:/ }).click()
  await page.getByRole('button', { name: /^Done:/ }).click()
  await expect(page.getByText('2 kept on this device, not sent yet')).toBeVisible()
  await expect(page.getByText(/Nothing that was tapped is lost/)).toBeVisible()
  await expect(page.getByText(/plain flour · 3 of 3/)).toBeVisible()

  await house.start()
  await expect(page.getByText('all sent')).toBeVisible()
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Fill the flour' })).toBeVisible()
  await expect(page.getByText(/plain flour · 3 of 3/)).toBeVisible()
  await expect(page.getByText('all sent')).toBeVisible()
})
