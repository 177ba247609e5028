/** What an operator begins with names what the program knows: variables, roles, addresses. Images and units themselves are not run here. */
import { readFileSync, readdirSync } from 'node:fs'
import { describe, expect, it } from 'vitest'

const root = new URL('../..', import.meta.url)
const text = (path: string): string => readFileSync(new URL(path, root), 'utf8')
const folder = 'docs/deploy'
const files = Object.fromEntries(readdirSync(new URL(folder, root)).map((f) => [f, text(`${folder}/${f}`)]))
/** What the server asks its surroundings for. */
const program = text('server/src/main.ts') + text('server/src/start/serve.ts')
const asked = new Set([...program.matchAll(/\b(?:env|need)\('(\w+)'\)/g)].map(([, name]) => name ?? ''))
const named = (words: string): string[] => [
  ...new Set([...words.matchAll(/\b(LEA_[A-Z_]+|HOST|PORT)\b(?=[=:`])/g)].map(([, name]) => name ?? '')),
]

describe('the table of variables', () => {
  it('names each that the server asks for', () => {
    const serving = text('docs/serving.md')
    // Set by the start command alone.
    const own = new Set(['LEA_ADDRESS_FILE'])
    for (const name of asked) if (!own.has(name)) expect(serving, name).toContain(`\`${name}\``)
  })
})

describe('what one may ask for', () => {
  it('is said as the program has it', () => {
    const serving = text('docs/serving.md').replace(/\s+/g, ' ')
    const main = program
    const [, writes] = /LEA_WRITES'\) \|\| (\d+)/.exec(main) ?? []
    const [, papers] = /LEA_PAPERS'\) \|\| (\d+)/.exec(main) ?? []
    expect(serving).toContain(`may change ${writes} things in a minute and take ${papers} papers`)
    const limits = [...text('server/src/work/pools.ts').matchAll(/limitMs: ([\d_]+(?: \* [\d_]+)?)/g)].map(
      ([, ms]) => (ms ?? '').split(' * ').reduce((all, n) => all * Number(n.replaceAll('_', '')), 1) / 1000,
    )
    expect(limits).toEqual([10, 30, 600])
    expect(serving).toContain('(plans 10 s, papers 30 s, archives 10 minutes)')
    const each = /rest = openTurns\(\{ \.\.\.BOUNDS, atOnceEach: (\d+)/.exec(
      text('server/src/limits/fair-share.ts'),
    )?.[1]
    expect([each, serving.includes('six questions at work at once')]).toEqual(['6', true])
    const trial = /IN_TIME_MS = (\d+)/.exec(text('server/src/plan/trial.ts'))?.[1]
    expect([trial, serving.includes('takes more than five seconds')]).toEqual(['5000', true])
  })
})

describe('the files to begin with', () => {
  it('are all told of', () => {
    for (const name of Object.keys(files))
      if (name !== 'roles.sh')
        expect(text('docs/serving.md')).toContain(name.replace('lea-backup.timer', '.timer'))
  })
  it('set no variable that the server does not ask for', () => {
    for (const [file, words] of Object.entries(files))
      for (const name of named(words))
        if (name !== 'LEA_BACKUP_URL') expect(asked, `${file}: ${name}`).toContain(name)
  })
  it('make the roles that the start command makes, with no more rights', () => {
    const ours = text('bin/postgres.sh')
    for (const role of ['lea_owner', 'lea_app']) {
      expect(ours).toContain(role)
      expect(files['roles.sql']).toMatch(new RegExp(`create role ${role} login nosuperuser nobypassrls`))
    }
    expect(files['roles.sql']).toContain('grant lea_app to lea_owner')
    expect(ours).toContain('grant lea_app to lea_owner')
  })
  it('serve others over https only, and give it the time to stop that it takes', () => {
    expect(files['lea.service']).toContain('LEA_HTTPS=1')
    expect(files['compose.yaml']).toMatch(/LEA_HTTPS: '1'/)
    for (const words of Object.values(files)) expect(words).not.toContain('LEA_PLAIN_HTTP')
    const patience = Number(/PATIENCE_MS = (\d+)_000/.exec(text('server/src/stopping.ts'))?.[1])
    expect(Number(/TimeoutStopSec=(\d+)/.exec(files['lea.service'] ?? '')?.[1])).toBeGreaterThan(patience)
    expect(Number(/stop_grace_period: (\d+)s/.exec(files['compose.yaml'] ?? '')?.[1])).toBeGreaterThan(
      patience,
    )
  })
  it('let streams through, and archives as large as the server takes', () => {
    expect(files['nginx.conf']).toContain('proxy_buffering off;')
    const taken = Number(/MOST = '(\d+)mb'/.exec(text('server/src/routes/archive.ts'))?.[1])
    expect(Number(/client_max_body_size (\d+)m/.exec(files['nginx.conf'] ?? '')?.[1])).toBe(taken)
    const alive = Number(/STILL_HERE_MS = (\d+)_000/.exec(text('server/src/routes/table/devices.ts'))?.[1])
    expect(Number(/proxy_read_timeout (\d+)s/.exec(files['nginx.conf'] ?? '')?.[1])).toBeGreaterThan(
      2 * alive,
    )
  })
})
