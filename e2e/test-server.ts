/** A real server with a database of its own for a file of tests; it can be killed and started again. */
import { execFileSync, spawn, type ChildProcess } from 'node:child_process'
import { randomBytes, randomInt } from 'node:crypto'
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { expect, type Locator, type Page } from '@playwright/test'
import pg from 'pg'

const MAIN = fileURLToPath(new URL('../server/dist/main.js', import.meta.url))
const owner = process.env['LEA_OWNER_URL'] ?? ''
const app = process.env['LEA_APP_URL'] ?? ''
const demoDatabase = process.env['LEA_DEMO_DATABASE'] ?? ''
const toDatabase = (url: string, name: string): string => url.replace(/\/[^/]*$/, `/${name}`)

/** A port that nobody has, out of ten thousand: two files do not find the same one. */
async function freePort(): Promise<number> {
  for (;;) {
    const port = randomInt(20_000, 30_000)
    const free = await new Promise<boolean>((done) => {
      const probe = createServer()
      probe.once('error', () => done(false))
      probe.listen(port, '127.0.0.1', () => probe.close(() => done(true)))
    })
    if (free) return port
  }
}

export class TestServer {
  address = ''
  private server: ChildProcess | null = null
  private readonly name = `browser_${randomBytes(6).toString('hex')}`
  private readonly folder = mkdtempSync(join(tmpdir(), 'lea-browser-'))
  private readonly demo: boolean

  private constructor(demo: boolean) {
    this.demo = demo
  }

  static async open(demo = true): Promise<TestServer> {
    if (!owner || !demoDatabase) throw new Error('start these tests with ./lea test')
    const house = new TestServer(demo)
    await house.admin(`create database ${house.name}${demo ? ` template ${demoDatabase}` : ''}`)
    await house.start()
    return house
  }

  /** Starts the server; after a kill at the same address as before. */
  async start(): Promise<void> {
    const file = join(this.folder, 'address')
    rmSync(file, { force: true })
    // A port of its own, below those that connections take: where the server picks one itself, another file's may take it while this one is killed.
    const port = this.address ? new URL(this.address).port : String(await freePort())
    this.server = spawn('node', [MAIN, ...(this.demo ? ['--demo'] : [])], {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: {
        ...process.env,
        HOST: '127.0.0.1',
        PORT: port,
        LEA_OWNER_URL: toDatabase(owner, this.name),
        LEA_APP_URL: toDatabase(app, this.name),
        LEA_SECRET: 'a secret of the browser tests',
        LEA_ADDRESS_FILE: file,
        LEA_OUTBOX: join(this.folder, 'outbox'),
      },
    })
    await expect.poll(() => existsSync(file), { timeout: 30_000 }).toBe(true)
    this.address = readFileSync(file, 'utf8').replace(/\/$/, '')
  }

  /** What whoever runs this Lea says to it: `./lea setting …`. @returns what it answered */
  operator(...args: string[]): string {
    const script = MAIN.replace(/main\.js$/, 'setting.js')
    const env = { ...process.env, LEA_OWNER_URL: toDatabase(owner, this.name), LEA_AT: this.address }
    return execFileSync('node', [script, ...args], { env, encoding: 'utf8' })
  }

  /** Ends the server at once, as a power cut would. */
  async kill(): Promise<void> {
    const server = this.server
    if (!server || server.exitCode !== null) return
    const gone = new Promise((done) => server.once('exit', done))
    server.kill('SIGKILL')
    await gone
  }

  async close(): Promise<void> {
    await this.kill()
    await this.admin(`drop database ${this.name} with (force)`)
    rmSync(this.folder, { recursive: true, force: true })
  }

  private async admin(sql: string): Promise<void> {
    const client = new pg.Client({ connectionString: owner })
    await client.connect()
    await client.query(sql)
    await client.end()
  }
}

/** Signs in through the page and waits for the diary. */
export async function signIn(page: Page, house: Pick<TestServer, 'address'>, name = 'petra'): Promise<void> {
  await page.goto(`${house.address}/sign-in`)
  await page.getByLabel('Sign-in name').fill(name)
  await page.getByLabel('Password').fill('saltmere-demo')
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page.getByRole('heading', { name: 'Today', level: 1 })).toBeVisible()
}

/** Opens the soda bread session of the demo. */
export async function openBread(page: Page): Promise<void> {
  await page
    .getByRole('link', { name: /Herb soda bread/ })
    .first()
    .click()
  await expect(page.getByRole('heading', { name: /Must fix|Ready to cook/ })).toBeVisible()
}

/** Settles the milk stop with the first swap. */
export async function swapTheMilk(page: Page): Promise<void> {
  await page.getByRole('button', { name: /Oat drink and fresh lemon juice for everyone/ }).click()
  await expect(page.getByRole('complementary').getByText(/Buttermilk lists/)).toHaveCount(0)
}

/**
 * Starts cooking. Where the plan has changed since it was shown, the page says in what, and a person looks and starts again: so does this,
 * once, and tells what it was.
 */
export async function startCooking(page: Page): Promise<void> {
  const cook = page.getByRole('button', { name: 'Cook', exact: true })
  await cook.click()
  const changed = page.getByText(/The plan has changed since it was shown/)
  await expect.poll(async () => /\/cook$/.test(page.url()) || (await changed.count()) > 0).toBe(true)
  if (/\/cook$/.test(page.url())) return
  console.warn(`cooking was refused once: ${(await changed.textContent()) ?? ''}`)
  await cook.click()
}

/** Starts cooking and passes the gates that stand before the step. */
export async function passGates(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Petra Vance' }).click()
  await page.getByRole('button', { name: 'Hands washed' }).click()
  await page.getByRole('button', { name: 'all of them' }).click()
  await page.getByRole('button', { name: 'Petra Vance' }).click()
  await page.getByRole('button', { name: 'We know the plans' }).click()
  await expect(page.getByText(/Still missing: not read yet: .*two names/)).toBeVisible()
  await page.getByRole('button', { name: 'all of them' }).click()
  await page.getByRole('button', { name: 'Petra Vance' }).click()
  await page.getByRole('button', { name: 'Gwenda Marsh' }).click()
  await page.getByRole('button', { name: 'We read them all' }).click()
}

/** Every folded part of the steps in the editor, opened: what few steps have. */
export async function openExtras(page: Page): Promise<void> {
  const folded = page.locator('details:not([open]) > summary', { hasText: /^More/ })
  await expect(page.locator('summary', { hasText: /^More/ }).first()).toBeVisible()
  while ((await folded.count()) > 0) await folded.first().click()
}
/** A part of the Cupboard, or a folded topic, opened. */
export async function openPart(page: Page, name: string): Promise<void> {
  await page.getByRole('tab', { name }).click()
}
export async function openTopic(page: Page, name: string): Promise<void> {
  const topic = page.locator('details', { has: page.getByRole('heading', { name, exact: true }) })
  await expect(topic).toBeVisible()
  if ((await topic.getAttribute('open')) === null) await topic.locator('> summary').click()
}

/** A row of what is left to settle, opened: one is open at a time. */
export async function openFinding(page: Page, says: RegExp): Promise<Locator> {
  const row = page.getByRole('complementary').locator('li', { hasText: says })
  const opened = row.locator('> details')
  await expect(opened).toBeVisible()
  if ((await opened.getAttribute('open')) === null) await opened.locator('> summary').click()
  const more = opened.getByText(/^Other ways: \d/)
  if ((await more.count()) > 0 && (await more.locator('..').getAttribute('open')) === null) await more.click()
  return row
}

/** At the table: settles each stop that came with somebody, or with another card, by a written reason. */
export async function settleAtTable(page: Page, reason: string): Promise<void> {
  const left = page.getByRole('main').locator('section.border-paprika')
  const dialog = page.getByRole('dialog')
  for (let n = await left.count(); n > 0; n--) {
    await left
      .first()
      .getByRole('button', { name: /write why/ })
      .click()
    await dialog.getByLabel('Reason').fill(reason)
    await dialog.getByRole('button', { name: 'Sign and go on' }).click()
    await expect(left).toHaveCount(n - 1)
  }
}

/** Settles every stop as a careful leader would: a change where there is one, else the packet read by two, else a reason. */
export async function settleAll(page: Page, first: string, second: string): Promise<void> {
  const settle = page.getByRole('complementary')
  const stops = settle.getByRole('list', { name: 'Must fix' }).getByRole('listitem')
  await expect(settle.getByRole('heading', { name: /Must fix|Ready to cook/ })).toBeVisible()
  // While a new plan is on its way the list may be empty for a moment: it is settled only when Cook opens.
  const cook = page.getByRole('button', { name: 'Cook', exact: true })
  const pending = async (): Promise<boolean> => {
    for (let tries = 0; tries < 30; tries++) {
      if ((await stops.count()) > 0) return true
      if (await cook.isEnabled()) return false
      await page.waitForTimeout(100)
    }
    return false
  }
  for (let round = 0; round < 20 && (await pending()); round++) {
    const before = (await stops.allTextContents()).join()
    const stop = stops.first()
    const more = stop.getByText(/^Other ways: \d/)
    if ((await more.count()) > 0 && (await more.locator('..').getAttribute('open')) === null)
      await more.click()
    const changes = stop
      .getByRole('button')
      .filter({ hasNotText: /No good swap|write why|Read the packet|Own bowl/ })
    const read = stop.getByRole('button', { name: /Read the packet/ })
    const dialog = page.getByRole('dialog')
    const listed = /\blists\b|\bis not\b/.test((await stop.textContent()) ?? '')
    if ((listed || (await read.count()) === 0) && (await changes.count()) > 0) await changes.first().click()
    else if ((await read.count()) > 0) {
      await read.click()
      await dialog.getByLabel('Read aloud by').selectOption({ label: first })
      await dialog.getByLabel('Read along by').selectOption({ label: second })
      await dialog.getByRole('button', { name: 'We read it today' }).click()
      await expect(dialog).toHaveCount(0)
    } else {
      await stop.getByRole('button', { name: /write why/ }).click()
      await dialog.getByLabel('Reason').fill('Agreed with the family this morning; an own portion.')
      await dialog.getByRole('button', { name: 'Sign and go on' }).click()
    }
    // A swap may bring a packet to read or a shape to prepare: what is left changes, and comes to an end.
    await expect.poll(async () => (await stops.allTextContents()).join()).not.toBe(before)
  }
}

/**
 * A session of the demo's setting for a recipe of Lea's, made through the interface of the server.
 * @param names of the children who come beside `plain` ones without any concern, first
 * @returns its id
 */
export async function sessionFor(
  page: Page,
  recipe: string,
  names: readonly string[],
  plain: number,
  date = process.env['LEA_TEST_DAY'] ?? '2026-11-26',
): Promise<string> {
  return page.evaluate(
    async ({ date, recipe, names, plain }) => {
      const get = async <T>(path: string): Promise<T> => (await (await fetch(`/api${path}`)).json()) as T
      type Child = { id: string; nickname: string; concerns: unknown[]; diets: unknown[] }
      const [setting, recipes, children] = await Promise.all([
        get<{ adults: { id: string }[] }>('/setting'),
        get<{ id: string; recipe: { id: string } }[]>('/recipes'),
        get<Child[]>('/children'),
      ])
      const named = children.filter((c) => names.includes(c.nickname))
      const others = children.filter((c) => c.concerns.length + c.diets.length === 0 && !named.includes(c))
      const input = {
        date,
        start: '14:00',
        recipe: recipes.find((r) => r.recipe.id === recipe)?.id,
        children: [...named, ...others.slice(0, plain)].map((c) => c.id),
        guests: [],
        adults: setting.adults.map((a) => a.id),
        seats: [],
      }
      const headers = { 'content-type': 'application/json' }
      const made = await fetch('/api/sessions', { method: 'POST', headers, body: JSON.stringify(input) })
      return ((await made.json()) as { id: string }).id
    },
    { date, recipe, names, plain },
  )
}
