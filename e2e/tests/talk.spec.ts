/** Talk on paper and on the screen: right-to-left words with shipped fonts, word cards, the rule of the house. */
import { expect, type Page } from '@playwright/test'
import { test, today } from '../clock'
import { TestServer, openBread, settleAll, signIn, startCooking } from '../test-server'

let house: TestServer
test.beforeAll(async () => {
  house = await TestServer.open()
})
test.afterAll(() => house.close())

test('word cards print: each word once, Arabic runs right to left in the shipped font', async ({ page }) => {
  await signIn(page, house)
  await openBread(page)
  await page.getByRole('link', { name: 'talk' }).click()
  await page.getByRole('link', { name: 'Word cards' }).click()
  await expect(page.getByRole('heading', { name: 'Word cards' })).toBeVisible()
  const words = await page.getByRole('heading', { level: 2 }).allTextContents()
  expect(words.length).toBeGreaterThan(5)
  expect(new Set(words).size).toBe(words.length)
  const arabic = page.locator('bdi[lang="ar"]').first()
  await expect(arabic).toHaveAttribute('dir', 'rtl')
  await expect(arabic).toHaveText(/[\u0600-\u06ff]/)
  expect(await page.evaluate(() => document.fonts.check('20px "Noto Naskh Arabic Variable"', 'طحين'))).toBe(
    true,
  )
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('heading', { name: 'Word cards' })).toBeHidden()
  await expect(arabic).toBeVisible()
  expect((await page.pdf({ format: 'A4' })).byteLength).toBeGreaterThan(20_000)
})

test('the talk sheet holds every step; a house that comments more begins one level down', async ({
  page,
}) => {
  await signIn(page, house)
  await openBread(page)
  await page.getByRole('link', { name: 'talk' }).click()
  await page.getByRole('link', { name: 'Talk sheet' }).click()
  await expect(page.getByRole('region')).toHaveCount(7)
  const sheet = page.url()
  const pour = page.getByRole('region', { name: 'Pour and stir' })
  const begun = (await pour.locator('th.font-bold').first().textContent())?.trim()
  await page.getByRole('link', { name: 'Setting' }).click()
  await page.getByLabel('Talk', { exact: false }).last().selectOption('comment')
  await page.getByRole('button', { name: 'Save the rules' }).click()
  await expect(page.getByText('House rules saved.')).toBeVisible()
  await page.goto(sheet)
  await expect(pour).toBeVisible()
  const order = ['show and say', 'choice of two', 'focused', 'open']
  const now = (await pour.locator('th.font-bold').first().textContent())?.trim()
  expect(order.indexOf(now ?? '')).toBeLessThan(order.indexOf(begun ?? ''))
})

/** A session of four guests at the library, made through the door; what is looked at is the page. */
async function guestsFor(page: Page, months: number[], languages: string[] = []): Promise<string> {
  const recipes = (await (await page.request.get(house.address + '/api/recipes')).json()) as {
    id: string
    recipe: { id: string }
  }[]
  const setting = (await (await page.request.get(house.address + '/api/setting')).json()) as {
    adults: { id: string }[]
  }
  const day = today()
  const answer = await page.request.post(house.address + '/api/sessions', {
    headers: { origin: house.address },
    data: {
      date: day,
      start: '10:15',
      recipe: recipes.find((r) => r.recipe.id === 'overnight-oats-pear')?.id,
      children: [],
      guests: months.map((m, i) => ({
        id: `guest-${i}`,
        nickname: `Guest ${i}`,
        months: m,
        concerns: [],
        diets: [],
        languages: i === 0 ? languages : [],
        needs: [],
      })),
      adults: setting.adults.map((a) => a.id),
      seats: [],
    },
  })
  expect(answer.status()).toBe(201)
  return ((await answer.json()) as { id: string }).id
}
const questions = async (page: Page): Promise<string[]> =>
  (await page.getByRole('article').getByRole('listitem').allTextContents()).filter((t) => t.includes('“'))

test('the same recipe asks threes and nines different things, both right; a question steps down twice', async ({
  page,
}) => {
  await signIn(page, house, 'tomasz')
  const young = await guestsFor(page, [37, 39, 42, 45])
  await page.goto(`${house.address}/session/${young}/talk`)
  await expect(page.getByRole('article').first()).toBeVisible()
  const threes = await questions(page)
  const old = await guestsFor(page, [109, 112, 115, 118])
  await page.goto(`${house.address}/session/${old}/talk`)
  await expect(page.getByRole('article').first()).toBeVisible()
  const nines = await questions(page)
  expect(threes.length).toBeGreaterThan(3)
  expect(nines.length).toBeGreaterThan(3)
  const words = (t: string): string => /“(.*)”/.exec(t)?.[1] ?? ''
  for (const q of nines) expect(threes.map(words)).not.toContain(words(q))
  expect(nines.some((q) => q.includes('open'))).toBe(true)
  expect(threes.some((q) => q.includes('open'))).toBe(false)

  // The idea of a step is changed to its scoops, and the question then is the arithmetic of this very bowl.
  const oats = page.getByRole('article', { name: 'Scoop the oats' })
  await oats.getByRole('combobox').first().selectOption({ label: 'scoops of rolled oats' })
  await oats.getByLabel(/^Ask in .* also$/).selectOption({ index: 1 })
  await expect(oats.getByRole('button', { name: 'easier, harder' }).first()).toBeVisible()
  // Each row is opened in turn; a better plan that comes meanwhile may lay the rows anew.
  const scoops = oats.locator('dd', { hasText: 'How many scoops of' })
  await expect
    .poll(async () => {
      const more = oats.getByRole('button', { name: 'easier, harder' }).first()
      if ((await scoops.count()) === 0) await more.click({ timeout: 2000 }).catch(() => undefined)
      return scoops.count()
    })
    .toBeGreaterThan(0)
  const line = await scoops.first().textContent()
  const [, size, whole, n] = /scoops of (\S+) cup make (.+?) cups?\?.*” (\d+) scoops?/.exec(line ?? '') ?? []
  const value = (text: string): number =>
    text.split(' ').reduce((sum, part) => {
      const [a = 0, b = 1] = part.normalize('NFKD').replace('\u2044', '/').split('/').map(Number)
      return sum + a / b
    }, 0)
  expect(value(size ?? '') * Number(n), line ?? '').toBeCloseTo(value(whole ?? '0'), 9)

  await settleAll(page, 'Tomasz Reil', 'Farida Quill')
  // At the table: simpler, simpler, and noted with one tap.
  await startCooking(page)
  const say = page.getByRole('region', { name: 'Say' })
  const order = ['show and say', 'choice of two', 'focused', 'open']
  const level = async (): Promise<number> => {
    const text = (await say.getByRole('heading').textContent()) ?? ''
    return order.findIndex((l) => text.includes(l))
  }
  while (await say.getByRole('button', { name: 'harder' }).isEnabled())
    await say.getByRole('button', { name: 'harder' }).click()
  expect(await level()).toBe(3)
  const seen = [await level()]
  while (await say.getByRole('button', { name: 'simpler' }).isEnabled()) {
    await say.getByRole('button', { name: 'simpler' }).click()
    seen.push(await level())
  }
  expect(seen).toEqual([...seen].sort((a, b) => b - a))
  expect(new Set(seen).size).toBeGreaterThanOrEqual(3)
  expect(seen.at(-1)).toBe(0)
  await say.getByRole('button', { name: 'with help' }).click()
  await expect(say.getByRole('button', { name: 'with help' })).toHaveAttribute('aria-pressed', 'true')
  await say.getByRole('button', { name: 'said it' }).click()
  await expect(say.getByRole('button', { name: 'with help' })).toHaveAttribute('aria-pressed', 'false')
  await expect(page.getByText('all sent')).toBeVisible()
  await page.reload()
  await expect(say.getByRole('button', { name: 'said it' })).toBeVisible()
})

test('Arabic and Urdu run right to left in shipped fonts; a family’s own word stands over Lea’s', async ({
  page,
}) => {
  await signIn(page, house, 'tomasz')
  await page.getByRole('link', { name: 'Setting' }).click()
  const words = page.getByRole('region', { name: 'Words of home' })
  await words.getByRole('combobox').selectOption({ label: 'oats (food)' })
  await words.getByLabel('Language, as a code').fill('so')
  await words.getByLabel('The word').fill('heed')
  await words.getByLabel('a speaker checked it').check()
  await words.getByRole('button', { name: 'Keep the word' }).click()
  await expect(words.getByText('Kept.')).toBeVisible()
  await words.getByLabel('Read a file').setInputFiles({
    name: 'words.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('id,language,word\nmilk,nowhere-land,x\n'),
  })
  await expect(words.getByText('line 2:')).toBeVisible()

  const id = await guestsFor(page, [50, 55, 60, 65], ['ar', 'ur', 'so'])
  await page.goto(`${house.address}/session/${id}/words`)
  await expect(page.getByText('heed')).toBeVisible()
  for (const language of ['ar', 'ur']) {
    const word = page.locator(`bdi[lang="${language}"]`).first()
    await expect(word).toHaveAttribute('dir', 'rtl')
    await expect(word).toHaveText(/[\u0600-\u06ff]/)
    expect(await word.evaluate((e) => getComputedStyle(e).direction)).toBe('rtl')
  }
  await page.evaluate(() => document.fonts.ready)
  expect(
    await page.evaluate(() =>
      [...document.fonts].some((f) => f.family.includes('Noto Naskh Arabic') && f.status === 'loaded'),
    ),
  ).toBe(true)
})

test('a leader changes the talk: quiet here, own words there, and what is not covered is said', async ({
  page,
}) => {
  await signIn(page, house)
  await openBread(page)
  await page.getByRole('link', { name: 'talk' }).click()
  const fill = page.getByRole('article', { name: 'Fill the flour' })
  await fill.getByRole('button', { name: 'No questions here' }).click()
  await expect(fill.getByText('Nobody is asked here')).toBeVisible()
  await fill.getByRole('button', { name: 'Your own words' }).click()
  await fill.getByLabel('What to say').fill('Who can hear the flour fall?')
  await fill.getByRole('button', { name: 'Keep it' }).click()
  await expect(fill.getByText('Who can hear the flour fall?')).toBeVisible()
  await page.reload()
  await expect(fill.getByText('Who can hear the flour fall?')).toBeVisible()
  await fill.getByRole('button', { name: 'take out' }).click()
  await expect(fill.getByText('Who can hear the flour fall?')).toHaveCount(0)
  await fill.getByRole('button', { name: 'Ask here again' }).click()
  const table = page.getByRole('region', { name: 'Targets by child' })
  await expect(table.getByRole('row')).not.toHaveCount(1)
  await expect(table.getByText('this week').first()).toBeVisible()
})
