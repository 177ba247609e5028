/** A production install: what the built server asks for at run time is a dependency, and not only one of its makers. */
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'

const read = (path: string): string => readFileSync(new URL(path, import.meta.url), 'utf8')
const dependenciesOf = (room: string): string[] =>
  Object.keys((JSON.parse(read(`../../${room}/package.json`)) as { dependencies: object }).dependencies)

/** Scripts that run where Lea is served; the benchmarks are run by its makers. */
const SERVED = ['main', 'quiet-worker', 'plan-worker', 'desk-worker', 'archive-worker', 'password', 'calc']
const FROM = /^(?:import|export)\b[^'"]*?["']([^"']+)["']|\bimport\(\s*["']([^"']+)["']\s*\)/gm

function packagesOf(script: string): string[] {
  const all = [...read(`../dist/${script}.js`).matchAll(FROM)].map((m) => m[1] ?? m[2] ?? '')
  const outside = all.filter((name) => !name.startsWith('.') && !name.startsWith('node:'))
  return [...new Set(outside.map((name) => name.split('/', name.startsWith('@') ? 2 : 1).join('/')))]
}

describe('what is served', () => {
  // The server takes core in, and core's own packages with it.
  const there = new Set([...dependenciesOf('server'), ...dependenciesOf('core')])
  it.each(SERVED)('%s asks for nothing that npm ci --omit=dev leaves out', (script) => {
    expect(packagesOf(script).filter((name) => !there.has(name))).toEqual([])
  })
  it('the built scripts are read as they are', () => {
    expect(packagesOf('main')).toEqual(expect.arrayContaining(['express', 'pg', 'pino', 'yup', 'ical.js']))
  })
})
