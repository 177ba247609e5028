/** The log of who read or changed what: no way to change something past it, and an owner finds one thing in it. */
import { readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { SHIPPED_RECIPES } from '@lea/core/recipe'
import type { StoredChild, StoredSession } from '@lea/core/setting'
import { DEMO_PASSWORD } from '../src/demo/people'
import { differing } from '../src/db/audit'
import { openTestServer, type TestServer, type Visitor } from './test-server'

let house: TestServer
let petra: Visitor
let session: StoredSession
beforeAll(async () => {
  house = await openTestServer({ demo: true, limits: { signIns: 1000 } })
  petra = house.visitor()
  await petra.signIn('petra', DEMO_PASSWORD)
  const all = (await petra.get('/api/sessions')).body as StoredSession[]
  session = all.find((s) => s.state === 'planned') as StoredSession
})
afterAll(() => house.close())

interface Line {
  at: string
  who: string
  part: string
  did: string
  subject: string
}
const log = async (wish = ''): Promise<Line[]> =>
  (await petra.get(`/api/keeping/audit${wish}`)).body.lines as Line[]
/** What is new in the log after this. */
const said = async (work: () => Promise<unknown>): Promise<string[]> => {
  const before = (await log())[0]?.at ?? ''
  await work()
  return (await log()).filter((l) => l.at > before).map((l) => l.did)
}

describe('every route that changes something', () => {
  /** Said elsewhere, or nobody's data: with the reason. */
  const APART: Record<string, string> = {
    'table/taps.ts post /:id/events': 'taps are a log themselves, with who and when',
    'table/devices.ts put /play': 'plays a stand-in of a scale; nothing is kept',
    'archive.ts post /archive': 'written by the worker that reads it, in the same transaction',
    'keeping.ts post /sweep': 'the sweep says what it erased, where it erased something',
    'keeping.ts post /words': 'looks for a name and changes nothing; the name itself is in no log',
    'link-door.ts post /link': 'tells what a link is for; using it is written down',
    'show-door.ts post /show':
      'a screen without a person: opened by a code that was given out, which is in the log',
    'show-door.ts delete /show': 'a screen without a person leaves',
  }
  const folder = fileURLToPath(new URL('../src/routes', import.meta.url))
  const handlers = readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((f) => f.endsWith('.ts'))
    .flatMap((file) => {
      const text = readFileSync(join(folder, file), 'utf8')
      return text.split(/\n(?= {2}router\.(?:get|post|put|delete|use)\()/).flatMap((block) => {
        const [, method, path] = /^ {2}router\.(post|put|delete)\(\s*'([^']+)'/.exec(block) ?? []
        return method ? [{ name: `${file} ${method} ${path ?? ''}`, block, text }] : []
      })
    })
  it('is found', () => {
    expect(handlers.length).toBeGreaterThan(40)
  })
  it.each(handlers)('$name writes a line, or says why not', ({ name, block, text }) => {
    if (APART[name]) return
    // What a handler leaves to a function of its own file, or of the sessions' changes, counts.
    const called = [...block.matchAll(/\b(putInForce|keepChanges|takeLast|noted)\(/g)].length > 0
    expect(
      /\b(writeAudit|noteBy|noteOnceAnHour)\(/.test(block) || (called && /audit|keepChanges/.test(text)),
    ).toBe(true)
  })
})

describe('what was done', () => {
  it('is said of rules, kit, foods, cupboard, recipes, packets, words, with what changed', async () => {
    const { rules, kit, versions } = (await petra.get('/api/setting')).body
    expect(
      await said(() =>
        petra.send('PUT', '/api/setting/rules', {
          version: versions.rules,
          rules: { ...rules, groupSize: rules.groupSize + 1 },
        }),
      ),
    ).toEqual([`changed the house rules: groupSize from ${rules.groupSize} to ${rules.groupSize + 1}`])
    expect(
      await said(() =>
        petra.send('PUT', '/api/setting/kit', {
          version: versions.kit,
          kit: { ...kit, equipment: kit.equipment.filter((e: string) => e !== 'hob') },
        }),
      ),
    ).toEqual(['changed measures and tools: equipment'])
    const recipe = { ...SHIPPED_RECIPES[0], id: 'own:for-the-log', title: 'Of the log' }
    let id = ''
    expect(
      await said(async () => {
        id = (await petra.send('POST', '/api/recipes', recipe)).body.id
      }),
    ).toEqual(['added a recipe'])
    expect(
      await said(() =>
        petra.send('PUT', `/api/recipes/${id}`, { version: 1, recipe: { ...recipe, serves: recipe.serves } }),
      ),
    ).toHaveLength(1)
    expect(
      await said(() => petra.send('PUT', '/api/setting/cupboard/oats', { food: 'oats', packs: [] })),
    ).toEqual(['changed the cupboard: oats'])
    const packet = { food: 'oats', name: 'Rolled oats', label: 'Oats.', simulated: false }
    let known = ''
    expect(
      await said(async () => {
        known = (await petra.send('POST', '/api/packets', packet)).body.id
      }),
    ).toEqual(['added a packet'])
    expect(
      await said(() => petra.send('PUT', `/api/packets/${known}`, { ...packet, label: 'Oats, milk.' })),
    ).toEqual([expect.stringMatching(/^changed a packet: words/)])
    expect(await said(() => petra.send('DELETE', `/api/packets/${known}`))).toEqual(['removed a packet'])
  })
  it('is said of sessions, decisions, cards that are read and papers that are made', async () => {
    expect(await said(() => petra.change(session.id, { start: '09:05' }))).toEqual([
      expect.stringMatching(/^changed a session: start from \d\d:\d\d to 09:05$/),
    ])
    await petra.get('/api/children')
    // Once an hour of each reader: a page that asks again and again fills no log.
    expect(await said(() => petra.get('/api/children'))).toEqual([])
    expect((await log()).filter((l) => l.did === 'read the cards of all children')).toHaveLength(1)
    expect(await said(() => petra.get(`/api/sessions/${session.id}/papers/allergens.pdf`))).toEqual([
      "made the paper 'allergens'",
    ])
    const [child] = (await petra.get('/api/children')).body as StoredChild[]
    expect(await said(() => petra.get(`/api/children/${child?.id ?? ''}/export`))).toEqual([
      'exported a child',
    ])
  })
  it('is said of wrong passwords and of going', async () => {
    const seun = house.visitor()
    const before = (await log())[0]?.at ?? ''
    await seun.signIn('seun', 'not this one at all')
    await seun.signIn('seun', 'nor this one here')
    await seun.signIn('seun', DEMO_PASSWORD)
    await seun.send('POST', '/api/sign-out')
    const said = async () =>
      (await log('?part=sign-in'))
        .filter((l) => l.at > before)
        .map((l) => l.did)
        .sort()
    // The wrong ones are written down once their answers are out, and once an hour.
    await expect.poll(said).toEqual(['a wrong password was tried', 'signed in', 'signed out'])
  })
  it('names a recipe as it is called now, and holds no name that somebody gave it', async () => {
    const recipe = { ...SHIPPED_RECIPES[0], id: 'own:named', title: 'Scones of Zebulon' }
    const { id } = (await petra.send('POST', '/api/recipes', recipe)).body as { id: string }
    const line = async () =>
      ((await petra.get('/api/keeping/audit?part=recipes')).body.lines as (Line & { about: string })[])[0]
    expect(await line()).toMatchObject({ did: 'added a recipe', subject: id, about: 'Scones of Zebulon' })
    const kept = ((await petra.get('/api/recipes')).body as { id: string; recipe: object }[]).find(
      (r) => r.id === id,
    )
    await petra.send('PUT', `/api/recipes/${id}`, {
      version: 1,
      recipe: { ...kept?.recipe, title: 'Scones' },
    })
    expect(await line()).toMatchObject({
      did: expect.stringMatching(/^changed a recipe: .*title/),
      about: 'Scones',
    })
    const me = (await petra.get('/api/me')).body.person as { settingId: string }
    expect(JSON.stringify(await house.sql('select * from audit', me.settingId))).not.toContain('Zebulon')
  })
  it('holds no name of a child, nor what stands in a card', async () => {
    const all = JSON.stringify(await log())
    for (const { nickname } of (await petra.get('/api/children')).body as StoredChild[])
      expect(all).not.toContain(nickname)
  })
})

describe('the log', () => {
  it('is looked through by part, by person and by day; what is no part or day is refused by name', async () => {
    for (const l of await log('?part=recipes')) expect(l.part).toBe('recipes')
    expect((await log('?part=recipes')).length).toBeGreaterThan(0)
    const me = (await petra.get('/api/me')).body.person as { id: string; name: string }
    const mine = await log(`?who=${me.id}`)
    expect(mine.length).toBeGreaterThan(0)
    for (const l of mine) expect(l.who).toBe(me.name)
    const day = new Date().toISOString().slice(0, 10)
    expect((await log(`?from=${day}&to=${day}&zone=UTC`)).length).toBeGreaterThan(0)
    expect(await log('?to=2001-01-01')).toEqual([])
    expect((await petra.get('/api/keeping/audit?part=all')).body.error.field).toBe('part')
    expect((await petra.get('/api/keeping/audit?from=soon')).body.error.field).toBe('from')
    expect((await petra.get('/api/keeping/audit?who=%27')).body.lines).toEqual([])
  })
})

describe('what differs', () => {
  it('is named; its values only where no name can stand in them', () => {
    const before = { start: '10:00', memo: 'Zuri sits here', n: 1, list: [1] }
    const after = { start: '10:15', memo: 'Zuri is away', list: [1] }
    expect(differing(before, after, ['start'])).toBe('start from 10:00 to 10:15, memo, n')
    expect(differing(before, before)).toBe('')
  })
})
