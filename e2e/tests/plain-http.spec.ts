/** A tablet on plain http in a local network: browsers give such a page less, and the table goes on all the same. */
import { expect } from '@playwright/test'
import { test } from '../clock'
import { TestServer, openBread, passGates, signIn, swapTheMilk, startCooking } from '../test-server'

let house: TestServer
test.beforeAll(async () => {
  house = await TestServer.open()
})
test.afterAll(() => house.close())

// A name that is not this machine's own, looked up on loopback: for the browser no secure context.
const NAME = 'lea.test'
test.use({
  launchOptions: async ({ launchOptions }, use) => {
    await use({
      ...launchOptions,
      args: [...(launchOptions.args ?? []), `--host-resolver-rules=MAP ${NAME} 127.0.0.1`],
    })
  },
  serviceWorkers: 'allow',
})

test('signs in, cooks, goes on without the network, and sends it all after', async ({ page, context }) => {
  const faults: string[] = []
  page.on('pageerror', (e) => faults.push(e.message))
  await signIn(page, { address: house.address.replace('127.0.0.1', NAME) })
  expect(await page.evaluate(() => [isSecureContext, 'serviceWorker' in navigator])).toEqual([false, false])
  await openBread(page)
  await swapTheMilk(page)
  const places = page.getByRole('navigation', { name: 'Places' })
  await test.step('Today: what comes before it, and the session begins from there', async () => {
    await places.getByRole('link', { name: 'Today' }).click()
    const next = page.getByRole('article')
    await expect(next.getByText(/^Ready to cook\./)).toBeVisible()
    await expect(next.getByRole('img', { name: /^\d steps: hands at work in \d/ })).toBeVisible()
    for (const says of [/^Two adults read every packet/, /^Buy \d things/, /^Oven on/])
      await expect(next.getByText(says)).toBeVisible()
    await startCooking(page)
  })
  await expect(page.getByRole('heading', { name: 'Wash hands' })).toBeVisible()
  await page.getByRole('button', { name: 'next step' }).click()
  await passGates(page)
  const done = page.getByRole('button', { name: /^Done:/ })
  const turns: string[] = []
  await expect(page.getByText('all sent')).toBeVisible()
  await context.setOffline(true)
  for (let n = 0; n < 3; n++) {
    turns.push((await done.textContent()) ?? '')
    await done.click()
    await expect(page.getByText(new RegExp(`${n + 1} kept on this device`))).toBeVisible()
    await expect(done).not.toHaveText(turns.at(-1) ?? '')
  }
  await context.setOffline(false)
  await expect(page.getByText('all sent')).toBeVisible()
  // What was tapped is there for whoever opens the table next.
  const stands = await done.textContent()
  await page.reload()
  await expect(done).toHaveText(stands ?? '')
  expect(faults).toEqual([])
})
