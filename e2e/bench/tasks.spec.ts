/**
 * `./lea bench tasks`: fifteen things that a leader does, driven in the browser and counted: taps, what is typed, and the words that can be seen of
 * each screen passed (an upper bound of what is read). The tasks and the counts of 0.7.0 are of the second reading. Nothing is asserted of the
 * figures; that each task comes to its end is.
 */
import { expect, type Locator, type Page } from '@playwright/test'
import { test } from '../clock'
import { seenWords } from './seen-words'
import { openBread, passGates, signIn, swapTheMilk, TestServer } from '../test-server'

class Count {
  taps = 0
  typed = 0
  words = 0
  screens = 0
  private readonly page: Page
  constructor(page: Page) {
    this.page = page
  }
  async tap(what: Locator): Promise<void> {
    await what.click()
    this.taps++
  }
  async write(what: Locator, text: string): Promise<void> {
    await what.fill(text)
    this.typed += text.length
  }
  /** A screen that is passed: its first view, or the dialog that lies on it. */
  async screen(): Promise<void> {
    this.screens++
    this.words += (await seenWords(this.page)).first
  }
}

/** Of 0.7.0: taps and what was typed, words; and the fewest that a perfect tool would want. */
const BEFORE: Record<string, [string, string, string]> = {
  '1 first visit to first plan': ['13 + 41', '980', '8 + 41; 150'],
  '2 ten children, an allergy each': ['61 + 147', '187', '3; 30'],
  '3 a recipe for Thursday': ['3', '1097', '2; 60'],
  '4 milk allergy': ['2', '1167', '1; 30'],
  '5 the 1/3 cup is lost': ['3', '1056', '2; 20'],
  '6 who may use the knife': ['3, no answer', '1500', '1; 40'],
  '7 a guest at the door': ['7 + 4', '204', '5 + 4; 60'],
  '8 print the allergy sheet': ['4', '1358', '1; 10'],
  '9 start and ten taps': ['25', '1637', '18; 300'],
  '10 someone leaves': ['4', '73', '3; 25'],
  '11 finish and record': ['15 + 19', '538', '4; 80'],
  '12 family sheet from the record': ['no way', '443', '1; 80'],
  '13 a child’s record': ['2', '461', '2; 100'],
  '14 a recipe from scratch, 5 lines and 4 steps': ['30 + 157', '1102', '12 + 157; 150'],
  '15 six weeks': ['3', '419', '2; 150'],
}

async function counted(
  page: Page,
  name: keyof typeof BEFORE,
  task: (c: Count) => Promise<void>,
): Promise<void> {
  const c = new Count(page)
  await task(c)
  const [taps, words, best] = BEFORE[name] ?? []
  console.log(
    `${name} | ${c.taps}${c.typed > 0 ? ` + ${c.typed}` : ''} | ${c.screens} | ${c.words} | ${taps ?? ''} | ${words ?? ''} | ${best ?? ''}`,
  )
}

const SCRATCH = `Carrot dip, serves 8
4 carrots
200 g plain yoghurt
1 tbsp olive oil
1 tbsp chives
1/2 tsp salt
1. Wash hands.
2. Grate the carrots.
3. Snip the chives.
4. Stir all together.`

test('an empty house', async ({ page }) => {
  const house = await TestServer.open(false)
  try {
    await page.goto(house.address)
    console.log('task | taps + typed | screens | words | 0.7.0: taps | 0.7.0: words | least')
    await counted(page, '1 first visit to first plan', async (c) => {
      await c.screen()
      await c.write(page.getByLabel('Name of the setting'), 'Quay')
      await c.write(page.getByLabel('Your name'), 'Petra Vance')
      await c.write(page.getByLabel('Sign-in name'), 'petra')
      await c.write(page.getByLabel(/^Password/), 'saltmere-demo')
      await c.tap(page.getByRole('button', { name: 'Start' }))
      await expect(page.getByRole('heading', { name: 'Today', level: 1 })).toBeVisible()
      await c.screen()
      await c.tap(page.getByRole('link', { name: /children/i }).last())
      await c.screen()
      await c.tap(page.getByRole('button', { name: 'Add a child' }))
      await c.screen()
      await c.write(page.getByLabel('Nickname'), 'Wren')
      await c.write(page.getByLabel('Birth month'), '2022-05')
      await c.tap(page.getByRole('button', { name: 'Save' }))
      await c.screen()
      await c.tap(page.getByRole('link', { name: 'Today' }).first())
      await c.tap(page.getByRole('link', { name: 'New session' }))
      const plan = page.getByRole('button', { name: /^Plan it/ }).first()
      await expect(plan).toBeEnabled()
      await c.screen()
      await c.tap(plan)
      await expect(page.getByRole('heading', { name: /Must fix|Ready to cook/ })).toBeVisible()
      await c.screen()
    })
  } finally {
    await house.close()
  }
})

test('a house at work', async ({ page }) => {
  test.setTimeout(300_000)
  page.setDefaultTimeout(15_000)
  const house = await TestServer.open()
  const main = page.getByRole('main')
  const dialog = page.getByRole('dialog')
  const nav = (name: string): Locator =>
    page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name })
  const view = (name: string): Locator => page.getByRole('link', { name, exact: true })
  try {
    await signIn(page, house)
    await counted(page, '3 a recipe for Thursday', async (c) => {
      await c.screen()
      const coming = page.getByRole('region', { name: 'Coming up' })
      await c.tap(coming.getByRole('link', { name: /^(Friday|Monday|Tuesday)/ }).first())
      const plan = page.getByRole('button', { name: /^Plan it/ }).first()
      await expect(plan).toBeEnabled()
      await c.screen()
      await c.tap(plan)
      await expect(page.getByRole('heading', { name: /Must fix|Ready to cook/ })).toBeVisible()
    })
    await nav('Today').click()
    await counted(page, '8 print the allergy sheet', async (c) => {
      await c.screen()
      const paper = page.context().waitForEvent('page')
      await c.tap(page.getByRole('article').getByRole('link', { name: 'Allergy sheet' }))
      await paper
    })
    await page.goto(`${house.address}/today`)
    await counted(page, '5 the 1/3 cup is lost', async (c) => {
      await c.tap(nav('Cupboard'))
      const fewer = main.getByRole('button', { name: /^One 1\/3 cup fewer/ })
      await expect(fewer).toBeVisible()
      await c.screen()
      await c.tap(fewer)
    })
    await page.goto(`${house.address}/today`)
    await openBread(page)
    await counted(page, '6 who may use the knife', async (c) => {
      await c.tap(view('jobs'))
      await expect(main.getByText('Who uses what')).toBeVisible()
      await c.screen()
    })
    await counted(page, '4 milk allergy', async (c) => {
      await c.screen()
      await swapTheMilk(page)
      c.taps++
    })
    await counted(page, '9 start and ten taps', async (c) => {
      await c.tap(page.getByRole('button', { name: 'Cook', exact: true }))
      await expect(page.getByRole('button', { name: 'next step' })).toBeVisible()
      await c.screen()
      for (const name of ['Wren', 'Idris', 'Maren', 'Kofi'])
        await c.tap(page.getByRole('button', { name: `done: ${name}’s turn` }))
      await c.tap(page.getByRole('button', { name: 'next step' }))
      await c.screen()
      await passGates(page)
      c.taps += 10
      await c.screen()
      // What is left of the ten in this step.
      const doneNow = page.getByRole('button', { name: /^Done:/ })
      await expect(doneNow).toBeVisible()
      for (let n = 0; n < 3; n++) await c.tap(doneNow)
    })
    await counted(page, '10 someone leaves', async (c) => {
      await c.tap(page.getByRole('button', { name: 'Something changed' }))
      await c.screen()
      await c.tap(dialog.getByRole('button', { name: 'someone left' }))
      await c.tap(dialog.getByRole('button', { name: 'Maren' }))
      await c.screen()
      await c.tap(dialog.getByRole('button', { name: 'Back to the table' }))
      await expect(dialog).toHaveCount(0)
    })
    await counted(page, '7 a guest at the door', async (c) => {
      await c.tap(page.getByRole('button', { name: 'Something changed' }))
      await c.tap(dialog.getByRole('button', { name: /someone came|a guest/ }).first())
      await c.screen()
      await c.write(dialog.getByLabel('Nickname'), 'Tam')
      await c.write(dialog.getByLabel('Age'), '4')
      await c.tap(dialog.getByRole('button', { name: 'sesame' }))
      await c.tap(dialog.getByRole('button', { name: 'Add to the table' }))
      await c.screen()
    })
  } finally {
    await house.close()
  }
})

test('the records, and weeks to come', async ({ page }) => {
  test.setTimeout(300_000)
  page.setDefaultTimeout(15_000)
  const house = await TestServer.open()
  const dialog = page.getByRole('dialog')
  const nav = (name: string): Locator =>
    page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name })
  try {
    await signIn(page, house)
    await counted(page, '12 family sheet from the record', async (c) => {
      await c.screen()
      await c.tap(page.getByRole('link', { name: 'Family sheet' }))
      await expect(page.getByLabel('Of', { exact: true })).toBeVisible()
      await c.screen()
    })
    await counted(page, '2 ten children, an allergy each', async (c) => {
      await c.tap(nav('Children'))
      await c.screen()
      await c.tap(page.getByRole('button', { name: 'From a list' }))
      await c.screen()
      const lines = ['Linnet', 'Dunlin', 'Godwit', 'Siskin', 'Serin', 'Knot', 'Ruff', 'Smew', 'Scaup', 'Teal']
      // Pasted, not typed.
      await dialog
        .getByLabel('One child to a line')
        .fill(lines.map((n, i) => `${n}, May 2022, ${i % 2 ? 'egg' : 'milk'} allergy`).join('\n'))
      await expect(dialog.getByRole('button', { name: 'Add 10 children' })).toBeEnabled()
      await c.screen()
      await c.tap(dialog.getByRole('button', { name: 'Add 10 children' }))
      await expect(page.getByText('10 added, 0 changed.')).toBeVisible()
    })
    await counted(page, '13 a child’s record', async (c) => {
      await c.tap(nav('Children'))
      await c.screen()
      await c.tap(page.getByRole('link', { name: /Record/ }).nth(1))
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
      await c.screen()
    })
    await counted(page, '14 a recipe from scratch, 5 lines and 4 steps', async (c) => {
      await c.tap(nav('Recipes'))
      await c.tap(page.getByRole('link', { name: 'Read one in' }))
      await c.screen()
      await c.write(page.getByLabel('The recipe', { exact: true }), SCRATCH)
      await c.tap(page.getByRole('button', { name: 'Read the recipe' }))
      await expect(page.getByText(/were read/)).toBeVisible()
      await c.screen()
      const save = page.getByRole('button', { name: 'Save it', exact: true })
      await expect(save).toBeEnabled()
      await c.tap(save)
      await expect(page.getByRole('heading', { name: 'Carrot dip' })).toBeVisible()
      await c.screen()
    })
    await counted(page, '15 six weeks', async (c) => {
      await nav('Today').click()
      await c.tap(page.getByRole('link', { name: 'Plan several weeks' }))
      const add = page.getByRole('button', { name: /Add \d+ sessions?/ })
      await expect(add).toBeEnabled({ timeout: 60_000 })
      await c.screen()
      await c.tap(add)
      await expect(page.getByText(/sessions? (is|are) planned/)).toBeVisible()
    })
    await counted(page, '11 finish and record', async (c) => {
      await page.goto(`${house.address}/today`)
      await openBread(page)
      await swapTheMilk(page)
      await page.getByRole('button', { name: 'Cook', exact: true }).click()
      await expect(page.getByRole('button', { name: 'next step' })).toBeVisible()
      await page.goto(page.url().replace('/cook', '/finish'))
      const all = page.getByRole('group', { name: 'How was it for everybody' })
      await expect(all).toBeVisible()
      await c.screen()
      await c.tap(all.getByRole('button', { name: 'more please' }))
      await c.write(page.getByLabel('What worked'), 'Warm soup, cold day')
      await c.tap(page.getByRole('button', { name: 'Close the session' }))
      await expect(page).toHaveURL(/record\/sessions/)
    })
  } finally {
    await house.close()
  }
})
