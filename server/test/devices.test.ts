/** Scale and probe: the stand-ins heard through the real line, their moods, and lines that are no readings. */
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { scaleState } from '@lea/core/amount'
import { heldReading, judgeCore, probeFault } from '@lea/core/food'
import { DEMO_PASSWORD } from '../src/demo/people'
import { settingOf } from '../src/db/settings'
import { openDevices, openKitchens, readCore, readWeight, type Devices } from '../src/devices/devices'
import { startStandIns } from '../src/devices/stand-ins'
import { openTestServer, type TestServer } from './test-server'

let devices: Devices
beforeAll(async () => {
  devices = await openDevices({ scale: '', probe: '' })
})
afterAll(() => devices.close())
const soon = (check: () => void) => vi.waitFor(check, { timeout: 30_000, interval: 50 })

describe('lines', () => {
  it('are read as what they are; anything else is no reading', () => {
    expect(readWeight('weight 412.3 still')).toEqual({ grams: 412.3, still: true })
    expect(readWeight('weight 7 moving')).toEqual({ grams: 7, still: false })
    expect(readWeight('hello')).toBeNull()
    expect(readWeight('weight many still')?.grams).toBeNaN()
    expect(readCore('core 71.4')).toEqual({ celsius: 71.4 })
    expect(readCore('core 71.4 F')).toBeNull()
  })
})

describe('the scale', () => {
  it('weighs what lies on it, and is told apart when it is absurd or silent', async () => {
    const list: { at: number; grams: number; still: boolean }[] = []
    const leave = devices.scale.listen((r) => list.push({ ...r, at: Date.now() }))
    const play = devices.standIns?.play
    if (!play) throw new Error('no stand-in')
    play.load = 250
    await soon(() => expect(scaleState(list, Date.now())).toEqual({ is: 'weight', grams: 250, still: true }))
    play.scale = 'absurd'
    await soon(() => expect(scaleState(list, Date.now()).is).toBe('absurd'))
    play.scale = 'silent'
    await soon(() => expect(scaleState(list, Date.now()).is).toBe('silent'))
    play.scale = 'well'
    await soon(() => expect(scaleState(list, Date.now()).is).toBe('weight'))
    leave()
  })
})

describe('the probe', () => {
  it('in a cold chicken does not say that it is cooked; hot and held it does', async () => {
    const list: { at: number; celsius: number }[] = []
    const leave = devices.probe.listen((r) => list.push({ ...r, at: Date.now() }))
    const play = devices.standIns?.play
    if (!play) throw new Error('no stand-in')
    const verdict = () => {
      const r = heldReading(list, 'poultry', 'uk')
      return r && judgeCore(r, 'poultry', 'uk').verdict
    }
    play.core = 45
    await soon(() => expect(list.at(-1)?.celsius).toBeGreaterThan(40))
    expect(verdict()).toBe('low')
    play.core = 95
    await soon(() => expect(list.at(-1)?.celsius).toBeGreaterThan(85))
    // 80 °C for six seconds: not in the first of them.
    expect(verdict()).toBe('hold')
    await soon(() => expect(verdict()).toBe('reached'))
    play.probe = 'absurd'
    await soon(() => expect(probeFault(list, Date.now())).toMatch(/no food is so/))
    play.probe = 'silent'
    await soon(() => expect(probeFault(list, Date.now())).toMatch(/silent/))
    leave()
  })
})

describe('the handles of the stand-ins', () => {
  let house: TestServer
  beforeAll(async () => {
    house = await openTestServer({ demo: true })
  })
  afterAll(() => house.close())
  it('are a leader’s; nonsense is refused by name; without sign-in nothing is heard', async () => {
    const petra = house.visitor()
    expect((await petra.get('/api/devices/play')).status).toBe(401)
    await petra.signIn('petra', DEMO_PASSWORD)
    const put = (body: object) => petra.send('PUT', '/api/devices/play', body)
    expect((await put({ load: 120 })).body.play.load).toBe(120)
    expect((await put({ load: 'much' })).body.error.says).toMatch(/Load must be a number/)
    expect((await put({ scale: 'merry' })).body.error.says).toMatch(/Scale must be one of well/)
    expect((await put({})).status).toBe(400)
    const gwenda = house.visitor()
    await gwenda.signIn('gwenda', DEMO_PASSWORD)
    expect((await gwenda.send('PUT', '/api/devices/play', { load: 1 })).status).toBe(403)
  })
  it('of one setting are not those of another: what is played there is not read here', async () => {
    const [petra, tomasz] = [house.visitor(), house.visitor()]
    await petra.signIn('petra', DEMO_PASSWORD)
    await tomasz.signIn('tomasz', DEMO_PASSWORD)
    await petra.send('PUT', '/api/devices/play', { load: 120, core: 40 })
    await tomasz.send('PUT', '/api/devices/play', { load: 555, core: 99 })
    expect((await petra.get('/api/devices/play')).body.play).toMatchObject({ load: 120, core: 40 })
  })
})

describe('a real scale', () => {
  it('is in the kitchen of its own setting; every other has a stand-in, marked as one', async () => {
    const real = await startStandIns()
    real.play.load = 333
    const kitchens = openKitchens({ scale: real.addresses.scale, probe: '' }, () => Promise.resolve('ours'))
    try {
      const [ours, theirs] = await Promise.all([kitchens.of('ours'), kitchens.of('theirs')])
      expect(await kitchens.of('ours')).toBe(ours)
      const heard: Record<string, number[]> = { ours: [], theirs: [] }
      const leave = [
        ours.scale.listen((r) => heard['ours']?.push(r.grams)),
        theirs.scale.listen((r) => heard['theirs']?.push(r.grams)),
      ]
      await soon(() => expect(Math.round(heard['ours']?.at(-1) ?? 0)).toBe(333))
      await soon(() => expect(heard['theirs']?.length).toBeGreaterThan(2))
      expect(Math.max(...(heard['theirs'] ?? []))).toBeLessThan(1)
      expect(theirs.standIns).not.toBeNull()
      for (const go of leave) go()
    } finally {
      await kitchens.close()
      await real.close()
    }
  })
  it('where several settings are served and none is named is in nobody’s', async () => {
    const house = await openTestServer({ demo: true })
    try {
      expect(await settingOf(house.pool, '')).toBeNull()
      expect(await settingOf(house.pool, 'nobody')).toBeNull()
      const petra = await settingOf(house.pool, 'petra')
      expect(petra).toMatch(/^[0-9a-f-]{36}$/)
      expect(await settingOf(house.pool, 'gwenda')).toBe(petra)
      expect(await settingOf(house.pool, 'tomasz')).not.toBe(petra)
    } finally {
      await house.close()
    }
  })
})
