/** Recipes as they are found become plans: a chat export, the words of a blog's page, a European recipe; pasted, settled, kept, laid out. */
import { expect, type Page } from '@playwright/test'
import { test } from '../clock'
import { TestServer, signIn } from '../test-server'

let house: TestServer
test.beforeAll(async () => {
  house = await TestServer.open()
})
test.afterAll(() => house.close())

const CHAT = `[18:02, 11/12/2026] Petra: here's the herb scone one
[18:02, 11/12/2026] Petra: 225g self raising flour
[18:02, 11/12/2026] Petra: 50g butter
[18:03, 11/12/2026] Petra: 2-3 tbsp chives
[18:03, 11/12/2026] Petra: 150ml milk or oat drink
[18:04, 11/12/2026] Petra: rub in butter. snip the chives in. stir in the milk. shape into 8 balls, flatten
[18:05, 11/12/2026] Petra: brush with beaten egg, bake 200C 15 mins
[18:06, 11/12/2026] Gwenda: thanks!!`

const BLOG = `<html><head><title>Seed crackers | A kitchen by the estuary</title></head><body><nav><a href="/">Home</a></nav>
<h1>Seed crackers</h1><p>We made these on a rainy day, and there are 3 comments.</p>
<h2>What you need</h2><ul><li>200&nbsp;g wholemeal flour</li><li>50 g sunflower seeds</li><li>3 tbsp olive oil</li><li>100 ml warm water</li></ul>
<h2>Here's how</h2><ol><li>Mix the flour and seeds.</li><li>Pour in the oil and water and stir to a dough.</li><li>Roll out thinly and cut into squares.</li><li>Bake at 180&deg;C for 15 minutes.</li></ol>
<footer>Follow us for peanut brittle</footer></body></html>`

const EUROPEAN = `Placki z cukinii, 6 porcji
2 cukinie
1 jajko
4 łyżki mąki
szczypta soli
Grate the courgettes, leave for 10 minutes, squeeze. Stir in the egg, flour and salt. An adult fries spoonfuls for 3 minutes each side.`

async function readIn(page: Page, text: string): Promise<void> {
  await page.goto(`${house.address}/recipes/read`)
  await page.evaluate(() => {
    localStorage.removeItem('lea-recipe-draft:read')
  })
  await page.goto(`${house.address}/recipes/read`)
  await page.getByLabel('The recipe', { exact: true }).fill(text)
  await page.getByRole('button', { name: 'Read the recipe' }).click()
  await expect(page.getByText(/were read/)).toBeVisible()
}
const understood = (page: Page) => page.getByRole('region', { name: 'What Lea understood' })
async function keepAndPlan(page: Page, title: RegExp): Promise<void> {
  await expect(page.getByText('Nothing must be answered any more.')).toBeVisible()
  await page.getByRole('button', { name: 'Save it', exact: true }).click()
  await expect(page.getByRole('heading', { name: title })).toBeVisible()
  await page.getByRole('link', { name: 'Plan it' }).click()
  const row = page.locator('li', { hasText: title })
  await row
    .getByRole('button', { name: /Plan it/ })
    .first()
    .click()
  await expect(page.getByRole('heading', { name: /Must fix|Ready to cook/ })).toBeVisible()
}

test('a chat export: the egg that only the telling names is asked about, and is in the plan', async ({
  page,
}) => {
  await signIn(page, house)
  await readIn(page, CHAT)
  await expect(understood(page).getByText('the herb scone one')).toBeVisible()
  await expect(page.getByText('2 questions to answer before it is kept')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Save it', exact: true })).toBeDisabled()
  await page.getByRole('button', { name: '150ml milk', exact: true }).click()
  await page.getByRole('button', { name: /It goes in: 1 egg/ }).click()
  await expect(understood(page).getByText('an adult: crack an egg')).toBeVisible()
  await expect(understood(page).getByText('15 minutes in the oven, 200 °C')).toBeVisible()
  // Taken back in any order: the egg is asked about again, the milk stays.
  await page.getByRole('button', { name: /Undo: .*1 egg/ }).click()
  await expect(page.getByText('1 question to answer before it is kept')).toBeVisible()
  await page.getByRole('button', { name: /It goes in: 1 egg/ }).click()
  await keepAndPlan(page, /herb scone one/)
})

test('what is written after the reading is in no recipe: it is read too before anything is kept', async ({
  page,
}) => {
  await signIn(page, house)
  await readIn(
    page,
    'Pear salad, serves 8\n4 pears\n1 tbsp lemon juice\n1. Wash hands.\n2. Tear the pears.\n3. Stir.',
  )
  const save = page.getByRole('button', { name: 'Save it', exact: true })
  await expect(save).toBeEnabled()
  const words = page.getByLabel('The recipe', { exact: true })
  await words.fill((await words.inputValue()).replace('4 pears', '4 pears\n50 g ground almonds'))
  await expect(page.getByText(/^The words have changed since they were read/)).toBeVisible()
  await expect(save).toBeDisabled()
  await page.getByRole('button', { name: 'Read the recipe' }).click()
  await expect(understood(page).getByText('ground almonds').first()).toBeVisible()
  await expect(save).toBeEnabled()
})

test('the words of a page without data of its own', async ({ page }) => {
  await signIn(page, house)
  await readIn(page, BLOG)
  await expect(understood(page).getByText('Seed crackers', { exact: true })).toBeVisible()
  await expect(understood(page).getByText(/4 lines and/)).toBeVisible()
  await expect(understood(page).getByText(/peanut/)).toHaveCount(0)
  await keepAndPlan(page, /Seed crackers/)
})

test('a European recipe, with its own words and spoons', async ({ page }) => {
  await signIn(page, house)
  await readIn(page, EUROPEAN)
  for (const line of [/2 courgette/, /1 egg/, /plain flour/, /1 pinch salt/])
    await expect(understood(page).getByText(line).first()).toBeVisible()
  await expect(
    understood(page)
      .getByText(/4 tbsp/)
      .first(),
  ).toBeVisible()
  await expect(understood(page).getByText('6 minutes on the hob')).toBeVisible()
  await keepAndPlan(page, /Placki z cukinii/)
})
