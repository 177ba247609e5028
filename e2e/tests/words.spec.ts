/** Nothing named vanishes: a food that nobody knows is settled once, a packet is signed word by word, and a family's own words are read. */
import { expect, type Page } from '@playwright/test'
import { test } from '../clock'
import { TestServer, openFinding, openPart, signIn } from '../test-server'

let house: TestServer
test.beforeAll(async () => {
  house = await TestServer.open()
})
test.afterAll(() => house.close())

const SAVOURY = `LEEK OAT CUPS

You will need
150 g plain flour
100 g rolled oats
1 tsp baking powder
2 tbsp walnut praline crumb
200 ml oat drink

What to do
Wash your hands.
Scoop the flour, oats and baking powder into the bowl.
Stir in the oat drink and the walnut praline crumb.
An adult bakes them for 20 minutes at 180 C.`

test('a line with a food that Lea does not know is asked, and settled for the setting', async ({ page }) => {
  await signIn(page, house)
  await page.goto(`${house.address}/recipes/read`)
  await page.getByLabel('The recipe', { exact: true }).fill(SAVOURY)
  await page.getByRole('button', { name: 'Read the recipe' }).click()
  const question = page.getByRole('group', { name: /does not know “walnut praline crumb”/ })
  await expect(question).toBeVisible()
  // What its words name is offered, and never taken.
  await expect(question.getByRole('button', { name: /It is walnuts/ })).toBeVisible()
  await question.getByRole('button', { name: 'Say what it is' }).click()
  const dialog = page.getByRole('dialog', { name: 'What is walnut praline crumb?' })
  await expect(dialog.getByText(/Its name says: .*walnut/)).toBeVisible()
  await dialog.getByRole('button', { name: 'Save it' }).click()
  await expect(dialog.getByText(/Its shape is missing/)).toBeVisible()
  await dialog
    .getByLabel('The words of its packet')
    .fill('Walnuts, sugar, skimmed MILK powder. May contain soya.')
  await expect(dialog.getByText(/Lists/)).toBeVisible()
  await dialog.getByLabel('hard or crisp when it is eaten').check()
  await dialog.getByLabel('In the recipe').selectOption({ label: 'it goes on top' })
  await dialog.getByRole('button', { name: 'Save it' }).click()
  await expect(dialog).toHaveCount(0)
  await expect(page.getByText(/does not know “walnut praline crumb”/)).toHaveCount(0)
  // It is a food of the setting now, with what its packet lists.
  await page.getByRole('link', { name: 'Cupboard', exact: true }).click()
  await openPart(page, 'Foods')
  await page
    .getByRole('region', { name: /^Foods/ })
    .getByLabel('Find')
    .fill('praline crumb')
  const row = page.getByRole('list', { name: 'Foods' }).getByRole('listitem')
  await expect(row).toContainText(/holds .*milk.*walnut|holds .*walnut.*milk/)
  await expect(row).toContainText(/may hold soya/)
})

/** Sunflower seeds take the place of sesame, and their packet is to be read. */
async function openPacketOfSeeds(page: Page): Promise<void> {
  await page
    .getByRole('link', { name: /Couscous picnic jars/ })
    .first()
    .click()
  await page.getByRole('link', { name: 'check', exact: true }).click()
  const sesame = await openFinding(page, /Sesame seeds lists sesame/)
  await sesame.getByRole('button', { name: /Sunflower seeds for everyone/ }).click()
  const seeds = await openFinding(page, /Sunflower seeds may contain sesame/)
  await seeds.getByRole('button', { name: /Read the packet/ }).click()
}

test('nothing is signed before the words of the packet were read: what was not read yet lists nothing', async ({
  page,
}) => {
  await signIn(page, house, 'tomasz')
  const packet = {
    food: 'sunflower-seeds',
    name: 'Slow seeds',
    label: 'Sunflower seeds, milk powder',
    simulated: false,
  }
  const made = await page.request.post(`${house.address}/api/packets`, {
    data: packet,
    headers: { origin: house.address },
  })
  expect(made.ok(), await made.text()).toBe(true)
  // The reader of words is slow to come, as on an old tablet.
  let release = (): void => undefined
  const held = new Promise<void>((done) => (release = done))
  await page.route(/reader\.worker/, async (route) => {
    await held
    await route.continue()
  })
  await page.goto(`${house.address}/today`)
  await openPacketOfSeeds(page)
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('The packet in your hand').selectOption({ label: 'Slow seeds' })
  await dialog.getByLabel('Read aloud by').selectOption({ label: 'Tomasz Reil' })
  await dialog.getByLabel('Read along by').selectOption({ label: 'Farida Quill' })
  const sign = dialog.getByRole('button', { name: 'We read it today' })
  await expect(dialog.getByText('Reading the words …').last()).toBeVisible()
  await expect(sign).toBeDisabled()
  release()
  await expect(sign).toBeEnabled()
  await expect(dialog.getByLabel('milk: lists it')).toBeChecked()
  await page.keyboard.press('Escape')
  await page.getByRole('complementary').getByRole('button', { name: /^Undo/ }).click()
  await expect(page.getByRole('complementary').getByText(/Sesame seeds lists sesame/)).toHaveCount(1)
})

test('a reader of words that never comes is said so, and nothing is kept; the next try begins anew', async ({
  page,
}) => {
  await signIn(page, house, 'tomasz')
  await page.goto(`${house.address}/cupboard?part=foods`)
  let away = true
  await page.route(/reader\.worker/, (route) => (away ? new Promise(() => undefined) : route.continue()))
  await page.reload()
  await page.getByRole('button', { name: /Add a food/ }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Name', { exact: true }).fill('Harbour crumb')
  await dialog.getByLabel('The words of its packet').fill('Oats, hazelnut paste')
  await dialog.getByLabel(/none of these: soft/).check()
  await dialog.getByRole('button', { name: 'Save it' }).click()
  await expect(dialog.getByText(/could not be read. The reader of words does not answer/)).toBeVisible()
  away = false
  await dialog.getByRole('button', { name: 'Save it' }).click()
  await expect(dialog).toHaveCount(0)
  await page
    .getByRole('region', { name: /^Foods/ })
    .getByLabel('Find')
    .fill('harbour crumb')
  await expect(page.getByRole('list', { name: 'Foods' }).getByRole('listitem')).toContainText(
    /holds .*hazelnut/,
  )
})

test('a packet of hard structures is signed with an answer for each open word', async ({ page }) => {
  await signIn(page, house, 'tomasz')
  await openPacketOfSeeds(page)
  const dialog = page.getByRole('dialog').first()
  await dialog.getByRole('button', { name: 'Put in its words' }).click()
  const form = page.getByRole('dialog', { name: 'A packet' })
  await form.getByLabel('Name on the packet').fill('Estuary seed mix, 100 g')
  await form
    .getByLabel('All words of the label')
    .fill(
      'Sunflower seeds, flavouring, flurbinate.\nContains: soya/milk\nNo added sugar • Suitable for vegans',
    )
  await form.getByRole('button', { name: 'Save this packet' }).click()
  await expect(form).toHaveCount(0)
  await expect(dialog.getByText('Each of these words needs an answer')).toBeVisible()
  await expect(dialog.getByLabel('milk: lists it')).toBeChecked()
  await dialog.getByLabel('Read aloud by').selectOption({ label: 'Tomasz Reil' })
  await dialog.getByLabel('Read along by').selectOption({ label: 'Farida Quill' })
  await dialog.getByRole('button', { name: 'We read it today' }).click()
  await expect(dialog.getByRole('alert')).toContainText(/needs an answer/)
  for (const word of ['flavouring', 'flurbinate'])
    await dialog
      .getByRole('listitem')
      .filter({ hasText: `“${word}”` })
      .getByLabel(/holds none of what is avoided here/)
      .check()
  await dialog.getByRole('button', { name: 'We read it today' }).click()
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await expect(page.getByRole('main')).toContainText(/lists .*soya.*milk|lists .*milk.*soya/)
})

test('a card in Polish, and one with the letters of a clinic, say what they are read as', async ({
  page,
}) => {
  await signIn(page, house)
  await page.getByRole('link', { name: 'Children', exact: true }).click()
  await page.getByRole('button', { name: 'Add a child' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Nickname').fill('Dilwyn')
  await dialog.getByLabel('Birth month').fill('2022-05')
  const write = async (words: string): Promise<void> => {
    await dialog.getByRole('button', { name: 'Add an allergy' }).click()
    await dialog.getByLabel('To what').last().fill(words)
  }
  await write('uczulenie na orzechy i mleko krowie')
  await expect(dialog.getByText(/read as .*milk/)).toContainText(/nuts.*milk|milk.*nuts/)
  await write('CMPA')
  await expect(dialog.getByText(/“CMPA”: read as milk\./)).toBeVisible()
  await write('citrus but lemon ok')
  await expect(
    dialog.getByText(/“citrus but lemon ok”: read as citrus fruit; the family excepts lemon/),
  ).toBeVisible()
  await dialog.getByRole('button', { name: 'Save' }).click()
  await expect(dialog).toHaveCount(0)
  await expect(page.getByText('Dilwyn').first()).toBeVisible()
})

test('a US setting reads its own words and dates on every page, list and paper', async ({ page }) => {
  test.setTimeout(120_000)
  await signIn(page, house)
  const answer = await page.evaluate(async () => {
    const now = (await (await fetch('/api/setting')).json()) as {
      rules: object
      versions: { rules: number }
    }
    const rules = { ...now.rules, country: 'us', nation: 'united-states' }
    const headers = { 'content-type': 'application/json', 'x-lea-page': 'test' }
    const body = JSON.stringify({ version: now.versions.rules, rules })
    return (await fetch('/api/setting/rules', { method: 'PUT', headers, body })).status
  })
  expect(answer).toBe(200)
  await page.goto(`${house.address}/today`)
  const bread = page.getByRole('link', { name: /Herb soda bread/ }).first()
  const weave = (await bread.getAttribute('href')) ?? ''
  const session = ['weave', 'check', 'amounts', 'jobs', 'ready', 'run'].map((v) => weave.replace('weave', v))
  const places = ['/today', '/recipes', '/children', '/record', '/setting', ...session]
  for (const path of [...places, ...['measures', 'stock', 'foods'].map((p) => `/cupboard?part=${p}`)]) {
    await page.goto(house.address + path)
    await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible()
    await expect(page.getByText(/^(Opening|Laying out|Reading)/)).toHaveCount(0)
    await expect(page.locator('html')).toHaveAttribute('lang', 'en-US')
    const british = await page.evaluate(() => {
      const found: string[] = []
      const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
      const words =
        /\b(soya|yoghurt|beetroot|courgettes?|aubergine|sulphites?|plain flour|caster sugar|bicarbonate|tinned|hob|cornflour|\d{1,2} (?:October|November|December))\b/
      while (walk.nextNode()) {
        const text = walk.currentNode.textContent ?? ''
        if (words.test(text)) found.push(text.trim().slice(0, 60))
      }
      return found
    })
    expect(british, path).toEqual([])
  }
  await page.goto(`${house.address}/cupboard?part=foods`)
  await page.getByLabel('Find').fill('zucchini')
  await expect(page.getByRole('list', { name: 'Foods' })).toContainText('zucchini')
})
