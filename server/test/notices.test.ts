/** What Lea is shipped with: everything that runs is named with its licence, and nothing tells from where it was fetched. */
import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'

const root = fileURLToPath(new URL('../..', import.meta.url))
interface Component {
  name: string
  version: string
  purl: string
  licenses: { license?: { id: string }; expression?: string }[]
  hashes?: { alg: string; content: string }[]
}
let folder: string
let bom: { bomFormat: string; specVersion: string; components: Component[] }
let notices: string
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'lea-notices-'))
  execFileSync('node', [join(root, 'bin/notices.mjs'), folder])
  bom = JSON.parse(readFileSync(join(folder, 'sbom.cdx.json'), 'utf8')) as typeof bom
  notices = readFileSync(join(folder, 'third-party-notices.txt'), 'utf8')
})
afterAll(() => rmSync(folder, { recursive: true, force: true }))

describe('the bill of materials', () => {
  it('is CycloneDX, with all that the rooms that run ask for, and its digests', () => {
    // CycloneDX 1.5, fields bomFormat, specVersion, components[].{type,name,version,purl,hashes} (cyclonedx.org; from memory).
    expect([bom.bomFormat, bom.specVersion]).toEqual(['CycloneDX', '1.5'])
    const names = new Set(bom.components.map((c) => c.name))
    for (const room of ['core', 'server', 'web']) {
      const { dependencies } = JSON.parse(readFileSync(join(root, room, 'package.json'), 'utf8')) as {
        dependencies: Record<string, string>
      }
      for (const name of Object.keys(dependencies))
        if (!name.startsWith('@lea/')) expect(names, name).toContain(name)
    }
    // Of the makers' tools those parts that end up in the pages, and no others.
    for (const name of ['tailwindcss', '@iconify-json/fluent-emoji-flat', 'workbox-core'])
      expect(names).toContain(name)
    for (const name of ['vitest', 'eslint', 'vite', 'playwright-core']) expect(names).not.toContain(name)
    expect(new Set(bom.components.map((c) => c.purl)).size).toBe(bom.components.length)
    for (const { name, hashes } of bom.components)
      expect([name, hashes?.[0]?.content.length]).toEqual([name, 128])
  })
  it('holds licences that Lea may be shipped under, and tells no place', () => {
    const may = [
      'MIT',
      'MIT-0',
      'ISC',
      'BSD-2-Clause',
      'BSD-3-Clause',
      'Apache-2.0',
      'OFL-1.1',
      'MPL-2.0',
      'BlueOak-1.0.0',
      '0BSD',
      'Zlib',
      'CC0-1.0',
      'Python-2.0',
      'Unlicense',
    ]
    for (const { name, licenses } of bom.components)
      for (const { license, expression } of licenses)
        for (const id of license
          ? [license.id]
          : (expression ?? '').replace(/[()]/g, '').split(/ (?:OR|AND) /))
          expect(may, `${name}: ${id}`).toContain(id)
    expect(JSON.stringify(bom)).not.toMatch(/https?:|registry/)
  })
})

describe('the notices', () => {
  it('name each package, with the texts that its licence asks for', () => {
    for (const { name, version } of bom.components) expect(notices).toContain(`${name} ${version}\n`)
    expect(notices).toMatch(/SIL OPEN FONT LICENSE/i)
    expect(notices).toMatch(/Apache License\s+Version 2\.0/)
    expect(notices).toMatch(/Mozilla Public License/i)
  })
})
