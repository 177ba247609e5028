/** A setting's words: as a file (RFC 4180), one by one, behind sign-in; and what was noted of talk, kept for the next plan. */
import Papa from 'papaparse'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { OwnWord } from '@lea/core/learn'
import { type PlanRequest, compile } from '@lea/core/plan'
import { readPlanRequest } from '@lea/core/schema'
import type { StoredChild, StoredSession } from '@lea/core/setting'
import { wordsFromCsv, wordsToCsv } from '../src/files/words-csv'
import { DEMO_PASSWORD } from '../src/demo/people'
import { openTestServer, type TestServer, type Visitor } from './test-server'

const somali: OwnWord[] = [
  {
    id: 'milk',
    kind: 'food',
    home: [{ language: 'so', word: 'caano', reading: '"aano", with a catch', checked: true }],
  },
  { id: 'canjeero', kind: 'food', english: 'soft flatbread', home: [{ language: 'so', word: 'canjeero' }] },
]

describe('words as a file', () => {
  it('are read back as they were written, with commas, quotes and lines in them', () => {
    const csv = wordsToCsv(somali, ['so'])
    const { words, faults } = wordsFromCsv(csv)
    expect(faults).toEqual([])
    expect(words.find((w) => w.id === 'milk')?.home).toEqual(somali[0]?.home)
    expect(words.find((w) => w.id === 'canjeero')).toEqual(somali[1])
    // A second reader takes it for the same table.
    const rows = Papa.parse<Record<string, string>>(csv, { header: true }).data
    expect(rows.find((r) => r['id'] === 'milk')).toMatchObject({ word: 'caano', checked: 'yes' })
  })
  it('no word begins a formula in a spreadsheet, and none is changed by that', () => {
    const odd: OwnWord[] = [
      { id: 'odd', kind: 'concept', english: 'odd', home: [{ language: 'so', word: '=1+1' }] },
    ]
    const csv = wordsToCsv(odd, ['so'])
    expect(csv).not.toMatch(/(^|,)=1/m)
    expect(wordsFromCsv(csv).words[0]?.home[0]?.word).toBe('=1+1')
  })
  it('a file of a US setting holds what homes there say, and comes back as Lea’s own English', () => {
    const of = (country?: string) =>
      wordsFromCsv(wordsToCsv([], ['es'], country)).words.find((w) => w.id === 'aubergine')
    const potato = (country?: string) =>
      wordsFromCsv(wordsToCsv([], ['es'], country)).words.find((w) => w.id === 'potato')?.home[0]?.word
    expect([potato('us'), potato('uk'), potato()]).toEqual(['la papa', 'la patata', 'la patata'])
    // "eggplant" and "aubergine" are both Lea's: neither becomes an own word of the setting.
    expect([of('us')?.english, of('uk')?.english]).toEqual([undefined, undefined])
  })
  it('a row at fault is named by its line, a heading that is missing too', () => {
    const bad =
      'id,kind,english,language,word\nmilk,food,milk,so,caano\nmilk,food,milk,klingon!,x\n!,food,a,so,b\n'
    const { faults } = wordsFromCsv(bad)
    expect(faults.map((f) => f.line)).toEqual([3, 4])
    expect(faults[0]?.says).toMatch(/Language is not a code/)
    expect(wordsFromCsv('a,b\n1,2\n').faults[0]).toMatchObject({ line: 1 })
  })
  it('rows without a word are passed over, and a byte-order mark is no part of a heading', () => {
    const { words, faults } = wordsFromCsv('\uFEFFid,language,word\nmilk,so,\nwater,so,biyo\n')
    expect(faults).toEqual([])
    expect(words.map((w) => w.id)).toEqual(['water'])
  })
})

describe('words of a setting', () => {
  let house: TestServer
  const signedIn = async (name: string): Promise<Visitor> => {
    const visitor = house.visitor()
    expect((await visitor.signIn(name, DEMO_PASSWORD)).status).toBe(200)
    return visitor
  }
  const wordsOf = async (visitor: Visitor): Promise<OwnWord[]> =>
    (await visitor.get('/api/words')).body as OwnWord[]
  beforeAll(async () => {
    house = await openTestServer({ demo: true })
  })
  afterAll(() => house.close())

  it('stand over Lea’s, keep other languages, and can be taken out again', async () => {
    const petra = await signedIn('petra')
    const read = await petra.send('POST', '/api/words/file', { csv: wordsToCsv(somali, ['so']) })
    expect(read.body).toEqual({ words: 2 })
    await petra.send('POST', '/api/words/file', { csv: 'id,language,word\nmilk,ha,madara\n' })
    const milk = (await wordsOf(petra)).find((w) => w.id === 'milk')
    expect(milk?.home.map((h) => h.language).sort()).toEqual(['ha', 'so'])
    const file = await petra.get('/api/words/words.csv?languages=so')
    expect(file.headers.get('content-type')).toContain('text/csv')
    expect(file.body).toContain('caano')
    expect((await petra.send('DELETE', '/api/words/canjeero')).status).toBe(204)
    expect((await wordsOf(petra)).map((w) => w.id)).toEqual(['milk'])
    expect((await petra.send('DELETE', '/api/words/canjeero')).status).toBe(404)
  })
  it('nothing is taken of a file with a fault, and each fault is named', async () => {
    const petra = await signedIn('petra')
    const before = await wordsOf(petra)
    const answer = await petra.send('POST', '/api/words/file', {
      csv: 'id,language,word\nwater,so,biyo\nwater,no-such-language-at-all,x\n',
    })
    expect(answer.status).toBe(400)
    expect(answer.body.error.faults).toEqual([expect.objectContaining({ line: 3 })])
    expect(await wordsOf(petra)).toEqual(before)
    expect((await petra.send('PUT', '/api/words/milk', { kind: 'song', home: [] })).status).toBe(400)
  })
  it('are seen by no other setting, and not by a helper', async () => {
    expect(await wordsOf(await signedIn('alder'))).toEqual([])
    expect((await (await signedIn('gwenda')).get('/api/words')).status).toBe(403)
  })
  it('a child may speak any language that has a code', async () => {
    const petra = await signedIn('petra')
    const [child] = (await petra.get('/api/children')).body as StoredChild[]
    const { nickname, birth, concerns, diets, needs, version } = child as StoredChild
    const put = (languages: string[]) =>
      petra.send('PUT', `/api/children/${child?.id}`, {
        ...{ nickname, birth, concerns, diets, needs, version },
        languages,
      })
    expect((await put(['so'])).status).toBe(200)
    expect((await put(['zz-not-one!'])).status).toBe(400)
  })
  it('what was noted in past sessions is kept beside the child, and goes into the next plan', async () => {
    const petra = await signedIn('petra')
    const children = (await petra.get('/api/children')).body as StoredChild[]
    const noted = children.find((c) => (c.progress?.talk.marks.length ?? 0) > 0)
    expect(noted?.progress?.talk.heard.length).toBeGreaterThan(0)
    const sessions = (await petra.get('/api/sessions')).body as StoredSession[]
    const next = sessions.find((s) => s.state === 'planned')
    const request = (await petra.get(`/api/sessions/${next?.id}/request`)).body as PlanRequest
    expect(request.children.find((c) => c.id === noted?.id)?.talk).toEqual(noted?.progress?.talk)
    expect(readPlanRequest(request).children.length).toBe(request.children.length)
    const shares = children.filter((c) => c.progress?.turnsOverShare && next?.children.includes(c.id))
    expect(shares.length).toBeGreaterThan(0)
    for (const c of shares)
      expect(request.children.find((k) => k.id === c.id)?.turnsOverShare).toBe(c.progress?.turnsOverShare)
    const plan = compile(request)
    expect(plan.talk.flatMap((t) => t.asks ?? []).some((a) => a.why === 'due')).toBe(true)
    expect((await petra.get(`/api/record/children/${noted?.id}`)).body.talk.length).toBeGreaterThan(0)
  })
})
