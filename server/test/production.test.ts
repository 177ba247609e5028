/** A production install: what the built server asks for at run time is a dependency, and not only one of its makers. */
import { readFileSync } from 'node:fs'
import { isBuiltin } from 'node:module'
import { describe, expect, it } from 'vitest'

const read = (path: string): string => readFileSync(new URL(path, import.meta.url), 'utf8')
const dependenciesOf = (room: string): string[] =>
  Object.keys((JSON.parse(read(`../../${room}/package.json`)) as { dependencies: object }).dependencies)

/** Scripts that run where Lea is served; the benchmarks are run by its makers. */
const SERVED = ['main', 'quiet-worker', 'plan-worker', 'desk-worker', 'archive-worker', 'password', 'calc']
/** Written by the build: what each program asks for that it does not hold. `pg` does without its other half. */
const outside = JSON.parse(read('../dist/outside.json')) as Record<string, string[]>
const OPTIONAL = ['pg-native']

function packagesOf(script: string): string[] {
  const all = outside[script] ?? []
  const names = all.filter((name) => !isBuiltin(name) && !OPTIONAL.includes(name))
  return [...new Set(names.map((name) => name.split('/', name.startsWith('@') ? 2 : 1).join('/')))]
}

describe('what is served', () => {
  // The server takes core in, and core's own packages with it.
  const there = new Set([...dependenciesOf('server'), ...dependenciesOf('core')])
  it.each(SERVED)('%s asks for nothing that npm ci --omit=dev leaves out', (script) => {
    expect(packagesOf(script).filter((name) => !there.has(name))).toEqual([])
  })
  it('the built scripts are read as they are', () => {
    expect(packagesOf('main')).toEqual(expect.arrayContaining(['piscina', '@node-rs/argon2']))
    expect(packagesOf('desk-worker')).toEqual(expect.arrayContaining(['pdfmake', 'fontkit']))
    expect(packagesOf('calc')).toEqual(expect.arrayContaining(['fraction.js', 'yup']))
  })
})
