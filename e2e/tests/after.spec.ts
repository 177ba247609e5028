/** A cold probe is refused; what happened is seen by the owner; finish, record, family sheet as PDF and letter, and the next plan knows. */
import { expect, type Page } from '@playwright/test'
import { test, newContext, today } from '../clock'
import { TestServer, openBread, signIn } from '../test-server'
import { looksRight } from '../looks'

test.describe.configure({ mode: 'serial' })
let house: TestServer
let page: Page
let id = ''
test.beforeAll(async ({ browser }) => {
  house = await TestServer.open()
  page = await (await newContext(browser)).newPage()
  await signIn(page, house)
})
test.afterAll(async () => {
  await page.close()
  await house.close()
})

interface Row {
  id: string
  nickname: string
  concerns: unknown[]
  diets: unknown[]
}
/** The chicken broth for three children, cooked as far as the end of its heat. */
const brothToTheEndOfHeat = (): Promise<string> =>
  page.evaluate(async () => {
    const get = async (path: string) => (await fetch(`/api${path}`)).json()
    const send = async (path: string, body: object) =>
      (
        await fetch(`/api${path}`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify(body),
        })
      ).json()
    const [setting, children, recipes] = await Promise.all([
      get('/setting'),
      get('/children'),
      get('/recipes'),
    ])
    const recipe = recipes.find((r: { recipe: { title: string } }) => /broth/.test(r.recipe.title))
    const kids = (children as Row[])
      .filter((c) => c.concerns.length === 0 && c.diets.length === 0)
      .slice(0, 3)
    const { id: session } = await send('/sessions', {
      date: new Date().toISOString().slice(0, 10),
      start: '10:15',
      recipe: recipe.id,
      children: kids.map((k) => k.id),
      guests: [],
      adults: setting.adults.map((a: { id: string }) => a.id),
      seats: [],
    })
    const { plan } = await send(`/sessions/${session}/cook`, {})
    const steps = plan.schedule.map((s: { step: string }) => s.step) as string[]
    const step = steps[steps.indexOf(plan.probes[0].after) + 1]
    const by = setting.adults.slice(0, 2).map((a: { id: string }) => a.id)
    const foods = [
      ...new Set(plan.bowls.flatMap((b: { lines: { name: string }[] }) => b.lines.map((l) => l.name))),
    ]
    let lamport = 0
    const event = (kind: string, body: object) => ({
      id: crypto.randomUUID(),
      device: 'another tablet',
      lamport: ++lamport,
      at: new Date().toISOString(),
      kind,
      body,
    })
    await send(`/sessions/${session}/events`, {
      events: [
        event('begin', {}),
        event('gate', { gate: 'hands', by: by.slice(0, 1) }),
        event('gate', { gate: 'packets', by, foods }),
        event('step', { step }),
      ],
    })
    return session as string
  })
const play = (change: object) =>
  page.evaluate(async (body) => {
    await fetch('/api/devices/play', {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    })
  }, change)

test('a cold chicken is refused, hot and held it is let through', async () => {
  id = await brothToTheEndOfHeat()
  await play({ core: 45, probe: 'well' })
  await page.goto(`${house.address}/session/${id}/cook`)
  await expect(
    page.getByRole('heading', { name: /Measure chicken breast before anybody eats/ }),
  ).toBeVisible()
  await expect(page.getByText(/Not cooked through: it has to reach 70 °C/)).toBeVisible()
  await looksRight(page)
  // Nobody has said who holds the probe.
  await page.getByRole('button', { name: 'take this reading' }).click()
  await expect(page.getByRole('alert')).toHaveText(/Who holds the probe/)
  await page
    .getByRole('group', { name: 'Who holds the probe' })
    .getByRole('button', { name: 'Petra Vance' })
    .click()
  await page.getByRole('button', { name: 'take this reading' }).click()
  await expect(page.getByRole('list', { name: 'Readings so far' }).getByRole('listitem')).toHaveCount(1)
  await expect(page.getByRole('heading', { name: /Measure chicken breast/ })).toBeVisible()
  // A probe that does not answer, and one that talks nonsense, are said to.
  await play({ probe: 'silent' })
  await expect(page.getByText(/The probe is silent/)).toBeVisible()
  await play({ probe: 'absurd' })
  await expect(page.getByText(/The probe says 512 °C: no food is so/)).toBeVisible()
  await play({ core: 96, probe: 'well' })
  await expect(page.getByText('Cooked through, by this reading.')).toBeVisible()
  await page.getByRole('button', { name: 'take this reading' }).click()
  await expect(page.getByRole('heading', { name: /Measure chicken breast/ })).toHaveCount(0)
})

test('a note on a mat, and something that happened', async () => {
  await expect(page.getByRole('button', { name: /^Done:/ })).toBeVisible()
  const mat = page
    .getByRole('region', { name: 'The table' })
    .getByRole('button', { name: /Pavel|Maren|Leocadia/ })
  const child = (await mat.first().textContent())?.trim().split(/\s+/)[0] ?? ''
  await mat.first().click()
  await expect(
    page.getByRole('dialog').getByRole('button', { name: child, exact: false }).first(),
  ).toHaveAttribute('aria-pressed', 'true')
  await page.getByRole('button', { name: 'Waited well' }).click()
  await page.getByRole('button', { name: 'note', exact: true }).click()
  await page.getByRole('button', { name: /Something happened/ }).click()
  const dialog = page.getByRole('dialog')
  await expect(
    dialog.getByText(/Still missing: what happened, who, what was done, who writes it/),
  ).toBeVisible()
  await looksRight(page)
  await dialog.getByRole('button', { name: 'bump or fall' }).click()
  await dialog.getByRole('button', { name: 'Maren' }).click()
  await dialog.getByLabel('What was done').fill('Cold cloth, sat with Gwenda.')
  await dialog.getByRole('button', { name: 'Gwenda Marsh' }).last().click()
  await dialog.getByRole('button', { name: 'Save it' }).click()
  await expect(dialog).toHaveCount(0)
})

test('finish, record, and the family', async () => {
  await page.goto(`${house.address}/session/${id}/finish`)
  await page
    .getByRole('group', { name: 'How was it for Maren' })
    .getByRole('button', { name: 'tried it' })
    .click()
  // All who have none yet at one tap; each is changed by itself afterwards, and who had one keeps it.
  const all = page.getByRole('group', { name: 'How was it for everybody' })
  await all.getByRole('button', { name: 'more please' }).click()
  await expect(all).toHaveCount(0)
  const pressed = page.getByRole('region', { name: 'Tastes' }).locator('[aria-pressed="true"]')
  await expect(pressed.filter({ hasText: 'tried it' })).toHaveCount(1)
  expect(await pressed.filter({ hasText: 'more please' }).count()).toBeGreaterThan(1)
  await page.getByRole('group', { name: 'Food' }).getByRole('button').first().click()
  await page
    .getByRole('region', { name: 'Tastes' })
    .getByRole('button', { name: /Maren.*not noted/ })
    .click()
  await page.getByLabel('How much is left').fill('2 bowls')
  await page.getByRole('button', { name: /^in the fridge, until/ }).click()
  await expect(page.getByRole('list', { name: 'Kept' })).toContainText('2 bowls in the fridge')
  const jobs = page.getByRole('region', { name: 'Clearing up' }).getByRole('button')
  await expect(jobs).toHaveCount(3)
  await jobs.first().click()
  await expect(jobs.first()).toBeDisabled()
  await looksRight(page)
  await page.getByLabel('What worked').fill('Warm soup on a cold day.')
  await page.getByRole('button', { name: 'Close the session' }).click()
  await expect(page).toHaveURL(/record\/sessions/)
  await expect(page.getByText(/chicken breast: [\d.]+ °C, held \d+ s, Petra Vance/).last()).toBeVisible()
  await expect(page.getByText('Done: Cold cloth, sat with Gwenda. (Gwenda Marsh)')).toBeVisible()
  await looksRight(page)
  // The owner sees it on the record's page until it was read.
  await page.goto(`${house.address}/record`)
  const unread = page.getByRole('alert')
  await expect(unread).toContainText('that the owner has not read yet')
  await page
    .getByText(/Something happened that/)
    .getByRole('link')
    .click()
  await page.getByRole('button', { name: 'I have read it' }).click()
  await expect(page.getByText('Read by Petra Vance')).toBeVisible()
  await page.goto(`${house.address}/record`)
  await expect(page.getByRole('heading', { name: 'Turns' })).toBeVisible()
  await expect(unread).toHaveCount(0)

  await page.goto(`${house.address}/record/sessions/${id}`)
  await page.getByRole('link', { name: 'Family sheet' }).click()
  await page.getByLabel('Of', { exact: true }).selectOption({ label: 'Maren' })
  await expect(page.getByText(/Maren’s hands|: tried it/).first()).toBeVisible()
  await looksRight(page)
  const link = await page.getByRole('link', { name: 'Open as PDF' }).getAttribute('href')
  const pdf = await page.request.get(`${house.address}${link ?? ''}`)
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-')
  await page.getByLabel('Letter to').fill('family@saltmere.example')
  await page.getByRole('button', { name: 'Save the letter as a file' }).click()
  await expect(page.getByText('The letter to family@saltmere.example lies in the outbox.')).toBeVisible()
  await page.goto(`${house.address}/setting/devices`)
  await expect(page.getByRole('link', { name: /\.eml$/ })).toHaveCount(1)
  await looksRight(page)
})

test('the next plan knows: the recipe was made today, and how it was liked', async () => {
  await page.goto(`${house.address}/recipes`)
  await expect(page.getByText(/\d+ of \d+ recipes|18 recipes/).first()).toBeVisible()
  const made = await page.evaluate(async () => {
    const rows = (await (await fetch('/api/recipes')).json()) as {
      recipe: { title: string }
      made?: { last: string; times: number; tried: number }
    }[]
    return rows.find((r) => /broth/.test(r.recipe.title))?.made
  })
  expect(made).toMatchObject({ last: today(), times: 1, tried: 1 })
})

test('what has not come round leads to a recipe that brings it; turns of earlier weeks stand beside the jobs', async () => {
  await page.goto(`${house.address}/record`)
  await page.getByRole('heading', { name: 'Not done yet' }).click()
  const round = page.getByRole('region', { name: 'Not done yet' })
  const link = round.getByRole('link').first()
  const title = (await link.textContent()) ?? ''
  await link.click()
  await expect(page.getByRole('heading', { level: 1, name: title })).toBeVisible()
  await page.goto(`${house.address}/today`)
  await openBread(page)
  await page.getByRole('link', { name: 'jobs' }).click()
  await page.getByRole('heading', { name: 'Turns, waits and fit' }).click()
  const fit = page.getByRole('region', { name: 'Turns, waits and fit' })
  await expect(
    fit.getByText(/in the last sessions \d jobs? (more|fewer) than the middle/).first(),
  ).toBeVisible()
  await page.getByText(/^Good to know: \d/).click()
  await expect(page.getByText(/Extra turns go to children who had fewer last time/).first()).toBeVisible()
})
