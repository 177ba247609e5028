/** What is sealed, how long a worker may take, and which version this is: against things outside the project. */
import { createHash } from 'node:crypto'
import { spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'
import fc from 'fast-check'
import { afterAll, describe, expect, it } from 'vitest'
import { seal } from '@lea/core/plan'
import type { PlanRequest } from '@lea/core/plan'
import { startPools } from '../src/work/pools'
import { SERVER_VERSION } from '../src/version'

const root = fileURLToPath(new URL('../..', import.meta.url))

describe('the seal of a plan', () => {
  it('is SHA-256 of the canonical text, as Node’s own implementation of FIPS 180-4 has it', () => {
    const text = '{"a":[1,"ä",null],"b":{"c":true,"d":"☃"}}'
    const known = createHash('sha256').update(text, 'utf8').digest('hex').slice(0, 32)
    expect(seal({ b: { d: '☃', c: true }, a: [1, 'ä', null] })).toBe(known)
  })
  it('is the same for every order of the keys, and another for every other value', () => {
    const plain = fc.dictionary(fc.string(), fc.oneof(fc.integer(), fc.string(), fc.boolean()), {
      maxKeys: 8,
    })
    fc.assert(
      fc.property(plain, plain, (one, two) => {
        const turned = Object.fromEntries(Object.entries(one).reverse())
        expect(seal(turned)).toBe(seal(one))
        const same = JSON.stringify(Object.entries(one).sort()) === JSON.stringify(Object.entries(two).sort())
        expect(seal(one) === seal(two)).toBe(same)
      }),
    )
  })
  it('does not see a member that is not there', () => {
    expect(seal({ a: 1, b: undefined })).toBe(seal({ a: 1 }))
  })
})

describe('a pool of workers', () => {
  const folder = mkdtempSync(join(tmpdir(), 'lea-pool-'))
  afterAll(() => rmSync(folder, { recursive: true, force: true }))
  const worker = (name: string, body: string): URL => {
    const file = join(folder, name)
    writeFileSync(file, `export default ${body}\n`)
    return pathToFileURL(file)
  }
  const request = { seed: 1 } as PlanRequest

  const by = { setting: 'one' }
  /** The same script in all three halls, with no database. */
  const open = (script: URL) => startPools({ plan: script, desk: script, archive: script }, '')
  const task = { kind: 'record', setting: 'one', reader: '', from: '', to: '' } as const

  it('hands on what is wrong with a request, with its field, and a fault of its own as one', async () => {
    const pools = open(
      worker(
        'no.mjs',
        `(r) => r.seed === 1
          ? { fault: { status: 409, says: 'two are the same', field: 'children' } }
          : { fault: { status: 0, says: 'broke', more: { code: '23505' } } }`,
      ),
    )
    await expect(pools.compile(request, by)).rejects.toMatchObject({ status: 409, field: 'children' })
    await expect(pools.compile({ ...request, seed: 2 }, by)).rejects.toMatchObject({
      message: 'broke',
      code: '23505',
    })
    await pools.close()
  })
  it('says at once that too much is asked, and goes on with what it has', async () => {
    const pools = open(
      worker('slow.mjs', '() => new Promise((ok) => setTimeout(ok, 30, { made: { version: 3 } }))'),
    )
    const all = await Promise.allSettled(Array.from({ length: 120 }, () => pools.compile(request, by)))
    const refused = all.filter((a) => a.status === 'rejected')
    expect(refused.length).toBeGreaterThan(0)
    for (const r of refused) expect(r.reason).toMatchObject({ status: 503 })
    expect(all.filter((a) => a.status === 'fulfilled').length).toBeGreaterThanOrEqual(60)
    expect(pools.loads().plans).toEqual({ waiting: 0, running: 0 })
    await pools.close()
  })
  it('a worker that dies is said, and the next request has another', async () => {
    const pools = open(
      worker('dies.mjs', '(r) => { if (r.seed === 1) process.exit(1); return { made: { version: 3 } } }'),
    )
    await expect(pools.compile(request, by)).rejects.toThrow()
    expect(await pools.compile({ ...request, seed: 2 }, by)).toEqual({ version: 3 })
    await pools.close()
  })
  it('what does not end is ended, and whoever is next has another thread', async () => {
    const pools = open(worker('ever.mjs', '(r) => { while (r.costOf); return { made: { version: 3 } } }'))
    await expect(pools.costOf(request, by, 300)).rejects.toMatchObject({ status: 503 })
    expect(await pools.compile({ ...request, seed: 2 }, by)).toEqual({ version: 3 })
    await pools.close()
  })
  it('an archive that nobody waits for any more is ended; what waits in a queue is not begun', async () => {
    const pools = open(
      worker(
        'left.mjs',
        '(r) => { while (r.kind === "out"); return new Promise((ok) => setTimeout(ok, 150, { made: 1 })) }',
      ),
    )
    const left = new AbortController()
    const gone = { ...by, left: left.signal }
    const archive = pools.archive({ kind: 'out', setting: 'one', by: '' }, gone)
    // More than there are threads: some are done to their end, the others wait.
    const records = Array.from({ length: 8 }, () => pools.desk(task, gone))
    const said = Promise.allSettled([archive, ...records])
    await expect.poll(() => pools.loads().archives.running).toBe(1)
    await expect.poll(() => pools.loads().desk.running).toBeGreaterThan(0)
    left.abort()
    const [first, ...rest] = await said
    expect(first).toMatchObject({ status: 'rejected', reason: { status: 503 } })
    expect(rest.some((r) => r.status === 'fulfilled')).toBe(true)
    expect(rest.some((r) => r.status === 'rejected')).toBe(true)
    expect(pools.loads()).toMatchObject({
      archives: { waiting: 0, running: 0 },
      desk: { waiting: 0, running: 0 },
    })
    await pools.close()
  })
  it('what wants more memory than there is for one is told so, and the server goes on', async () => {
    const pools = open(
      worker('large.mjs', '() => { const all = []; for (;;) all.push(new Array(1e6).fill(0.5)) }'),
    )
    await expect(pools.compile(request, by)).rejects.toMatchObject({ status: 413 })
    await pools.close()
  })
})

describe('the version', () => {
  it('stands in one place: the package, the changelog and the server say the same', () => {
    const { version } = JSON.parse(readFileSync(join(root, 'package.json'), 'utf8')) as { version: string }
    const newest = /^## (\S+)/m.exec(readFileSync(join(root, 'CHANGELOG.md'), 'utf8'))?.[1]
    expect([newest, SERVER_VERSION]).toEqual([version, version])
    for (const workspace of ['core', 'server', 'web', 'e2e'])
      expect(JSON.parse(readFileSync(join(root, workspace, 'package.json'), 'utf8'))).not.toHaveProperty(
        'version',
      )
  })
})

describe('./lea calc', () => {
  const calc = (args: string[], input: string) =>
    spawnSync('node', [join(root, 'server/dist/calc.js'), ...args], { input, encoding: 'utf8' })
  const line = '{"amount":"7/2","unit":"cup_us","factor":"5/4"}\n'
  it('reads standard input where there is no file, and where the file is -', () => {
    const bare = calc(['scale'], line)
    expect(bare.status).toBe(0)
    expect(JSON.parse(bare.stdout)).toMatchObject({ amount: '35/8', mixed: '4 3/8' })
    expect(calc(['scale', '-'], line).stdout).toBe(bare.stdout)
  })
  it('names a file that is not there, and changes nothing', () => {
    const answer = calc(['scale', 'no-such-file'], line)
    expect([answer.status, answer.stdout]).toEqual([2, ''])
    expect(answer.stderr).toContain("there is no file 'no-such-file'")
  })
})
