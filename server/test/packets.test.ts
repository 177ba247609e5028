/** The packet register behind the door: readings hold for the words that were read, the stand-in never counts outside the demo. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { digest } from '@lea/core/plan'
import { FIRST, openTestServer, type TestServer, type Visitor } from './test-server'

let house: TestServer
let owner: Visitor
let adult = ''
beforeAll(async () => {
  house = await openTestServer()
  owner = house.visitor()
  await owner.send('POST', '/api/first-visit', FIRST)
  adult = (await owner.get('/api/setting')).body.adults[0].id
})
afterAll(() => house.close())

const oats = { food: 'oat-drink', name: 'Bay oat drink', label: 'Water, OATS, salt', simulated: false }
const put = async (input: object) =>
  (await owner.send('POST', '/api/packets', input)).body as { id: string; label: string }

describe('the register', () => {
  it('keeps a packet, and refuses one without words, naming the field', async () => {
    expect((await owner.send('POST', '/api/packets', oats)).status).toBe(201)
    const bad = await owner.send('POST', '/api/packets', { ...oats, label: '' })
    expect([bad.status, bad.body.error.field]).toEqual([400, 'label'])
    const long = await owner.send('POST', '/api/packets', { ...oats, label: 'x'.repeat(7000) })
    expect([long.status, long.body.error.field]).toEqual([400, 'label'])
  })
  it('a reading holds for the words on the screen; when they have changed it is refused', async () => {
    const packet = await put(oats)
    const sign = (words: string) =>
      owner.send('POST', `/api/packets/${packet.id}/readings`, {
        readBy: [adult, adult],
        digest: digest(words),
      })
    expect((await sign(packet.label)).status).toBe(201)
    await owner.send('PUT', `/api/packets/${packet.id}`, { ...oats, label: 'Water, OATS, MILK' })
    const late = await sign(packet.label)
    expect([late.status, late.body.error.says]).toEqual([
      409,
      'the words of this packet have changed: read them again',
    ])
    const list = (await owner.get('/api/packets')).body as { id: string; reading: { digest: string } }[]
    expect(list.find((p) => p.id === packet.id)?.reading.digest).toBe(digest(packet.label))
  })
  it('one name is not enough, and a name from elsewhere is refused', async () => {
    const packet = await put(oats)
    const path = `/api/packets/${packet.id}/readings`
    const one = await owner.send('POST', path, { readBy: [adult], digest: digest(packet.label) })
    expect([one.status, one.body.error.field]).toEqual([400, 'readBy'])
    const strange = await owner.send('POST', path, {
      readBy: [adult, 'nobody'],
      digest: digest(packet.label),
    })
    expect([strange.status, strange.body.error.field]).toEqual([400, 'readBy'])
  })
  it('what the scanner stand-in made never counts as read here, whatever is typed over it', async () => {
    const packet = await put({ ...oats, simulated: true, code: '4680-102' })
    await owner.send('PUT', `/api/packets/${packet.id}`, { ...oats, simulated: false })
    const signed = await owner.send('POST', `/api/packets/${packet.id}/readings`, {
      readBy: [adult, adult],
      digest: digest(packet.label),
    })
    expect([signed.status, signed.body.error.field]).toEqual([409, 'packet'])
    const recipe = (await owner.get('/api/recipes')).body[0].id
    const session = (
      await owner.send('POST', '/api/sessions', {
        date: '2027-01-10',
        start: '10:00',
        recipe,
        children: [],
        guests: [],
        adults: [adult],
        seats: [],
      })
    ).body.id
    const decision = {
      kind: 'packet',
      food: 'oat-drink',
      lists: [],
      may: [],
      lookedFor: ['milk'],
      readBy: [adult, adult],
      at: '2027-01-10T09:00:00Z',
      packet: packet.id,
    }
    const kept = await owner.change(session, { decisions: [decision] })
    expect([kept.status, kept.body.error.field]).toEqual([409, 'decisions'])
  })
  it('a helper may not change it, and a stranger sees nothing', async () => {
    await owner.send('POST', '/api/adults', {
      name: 'Farida Quill',
      leads: [],
      role: 'helper',
      signIn: 'farida',
      password: 'a long password',
    })
    const helper = house.visitor()
    await helper.signIn('farida', 'a long password')
    expect((await helper.send('POST', '/api/packets', oats)).status).toBe(403)
    expect((await house.visitor().get('/api/packets')).status).toBe(401)
  })
})
