/** Talk on paper and on the screen: right-to-left words with shipped fonts, word cards, the rule of the house. */
import { expect, type Page } from '@playwright/test'
import { test, today } from '../clock'
import { TestServer, openBread, openTopic, settleAll, signIn, startCooking } from '../test-server'

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

test('the talk sheet holds every moment; a house that comments more asks less', async ({ page }) => {
  await signIn(page, house)
  await openBread(page)
  await page.getByRole('link', { name: 'talk' }).click()
  await page.getByRole('link', { name: 'Talk sheet' }).click()
  await expect(page.getByRole('region', { name: 'Pour and stir' })).toBeVisible()
  // Seven steps, and what is said before and after.
  await expect(page.getByRole('region')).toHaveCount(9)
  const asked = page.getByRole('rowheader', { name: /^ask/ })
  const before = await asked.count()
  const sheet = page.url()
  await page.getByRole('link', { name: 'Setting' }).click()
  await openTopic(page, 'House rules')
  await page.getByLabel('Talk', { exact: false }).last().selectOption('ask')
  await page.getByRole('button', { name: 'Save the rules' }).click()
  await expect(page.getByText('House rules saved.')).toBeVisible()
  await page.goto(sheet)
  await expect.poll(() => asked.count()).toBeGreaterThan(before)
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
const lines = (page: Page) => page.getByRole('article').getByRole('listitem')
const questions = async (page: Page): Promise<string[]> =>
  (await lines(page).filter({ hasText: /·/ }).allTextContents()).map((t) => t.trim())

test('the same recipe asks threes and nines different things; what is said can be changed, and asked more easily', async ({
  page,
}) => {
  await signIn(page, house, 'tomasz')
  const young = await guestsFor(page, [37, 39, 42, 45])
  await page.goto(`${house.address}/session/${young}/talk`)
  await expect(page.getByRole('article').first()).toBeVisible()
  await page.getByRole('button', { name: 'Open all' }).click()
  await expect(page.getByText('Sleeves up, aprons on')).toBeVisible()
  const threes = await questions(page)
  const old = await guestsFor(page, [109, 112, 115, 118])
  await page.goto(`${house.address}/session/${old}/talk`)
  await expect(page.getByRole('article').first()).toBeVisible()
  await page.getByRole('button', { name: 'Open all' }).click()
  const nines = await questions(page)
  expect(threes.length).toBeGreaterThan(3)
  expect(nines.length).toBeGreaterThan(3)
  const words = (t: string): string => /[A-Z][^→]*\?/.exec(t)?.[0] ?? ''
  expect(nines.filter((q) => threes.map(words).includes(words(q))).length).toBeLessThanOrEqual(2)

  // The idea of a step is changed to its scoops, and the question then is the arithmetic of this very bowl.
  const oats = page.getByRole('article', { name: 'Scoop the oats' })
  // What Lea has chosen stands first, under the same name: the last of that name is the choice by hand.
  const idea = oats.getByRole('combobox').first()
  const scoops = idea.locator('option', { hasText: 'scoops of rolled oats' }).last()
  await idea.selectOption(await scoops.getAttribute('value'))
  await expect(idea).toHaveValue(/scoop/)
  // The picture of the amount stands beside it.
  await expect(oats.getByRole('img', { name: /cups?$/ })).toBeVisible()
  // One line is changed for another: it does not come again.
  const line = oats
    .getByRole('listitem')
    .filter({ has: page.getByRole('button', { name: /^Another/ }) })
    .first()
  const was = ((await line.getByRole('button', { name: /^Another/ }).textContent()) ?? '')
    .replace(/.*instead of: /s, '')
    .trim()
  await line.getByRole('button', { name: /^Another/ }).click()
  await expect(oats.getByRole('button', { name: `Another instead of: ${was}` })).toHaveCount(0)

  await settleAll(page, 'Tomasz Reil', 'Farida Quill')
  // At the table: the question of a turn on its easier rungs, down to doing it together, and noted with one tap.
  await startCooking(page)
  const say = page.getByRole('region', { name: 'Say' })
  const easier = say.getByRole('button', { name: 'easier' })
  const another = say.getByRole('button', { name: 'another' })
  await expect
    .poll(async () => {
      if (await easier.isEnabled()) return true
      await another.click()
      return easier.isEnabled()
    })
    .toBe(true)
  const said = say.locator('[data-say]')
  const seen = new Set([await said.textContent()])
  while (await easier.isEnabled()) {
    await easier.click()
    seen.add(await said.textContent())
  }
  expect(seen.size).toBeGreaterThanOrEqual(3)
  await expect(say.getByRole('heading')).toContainText('together')
  await say.getByRole('button', { name: 'with help' }).click()
  await expect(say.getByRole('button', { name: 'with help' })).toHaveAttribute('aria-pressed', 'true')
  await say.getByRole('button', { name: 'said it' }).click()
  await expect(say.getByRole('button', { name: 'with help' })).toHaveAttribute('aria-pressed', 'false')
  await expect(page.getByText('all sent')).toBeVisible()
})

test('the washing song runs twenty seconds; a guess is taken at the table and looked at again for home', async ({
  page,
}) => {
  await signIn(page, house, 'tomasz')
  const id = await guestsFor(page, [62, 64, 66, 68])
  await page.goto(`${house.address}/session/${id}/weave`)
  await settleAll(page, 'Tomasz Reil', 'Farida Quill')
  await startCooking(page)
  const say = page.getByRole('region', { name: 'Say' })
  const sing = say.getByRole('button', { name: 'sing for 20 seconds' })
  await expect
    .poll(async () => {
      if ((await sing.count()) > 0) return true
      await say.getByRole('button', { name: 'another' }).click()
      return (await sing.count()) > 0
    })
    .toBe(true)
  await expect(say.getByText('Palm on palm')).toBeVisible()
  const begun = Date.now()
  await sing.click()
  await expect(say.locator('[aria-current="step"]')).toContainText('Palm on palm')
  await expect(say.getByText('Twenty seconds: rinse and dry.')).toBeVisible({ timeout: 30_000 })
  expect(Date.now() - begun).toBeGreaterThanOrEqual(19_500)

  // A guess of the session, as the script has it, is taken by mat and option.
  await page.getByRole('button', { name: 'next step' }).click()
  const who = say.getByRole('group', { name: 'Who guesses' })
  for (let step = 0; step < 8 && (await who.count()) === 0; step++) {
    for (let n = 0; n < 6 && (await who.count()) === 0; n++) {
      const more = say.getByRole('button', { name: 'another' })
      if (!(await more.isEnabled())) break
      await more.click()
    }
    if ((await who.count()) > 0) break
    await page.getByRole('button', { name: 'next step' }).click()
  }
  const options = say.getByRole('group', { name: 'What it guesses' }).getByRole('button')
  const guessed = (await options.first().textContent())?.trim() ?? ''
  for (let i = 0; i < 4; i++) await options.first().click()
  await expect(say.getByText('Everybody has guessed.')).toBeVisible()
  await expect(page.getByText('all sent')).toBeVisible()

  await page.goto(`${house.address}/session/${id}/finish`)
  const back = page.getByRole('region', { name: 'Looking back' })
  const truth = back.getByRole('group', { name: /^What it was/ }).getByRole('button')
  await truth.last().click()
  const really = (await truth.last().textContent())?.trim() ?? ''
  await expect(
    back.getByText(new RegExp(`You said ${guessed}\\. It \\w+ ${really}\\.`)).first(),
  ).toBeVisible()
  await back.getByLabel('In its words').fill('The oats drank all the milk.')
  await back.getByRole('button', { name: 'Save it' }).click()
  await expect(back.getByText('The oats drank all the milk.')).toBeVisible()
  await page.getByRole('link', { name: 'For the family' }).click()
  await page.getByLabel('Of', { exact: true }).selectOption({ label: 'Guest 0' })
  const sheet = page.getByRole('article', { name: 'The sheet' })
  await expect(sheet.getByText(`You said ${guessed}.`)).toBeVisible()
  await expect(sheet.getByText('The oats drank all the milk.')).toBeVisible()
})

test('the children’s screen follows the table in pictures, without a name, and leads back', async ({
  page,
}) => {
  await signIn(page, house, 'tomasz')
  const id = await guestsFor(page, [50, 55, 60, 65])
  await page.goto(`${house.address}/session/${id}/weave`)
  await settleAll(page, 'Tomasz Reil', 'Farida Quill')
  await startCooking(page)
  await page.getByRole('link', { name: 'for the children' }).click()
  await expect(page.locator('[data-moment="wash"]')).toBeVisible()
  await expect(page.getByRole('progressbar')).toBeVisible()
  await expect(page.getByRole('main')).not.toContainText('Guest')
  await page.getByRole('link', { name: 'Back to the leader’s view' }).click()
  await expect(page.getByRole('region', { name: 'Say' })).toBeVisible()
})

test('Arabic and Urdu run right to left in shipped fonts; a family’s own word stands over Lea’s', async ({
  page,
}) => {
  await signIn(page, house, 'tomasz')
  await page.getByRole('link', { name: 'Setting' }).click()
  await openTopic(page, 'Words of home')
  const words = page.getByRole('region', { name: 'Words of home' })
  await words.getByRole('combobox').selectOption({ label: 'oats (food)' })
  await words.getByLabel('Language, as a code').fill('so')
  await words.getByLabel('The word').fill('heed')
  await words.getByLabel('a speaker checked it').check()
  await words.getByRole('button', { name: 'Save the word' }).click()
  await expect(words.getByText('Saved.')).toBeVisible()
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
  await fill.getByRole('heading', { name: 'Fill the flour' }).click()
  await fill.getByRole('button', { name: 'No questions here' }).click()
  await expect(fill.getByText('Nobody is asked here')).toBeVisible()
  await fill.getByRole('button', { name: 'Your own words' }).click()
  await fill.getByLabel('What to say').fill('Who can hear the flour fall?')
  await fill.getByRole('button', { name: 'Save it' }).click()
  await expect(fill.getByText('Who can hear the flour fall?')).toBeVisible()
  await page.reload()
  await fill.getByRole('heading', { name: 'Fill the flour' }).click()
  await expect(fill.getByText('Who can hear the flour fall?')).toBeVisible()
  await fill.getByRole('button', { name: 'take out' }).click()
  await expect(fill.getByText('Who can hear the flour fall?')).toHaveCount(0)
  await fill.getByRole('button', { name: 'Ask here again' }).click()
  await page.getByRole('heading', { name: 'Who meets what' }).click()
  const table = page.getByRole('region', { name: 'Goals by child' })
  await expect(table.getByRole('row')).not.toHaveCount(1)
  await expect(table.getByText('this week').first()).toBeVisible()
})
