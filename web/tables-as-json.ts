/** A table of core goes into a script as one JSON text: read twice as quickly as the same as a program, and never compiled. */
import { readFile } from 'node:fs/promises'
import type { Plugin } from 'vite'

/** Tables of fewer characters are as quick either way. */
const LEAST = 4000

/** For pages and for workers alike. */
export const tablesAsJson = (): Plugin => ({
  name: 'tables-as-json',
  enforce: 'pre',
  async load(id) {
    const [path = ''] = id.split('?')
    if (!/\/core\/data\/.*\.json$/.test(path) || id.includes('?')) return null
    const text = JSON.stringify(JSON.parse(await readFile(path, 'utf8')))
    if (text.length < LEAST) return null
    return { code: `export default JSON.parse(${JSON.stringify(text)})`, moduleType: 'js' }
  },
})
