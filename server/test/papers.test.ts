/**
 * Papers as PDF, read back by another library (pdf.js); words from right to left; a family sheet that names nobody else; the letter in the
 * outbox, read back as a message (RFC 5322 and MIME).
 */
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'
import type { StoredChild, StoredSession } from '@lea/core/setting'
import { DEMO_PASSWORD } from '../src/demo/people'
import { runsOf } from '../src/papers/fonts'
import { asWritten, heading, inCountry, list, type Page, table, words } from '../src/papers/pdf'
import { openTestServer, type TestServer, type Visitor } from './test-server'

let house: TestServer
let petra: Visitor
let session: StoredSession
let children: StoredChild[]
beforeAll(async () => {
  house = await openTestServer({ demo: true })
  petra = house.visitor()
  await petra.signIn('petra', DEMO_PASSWORD)
  const all = (await petra.get('/api/sessions')).body as StoredSession[]
  const found = all.find((s) => s.state === 'finished')
  if (!found) throw new Error('no finished session in the demo')
  session = found
  children = (await petra.get('/api/children')).body as StoredChild[]
})
afterAll(() => house.close())

interface Read {
  text: string
  pages: number
  size: number[]
}
async function pdf(path: string): Promise<Read> {
  const { status, body } = await petra.raw('GET', `/api/sessions/${session.id}/papers/${path}`)
  expect(status, body.toString('utf8').slice(0, 300)).toBe(200)
  expect(body.subarray(0, 5).toString()).toBe('%PDF-')
  const document = await getDocument({ data: new Uint8Array(body), useSystemFonts: false, verbosity: 0 })
    .promise
  let text = ''
  let size: number[] = []
  for (let n = 1; n <= document.numPages; n++) {
    const page = await document.getPage(n)
    size = page.view.slice(2).map(Math.round)
    const content = await page.getTextContent()
    text += content.items.map((i) => ('str' in i ? i.str + (i.hasEOL ? ' ' : '') : '')).join('') + ' '
  }
  const pages = document.numPages
  await document.destroy()
  return { text: text.replace(/\s+/g, ' '), pages, size }
}
const nickname = (id: string): string => children.find((c) => c.id === id)?.nickname ?? '?'

describe('a page in the words of its country', () => {
  const page: Page = {
    title: 'Beetroot dip',
    foot: 'Wednesday 2 December',
    content: [
      heading('Plain flour'),
      list(['2 tins of beans', 'soya drink']),
      table(['Food'], [[words('tinned tomatoes')]], ['*']),
      asWritten(words('Care plan: no soya yoghurt')),
    ],
  }
  const texts = (value: unknown): string[] =>
    value !== null && typeof value === 'object'
      ? Object.entries(value).flatMap(([k, v]) => (k === 'text' && typeof v === 'string' ? [v] : texts(v)))
      : []
  it('turns every text, and leaves what somebody wrote and what is no text', () => {
    const us = inCountry(page, 'us')
    expect(texts(us.content)).toEqual([
      'All-purpose flour',
      '2 cans of beans',
      'soy drink',
      'Food',
      'canned tomatoes',
      'Care plan: no soya yoghurt',
    ])
    expect(us.foot).toBe('Wednesday, December 2')
    expect(JSON.stringify(us)).toContain('"fontSize":20')
  })
  it('is the same page in a British setting', () => expect(inCountry(page, 'uk')).toBe(page))
})

describe('every paper', () => {
  it.each(['before', 'run', 'allergens', 'jobs', 'words', 'shopping', 'labels', 'record'])(
    '%s is there, and can be read',
    async (name) => {
      const { text, pages } = await pdf(`${name}.pdf`)
      expect(pages).toBeGreaterThan(0)
      expect(text.length).toBeGreaterThan(80)
    },
  )
  it('mats are one page each, with the name', async () => {
    const { pages, text } = await pdf('mats.pdf')
    expect(pages).toBe(session.children.length)
    for (const id of session.children) expect(text).toContain(nickname(id))
  })
  it('the run sheet holds every child and the end; the record who signed', async () => {
    const run = (await pdf('run.pdf')).text
    for (const id of session.children) expect(run).toContain(nickname(id))
    expect((await pdf('record.pdf')).text).toMatch(/Packets read: Petra Vance|Packets read: \w+ \w+/)
  })
  it('the record has the times of who prints it; a zone that is none is refused by name', async () => {
    const begun = async (zone: string): Promise<number> => {
      const { text } = await pdf(`record.pdf?zone=${zone}`)
      expect(text).toContain(`Times are of ${zone}`)
      const [, h, m] = /begun (\d\d):(\d\d)/.exec(text) ?? []
      return Number(h) * 60 + Number(m)
    }
    // Tokyo is nine hours ahead of UTC the whole year (IANA time zone database).
    expect(((await begun('Asia/Tokyo')) - (await begun('UTC')) + 1440) % 1440).toBe(9 * 60)
    const answer = await petra.get(`/api/sessions/${session.id}/papers/record.pdf?zone=Saltmere`)
    expect([answer.status, answer.body.error.field]).toEqual([400, 'zone'])
  })
  it('comes as A4, or as Letter where that is asked for; another size is refused by name', async () => {
    expect((await pdf('labels.pdf')).size).toEqual([595, 842])
    expect((await pdf('labels.pdf?paper=Letter')).size).toEqual([612, 792])
    const answer = await petra.get(`/api/sessions/${session.id}/papers/labels.pdf?paper=A9`)
    expect([answer.status, answer.body.error.says]).toEqual([400, 'paper must be A4 or Letter'])
    expect((await petra.get(`/api/sessions/${session.id}/papers/novel.pdf`)).status).toBe(404)
  })
  it('sheets with children on them are not for a helper', async () => {
    const gwenda = house.visitor()
    await gwenda.signIn('gwenda', DEMO_PASSWORD)
    expect((await gwenda.get(`/api/sessions/${session.id}/papers/allergens.pdf`)).status).toBe(403)
  })
})

describe('letters of several scripts', () => {
  it('are cut into runs of fonts that have them; nothing becomes a box', () => {
    const runs = runsOf('bread, хліб, خبز, żółć ⅔')
    expect(runs.map((r) => r.font)).toEqual(expect.arrayContaining(['text', 'cyrillic', 'arabic', 'textExt']))
    expect(runs.map((r) => r.text).join('')).toContain('2/3')
    expect(
      runsOf('a\u{1F600}b')
        .map((r) => r.text)
        .join(''),
    ).toBe('ab')
  })
  it('of several Arabic words the first stands at the right', () => {
    const [run] = runsOf('انتظر قليلا')
    expect(run?.text.trim().split(' ')).toEqual(['قليلا', 'انتظر'])
  })
})

describe('a family sheet', () => {
  const one = () =>
    children.find((c) => session.children.includes(c.id) && c.languages.length > 0) ?? children[0]
  it('names its own child and no other, at home scale, in its language', async () => {
    const child = one()
    const { text } = await pdf(`family.pdf?child=${child?.id ?? ''}&portions=3`)
    expect(text).toContain(child?.nickname)
    expect(text).toContain('3 portions')
    for (const other of children) if (other.id !== child?.id) expect(text).not.toContain(other.nickname)
  })
  it('of the group names nobody', async () => {
    const { text } = await pdf('family.pdf')
    for (const { nickname: name } of children) expect(text).not.toContain(name)
  })
  it('refuses a child that was not there, and portions that are none', async () => {
    const get = (query: string) => petra.get(`/api/sessions/${session.id}/family?${query}`)
    expect((await get('child=11111111-1111-4111-8111-111111111111')).status).toBe(404)
    const wrong = await get('portions=0')
    expect([wrong.status, wrong.body.error.field]).toEqual([400, 'portions'])
  })
  it('becomes a letter only when somebody says so: a standard message with the sheet inside', async () => {
    const list = async () => (await petra.get('/api/post')).body.letters as string[]
    expect(await list()).toEqual([])
    const path = `/api/sessions/${session.id}/family/letter`
    expect((await petra.send('POST', path, { to: 'no address' })).body.error.field).toBe('to')
    const sent = await petra.send('POST', path, { to: 'family@saltmere.example', child: one()?.id })
    expect(sent.status, JSON.stringify(sent.body)).toBe(201)
    const [name = ''] = await list()
    const { body } = await petra.raw('GET', `/api/post/${name}`)
    const message = body.toString('utf8')
    expect(message).toMatch(/^From: .*\r\n/m)
    expect(message).toMatch(/^To: family@saltmere\.example\r\n/m)
    expect(message).toMatch(/^Date: /m)
    expect(message).toMatch(/^MIME-Version: 1\.0\r\n/m)
    const base64 = /Content-Type: application\/pdf[\s\S]*?\r\n\r\n([\s\S]*?)\r\n--/.exec(message)?.[1] ?? ''
    expect(Buffer.from(base64, 'base64').subarray(0, 5).toString()).toBe('%PDF-')
    // Another setting's outbox is another one.
    const tomasz = house.visitor()
    await tomasz.signIn('tomasz', DEMO_PASSWORD)
    expect((await tomasz.get('/api/post')).body.letters).toEqual([])
    expect((await tomasz.raw('GET', `/api/post/${name}`)).status).toBe(404)
    expect((await petra.get('/api/post/..%2f..%2fpasswd')).status).toBe(404)
  })
})
