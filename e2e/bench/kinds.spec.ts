/**
 * `./lea bench kinds`: a recipe of each kind of work, planned in each of the demo's settings with children who have allergies among them, settled, and
 * cooked through on the screen to its end. A row of figures for each; that each comes to its end without a complaint is asserted.
 */
import { expect, type Page } from '@playwright/test'
import { test } from '../clock'
import { sessionFor, settleAll, signIn, startCooking, TestServer } from '../test-server'

const KINDS: readonly [string, string][] = [
  ['own-flatbreads', 'free choice, own portions'],
  ['soup-of-my-own', 'liquids by the jug, own cups'],
  ['embers-hot-pot', 'two jobs at once, way by place'],
  ['couscous-jars', 'layers, a way without heat'],
  ['harbour-boats', 'a picture is built'],
  ['picnic-goes-round', 'goes round twice, sizes by age'],
  ['guess-the-garden', 'tasting with covered eyes'],
  ['windowsill-cress', 'growing over days'],
]
const SETTINGS: readonly [string, string, string][] = [
  ['nursery', 'petra', 'Petra Vance'],
  ['library', 'tomasz', 'Tomasz Reil'],
  ['home', 'alder', 'Alder Finch'],
]
/** Nothing has more taps: what goes on for longer does not come to its end. */
const MOST = 600

/** Passes whatever gate stands there; false where none does. */
async function gate(page: Page, adults: readonly string[]): Promise<boolean> {
  const done = page.getByRole('button', {
    name: /^(Hands washed|We know the plans|We read them all|In place)$/i,
  })
  if ((await done.count()) === 0) return false
  const all = page.getByRole('button', { name: 'all of them' })
  if ((await all.count()) > 0) await all.click()
  // One packet alone has no 'all of them'.
  const single = page.getByRole('main').locator('h1 + [role=group] button[aria-pressed=false]')
  if ((await single.count()) === 1) await single.click()
  for (const name of [...adults, ...adults]) {
    if (await done.first().isEnabled()) break
    const own = page.getByRole('main').getByRole('button', { name })
    if ((await own.count()) > 0) await own.first().click()
  }
  await done.first().click()
  return true
}

test.describe.configure({ timeout: 1_800_000 })
let house: TestServer
test.beforeAll(async () => {
  house = await TestServer.open()
})
test.afterAll(() => house.close())

for (const [kind, user, first] of SETTINGS)
  test(`${kind}: every kind is cooked through`, async ({ page }) => {
    page.setDefaultTimeout(20_000)
    const complaints: string[] = []
    page.on('pageerror', (e) => complaints.push(e.message))
    await signIn(page, house, user)
    const { adults, careful } = await page.evaluate(async () => {
      const get = async <T>(path: string): Promise<T> => (await (await fetch(`/api${path}`)).json()) as T
      const setting = await get<{ adults: { name: string }[] }>('/setting')
      const children = await get<{ nickname: string; concerns: unknown[] }[]>('/children')
      return {
        adults: setting.adults.map((a) => a.name),
        careful: children.filter((c) => c.concerns.length > 0).map((c) => c.nickname),
      }
    })
    for (const [recipe, what] of KINDS) {
      const id = await sessionFor(page, recipe, careful.slice(0, 2), 6)
      await page.goto(`${house.address}/session/${id}/weave`)
      await settleAll(page, first, adults.find((a) => a !== first) ?? `${first}, a second time`)
      await startCooking(page)
      const cooked = Date.now()
      let taps = 0
      for (; taps < MOST; taps++) {
        if (await gate(page, adults)) continue
        const turn = page.getByRole('button', { name: /^Done:/ })
        const next = page.getByRole('button', { name: 'next step' })
        if ((await turn.count()) > 0 && (await turn.isEnabled())) await turn.click()
        else if ((await next.count()) > 0 && (await next.isEnabled())) await next.click()
        else if ((await page.getByText('All turns of this step are done.').count()) > 0) break
        else await page.waitForTimeout(100)
      }
      expect(taps, `${kind}, ${recipe}: it came to no end`).toBeLessThan(MOST)
      const frozen = (await page.evaluate(
        async (session) => (await (await fetch(`/api/sessions/${session}`)).json()) as unknown,
        id,
      )) as {
        plan: { children: unknown[]; totals: { seconds: number }; turns: unknown[]; schedule: unknown[] }
      }
      const { children, totals, turns, schedule } = frozen.plan
      console.log(
        [
          kind,
          recipe,
          what,
          `${children.length} children`,
          `${schedule.length} steps`,
          `${turns.length} turns`,
          `${Math.round(totals.seconds / 60)} min planned`,
          `${taps} taps`,
          `${Math.round((Date.now() - cooked) / 1000)} s on the screen`,
        ].join(' | '),
      )
    }
    expect(complaints).toEqual([])
  })
