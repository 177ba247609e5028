/**
 * Adds up the reports of `./lea test`; the last line is `N passed, N failed`, and before it stands what failed, with the first lines of why.
 * A report that is missing is a failure.
 */
import { readFileSync } from 'node:fs'
import { join, relative } from 'node:path'

const folder = process.argv[2]
let passed = 0
let failed = 0

// eslint-disable-next-line no-control-regex -- colours of a terminal
const plain = (text) => text.replace(/\u001b\[[0-9;]*m/g, '')
const why = (text) =>
  plain(text ?? '')
    .split('\n')
    .filter((line) => line.trim() !== '')
    .slice(0, 8)
    .map((line) => `    ${line}`)
    .join('\n')
const tell = (name, fault) => {
  console.log(`failed: ${name}${fault ? `\n${why(fault)}` : ''}`)
}
const count = (name, add) => {
  try {
    const before = passed + failed
    add(readFileSync(join(folder, name), 'utf8'))
    if (passed + failed === before) throw new Error('it holds no test')
  } catch (fault) {
    failed += 1
    tell(name, fault.message)
  }
}

count('checks', (text) => {
  for (const line of text.trim().split('\n')) {
    const [name, code] = line.split(' ')
    if (code === '0') passed += 1
    else {
      failed += 1
      tell(`${name} (exit code ${code})`, tailOf(name))
    }
  }
})
/** The last lines of a check that wrote them down. */
function tailOf(name) {
  try {
    return readFileSync(join(folder, `${name}.txt`), 'utf8')
      .trim()
      .split('\n')
      .slice(-8)
      .join('\n')
  } catch {
    return ''
  }
}
for (const name of ['unit.json', 'server.json']) {
  count(name, (text) => {
    const report = JSON.parse(text)
    passed += report.numPassedTests
    failed += report.numFailedTests + (report.success || report.numFailedTests > 0 ? 0 : 1)
    if (report.success) return
    for (const file of report.testResults) {
      const where = relative(process.cwd(), file.name)
      for (const test of file.assertionResults)
        if (test.status === 'failed') tell(`${where}: ${test.fullName}`, test.failureMessages[0])
      // A file that could not be run at all says so itself.
      if (file.status === 'failed' && file.assertionResults.every((test) => test.status !== 'failed'))
        tell(where, file.message)
    }
  })
}
count('browser.json', (text) => {
  const { stats, suites, errors } = JSON.parse(text)
  passed += stats.expected
  failed += stats.unexpected + stats.flaky
  for (const error of errors) tell('browser', error.message)
  const walk = (suite) => {
    for (const inner of suite.suites ?? []) walk(inner)
    for (const spec of suite.specs ?? [])
      if (!spec.ok) tell(`${spec.file}: ${spec.title}`, spec.tests[0]?.results[0]?.error?.message)
  }
  for (const suite of suites) walk(suite)
})
console.log(`${passed} passed, ${failed} failed`)
process.exitCode = failed === 0 && passed > 0 ? 0 : 1
