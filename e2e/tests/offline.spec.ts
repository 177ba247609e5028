/** Without a network: cooking begins and goes on, a reload shows the same table, and all of it arrives once the network is back. */
import { expect, type Page } from '@playwright/test'
import { test } from '../clock'
import { TestServer, openBread, passGates, signIn, swapTheMilk } from '../test-server'

// The second and third go on with the session that the first has begun.
test.describe.configure({ mode: 'serial' })
test.use({ serviceWorkers: 'allow' })

let house: TestServer
test.beforeAll(async () => {
  house = await TestServer.open()
})
test.afterAll(() => house.close())

/** Over so many minutes the three hundred taps come; `./lea bench offline` takes thirty. */
const MINUTES = Number(process.env['LEA_OFFLINE_MINUTES'] ?? 0)
const done = (page: Page) => page.getByRole('button', { name: /^Done:/ })
const idOf = (page: Page): string => /session\/([0-9a-f-]+)/.exec(page.url())?.[1] ?? ''
interface Heard {
  events: { id: string; kind: string; body: Record<string, unknown> }[]
}
const eventsOf = (page: Page, id: string): Promise<Heard> =>
  page.evaluate(async (s) => (await (await fetch(`/api/sessions/${s}/events`)).json()) as Heard, id)
/** All words that the browser keeps for this page. */
const everythingKept = (page: Page): Promise<string> =>
  page.evaluate(async () => {
    const words = [localStorage, sessionStorage].map((s) => JSON.stringify(Object.entries(s)))
    const text = (v: unknown): unknown =>
      v instanceof ArrayBuffer || ArrayBuffer.isView(v)
        ? new TextDecoder().decode(v)
        : v && typeof v === 'object'
          ? Object.values(v).map(text)
          : v
    for (const { name = '' } of await indexedDB.databases()) {
      const db = await new Promise<IDBDatabase>((ok, no) => {
        const asked = indexedDB.open(name)
        asked.onsuccess = () => ok(asked.result)
        asked.onerror = () => no(asked.error ?? new Error('it does not open'))
      })
      for (const store of db.objectStoreNames) {
        const rows = await new Promise<unknown[]>((ok) => {
          const asked = db.transaction(store).objectStore(store).getAll()
          asked.onsuccess = () => ok(asked.result)
        })
        words.push(JSON.stringify(rows.map(text)))
      }
      db.close()
    }
    return words.join(' ')
  })
/** The shell is kept once the worker of the page is at work. */
const shellIsKept = (page: Page) =>
  page.evaluate(async () => {
    await navigator.serviceWorker.ready
    if (!navigator.serviceWorker.controller)
      await new Promise((ok) =>
        navigator.serviceWorker.addEventListener('controllerchange', ok, { once: true }),
      )
  })

const CODE = '4916'
/** A code for this device, so that a closed page opens again without a network. */
async function chooseCode(page: Page): Promise<void> {
  await page.goto(`${house.address}/me`)
  await page.getByLabel(/^Code of this device/).fill(CODE)
  await page.getByRole('button', { name: 'Save this code' }).click()
  await expect(page.getByText('This device opens by that code')).toBeVisible()
  await page.goto(`${house.address}/today`)
}
async function openByCode(page: Page): Promise<void> {
  await expect(page.getByRole('heading', { name: 'No network' })).toBeVisible()
  await page.getByLabel('Code of this device').fill(CODE)
  await page.getByRole('button', { name: 'Open', exact: true }).click()
}

/** Signs in and opens the table of the session that is cooking. @returns its id */
async function atTheTable(page: Page): Promise<string> {
  await signIn(page, house)
  await page
    .getByRole('link', { name: /Herb soda bread/ })
    .first()
    .click()
  await page.waitForURL(/session\//)
  const id = idOf(page)
  await page.goto(`${house.address}/session/${id}/cook`)
  await expect(done(page)).toBeVisible()
  await expect(page.getByText('all sent')).toBeVisible()
  return id
}

test('cooking begins without a network, survives a reload, and arrives whole', async ({ page, context }) => {
  await signIn(page, house)
  await shellIsKept(page)
  await chooseCode(page)
  await openBread(page)
  // A swap of that time is not saved, which is said; it is saved by itself afterwards.
  await context.setOffline(true)
  await swapTheMilk(page)
  await expect(page.getByText(/^Not saved: The server does not answer/)).toBeVisible()
  await page.getByRole('link', { name: 'Today' }).click()
  await openBread(page)
  await expect(page.getByRole('complementary').getByText(/Buttermilk lists/)).toHaveCount(0)
  await context.setOffline(false)
  await expect(page.getByText(/^Not saved/)).toHaveCount(0)
  await page.reload()
  const cook = page.getByRole('button', { name: 'Cook', exact: true })
  await expect(cook).toBeEnabled()
  const id = idOf(page)

  await context.setOffline(true)
  await cook.click()
  await expect(page.getByRole('heading', { name: 'Wash hands' })).toBeVisible()
  await expect(page.getByText(/begun without a network at \d\d:\d\d: \d+ kept here/)).toBeVisible()
  const first = await done(page).textContent()
  await done(page).click()
  await expect(done(page)).not.toHaveText(first ?? '')
  await page.getByRole('button', { name: 'next step' }).click()
  await passGates(page)
  await done(page).click()
  const stands = await done(page).textContent()

  // A reload without a network: nothing of the children before the code; then the same step, the same turn.
  await page.reload()
  await expect(page.getByLabel('Code of this device')).toBeVisible()
  await page.getByLabel('Code of this device').fill('4917')
  await page.getByRole('button', { name: 'Open', exact: true }).click()
  await expect(page.getByText('That is not the code. 4 tries are left.')).toBeVisible()
  expect(await everythingKept(page)).not.toContain('Maren')
  await openByCode(page)
  await expect(done(page)).toHaveText(stands ?? '')
  await expect(page.getByText(/begun without a network/)).toBeVisible()
  // The diary too is there, and says what it is.
  await page.goto(`${house.address}/today`)
  await openByCode(page)
  await expect(page.getByText(/No network\./)).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Today', level: 1 })).toBeVisible()
  await page.goto(`${house.address}/session/${id}/cook`)
  await openByCode(page)
  await expect(done(page)).toHaveText(stands ?? '')

  await context.setOffline(false)
  await expect(page.getByText('all sent')).toBeVisible()
  await expect(done(page)).toHaveText(stands ?? '')
  const { events } = await eventsOf(page, id)
  expect(events.map((e) => e.kind)).toEqual(['begin', 'turn', 'step', 'gate', 'gate', 'gate', 'turn'])
  expect(new Set(events.map((e) => e.id)).size).toBe(events.length)
})

test('three hundred taps without a network are all there after, once', async ({ page, context }) => {
  test.setTimeout(120_000 + MINUTES * 60_000)
  const id = await atTheTable(page)
  await shellIsKept(page)
  const before = (await eventsOf(page, id)).events.length
  await context.setOffline(true)
  // Done and taken back, a hundred and fifty times, each once the one before is on the screen.
  await page.evaluate(
    async (pause) => {
      const frame = () => new Promise((ok) => requestAnimationFrame(ok))
      const button = (words: RegExp) =>
        [...document.querySelectorAll('button')].find((b) => words.test(b.textContent) && !b.disabled)
      const kept = (n: number) => document.body.textContent.includes(`${n} kept on this device`)
      for (let n = 1; n <= 300; n++) {
        const words = n % 2 === 1 ? /^\s*done:/i : /^\s*undo/i
        while (!button(words)) await frame()
        button(words)?.click()
        while (!kept(n)) await frame()
        if (pause > 0) await new Promise((ok) => setTimeout(ok, pause))
      }
    },
    (MINUTES * 60_000) / 300,
  )
  await expect(page.getByText(/300 kept on this device/)).toBeVisible()
  // Without a code nothing opens, nothing of the children is there to read, and no tap is lost.
  await page.reload()
  await expect(page.getByText(/this device has no code/)).toBeVisible()
  expect(await everythingKept(page)).not.toContain('Maren')
  await context.setOffline(false)
  await page.goto(`${house.address}/session/${id}/cook`)
  await expect(page.getByText('all sent')).toBeVisible()
  const { events } = await eventsOf(page, id)
  expect(events.length).toBe(before + 300)
  expect(events.slice(before).filter((e) => e.kind === 'turn').length).toBe(150)
  expect(new Set(events.map((e) => e.id)).size).toBe(events.length)
})

test('one tap that the server does not take holds up no other', async ({ page, context }) => {
  const id = await atTheTable(page)
  await context.setOffline(true)
  await page.evaluate(async (session) => {
    const open = indexedDB.open('lea-table')
    await new Promise((ok) => (open.onsuccess = ok))
    const event = {
      id: 'a5d3e0c2-7c0a-4a55-8f0f-1c9b6f1d2e33',
      device: 'this one',
      lamport: 1,
      at: new Date().toISOString(),
      kind: 'timer',
      body: { name: 'Nonsense', seconds: -5 },
    }
    const tx = open.result.transaction('waiting', 'readwrite')
    tx.objectStore('waiting').put({ session, event })
    await new Promise((ok) => (tx.oncomplete = ok))
    open.result.close()
  }, id)
  const before = await done(page).textContent()
  await done(page).click()
  await expect(page.getByText(/kept on this device/).first()).toBeVisible()
  await context.setOffline(false)
  // The tap goes through; the other one is kept apart, and is said.
  await expect(page.getByText('all sent')).toBeVisible()
  await expect(page.getByText(/Seconds must be at least 1/)).toBeVisible()
  await expect.poll(async () => (await eventsOf(page, id)).events.at(-1)?.kind).toBe('turn')
  expect(before).not.toBe('')
})

test('a timer rings after a reload until it is seen, and two run side by side', async ({ page }) => {
  const id = await atTheTable(page)
  // Another device has set one that was due a minute ago.
  await page.evaluate(async (session) => {
    const event = {
      id: '7b0a9d5e-5f0e-4a53-9d0b-0d5b5f8f2a11',
      device: 'another tablet',
      lamport: 5000,
      at: new Date(Date.now() - 120_000).toISOString(),
      kind: 'timer',
      body: { name: 'Oven is hot', seconds: 60 },
    }
    await fetch(`/api/sessions/${session}/events`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ events: [event] }),
    })
  }, id)
  const ringing = page.getByRole('button', { name: /Oven is hot is due: seen/ })
  await expect(ringing).toBeVisible()
  await page.getByRole('button', { name: 'Timer', exact: true }).click()
  await page.getByRole('button', { name: '10 min', exact: true }).click()
  const other = page.getByRole('button', { name: /, (09|10):\d\d left; end it/ })
  await expect(other).toBeVisible()
  await page.reload()
  await expect(ringing).toBeVisible()
  await expect(other).toBeVisible()
  await ringing.click()
  await expect(ringing).toHaveCount(0)
  // Taken back, it rings again.
  await page.getByRole('button', { name: 'undo' }).click()
  await expect(ringing).toBeVisible()
})
