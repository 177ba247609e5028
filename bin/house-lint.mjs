/**
 * `npm run lint:house`: what a linter of single files does not see. No folder of source holds over 20 files, no file over 300 lines;
 * no name is exported by two files; what a room's index exports says in a doc block what it is.
 */
import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { dirname } from 'node:path'
import ts from 'typescript'

const MOST_FILES = 20
const MOST_LINES = 300
const faults = []
const files = execFileSync(
  'git',
  ['ls-files', '--cached', '--others', '--exclude-standard', 'core', 'server', 'web', 'e2e'],
  { encoding: 'utf8' },
)
  .trim()
  .split('\n')
  .filter((f) => /\.(ts|vue)$/.test(f) && !f.includes('/data/'))

const inFolder = new Map()
for (const f of files) inFolder.set(dirname(f), (inFolder.get(dirname(f)) ?? 0) + 1)
for (const [folder, n] of inFolder)
  if (n > MOST_FILES && folder.includes('/src'))
    faults.push(`${folder}: ${n} files flat, at most ${MOST_FILES}`)

for (const f of files) {
  const lines = readFileSync(f, 'utf8').split('\n').length - 1
  if (lines > MOST_LINES) faults.push(`${f}: ${lines} lines, at most ${MOST_LINES}`)
}

// Names: each exported once, apart from what an index hands on.
const source = (f) => ts.createSourceFile(f, readFileSync(f, 'utf8'), ts.ScriptTarget.Latest, true)
const isExported = (s) =>
  s.modifiers?.some((m) => m.kind === ts.SyntaxKind.ExportKeyword) &&
  !s.modifiers.some((m) => m.kind === ts.SyntaxKind.DefaultKeyword)
const namesOf = (s) =>
  ts.isVariableStatement(s)
    ? s.declarationList.declarations.map((d) => d.name.getText())
    : s.name
      ? [s.name.getText()]
      : []
const exported = new Map()
const documented = new Map()
for (const f of files.filter(
  (x) => x.endsWith('.ts') && /^(core|server|web)\/src\//.test(x) && !x.endsWith('/index.ts'),
)) {
  for (const s of source(f).statements.filter(isExported)) {
    const plain = ts.isInterfaceDeclaration(s) || ts.isTypeAliasDeclaration(s)
    for (const name of namesOf(s)) {
      const places = exported.get(name) ?? new Set()
      exported.set(name, places.add(f))
      documented.set(`${f} ${name}`, plain || ts.getJSDocCommentsAndTags(s).length > 0)
    }
  }
}
for (const [name, places] of exported)
  if (places.size > 1) faults.push(`${name} is exported twice: ${[...places].join(', ')}`)

// Rooms: what their index hands out is explained where it is.
for (const index of files.filter((f) => /^core\/src\/[^/]+\/index\.ts$/.test(f)))
  for (const s of source(index).statements.filter(ts.isExportDeclaration)) {
    if (!s.exportClause || !ts.isNamedExports(s.exportClause)) {
      faults.push(`${index}: exports by name only`)
      continue
    }
    for (const { name, propertyName } of s.exportClause.elements) {
      const own = (propertyName ?? name).getText()
      const place = [...(exported.get(own) ?? [])].find((f) => documented.get(`${f} ${own}`) === false)
      if (place) faults.push(`${place}: ${own} has no doc block, and ${index} hands it out`)
    }
  }

for (const fault of faults) console.log(fault)
console.log(faults.length === 0 ? '✔ the house is in order' : `${faults.length} faults in the house`)
process.exitCode = faults.length === 0 ? 0 : 1
