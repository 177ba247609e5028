/** Talk on paper and on the screen: right-to-left words with shipped fonts, word cards, the rule of the house. */
import { expect, test } from '@playwright/test'
import { House, openBread, signIn } from '../house'

let house: House
test.beforeAll(async () => {
  house = await House.open()
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
