/** A recipe found somewhere becomes one that Lea can plan: pasted, or from a saved page. */
import { expect, test } from '@playwright/test'
import { House, signIn } from '../house'

let house: House
test.beforeAll(async () => {
  house = await House.open()
})
test.afterAll(() => house.close())

const PASTED = `Cheese and chive biscuits
Serves 8
Ingredients
225 g plain flour
50 g butter
80 g cheddar, grated
125 ml milk
salt, to taste
Method
1. Wash your hands.
2. Rub the butter into the flour. Add the cheddar.
3. Pour in the milk and stir.
4. Shape the dough. An adult bakes it for 15 minutes at 200°C.
5. Taste together.`

test('a pasted recipe is read, what could not be read is listed, and it is kept', async ({ page }) => {
  await signIn(page, house)
  await page.goto(`${house.address}/recipes/new`)
  await page.getByLabel('The recipe').fill('   ')
  await expect(page.getByRole('button', { name: 'Read the recipe' })).toBeDisabled()
  await page.getByLabel('The recipe').fill(PASTED)
  await page.getByRole('button', { name: 'Read the recipe' }).click()
  await expect(page.getByText('4 lines and 5 steps were read.')).toBeVisible()
  await expect(page.getByText('“salt, to taste”:')).toBeVisible()
  await expect(page.getByLabel('Title', { exact: true })).toHaveValue('Cheese and chive biscuits')
  // What is not in the recipe is not looked for in anybody's allergies: it is settled first.
  await page.getByRole('button', { name: 'Save the recipe' }).click()
  await expect(page.getByText(/Not in the recipe yet: salt, to taste/)).toBeVisible()
  await page.getByLabel('it stands below, or is left out').check()
  await page.getByRole('button', { name: 'Save the recipe' }).click()
  await expect(page.getByText('Saved.')).toBeVisible()
  await page.getByRole('link', { name: 'Recipes' }).click()
  await expect(page.getByText('Cheese and chive biscuits').first()).toBeVisible()
})

test('a saved page is read; one without a recipe is refused in words', async ({ page }) => {
  await signIn(page, house)
  await page.goto(`${house.address}/recipes/new`)
  const open = page.getByLabel('Open a saved page')
  await open.setInputFiles({
    name: 'page.html',
    mimeType: 'text/html',
    buffer: Buffer.from('<html><body>No recipe here</body></html>'),
  })
  await expect(page.getByText(/page without recipe data/)).toBeVisible()
  const recipe = {
    '@type': 'Recipe',
    name: 'Pear oats',
    recipeYield: '6 servings',
    recipeIngredient: ['300 g rolled oats', '2 pears'],
    recipeInstructions: [{ '@type': 'HowToStep', text: 'Grate the pears into the oats and stir.' }],
  }
  await open.setInputFiles({
    name: 'page.html',
    mimeType: 'text/html',
    buffer: Buffer.from(
      `<html><script type="application/ld+json">${JSON.stringify({ '@graph': [recipe] })}</script></html>`,
    ),
  })
  await expect(page.getByText('2 lines and 1 steps were read.')).toBeVisible()
  await expect(page.getByLabel('Title', { exact: true })).toHaveValue('Pear oats')
})
