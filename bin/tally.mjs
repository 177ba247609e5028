/** Adds up the reports of `./lea test`; the last line is `N passed, N failed`. A report that is missing is a failure. */
import { readFileSync } from 'node:fs'
import { join } from 'node:path'

const folder = process.argv[2]
let passed = 0
let failed = 0
const count = (name, add) => {
  try {
    const before = passed + failed
    add(readFileSync(join(folder, name), 'utf8'))
    if (passed + failed === before) throw new Error('it holds no test')
  } catch (fault) {
    failed += 1
    console.log(`${name}: ${fault.message}`)
  }
}

count('checks', (text) => {
  for (const line of text.trim().split('\n')) {
    if (line.endsWith(' 0')) passed += 1
    else {
      failed += 1
      console.log(`failed: ${line.split(' ')[0]}`)
    }
  }
})
for (const name of ['unit.json', 'server.json']) {
  count(name, (text) => {
    const report = JSON.parse(text)
    passed += report.numPassedTests
    failed += report.numFailedTests + (report.success || report.numFailedTests > 0 ? 0 : 1)
  })
}
count('browser.json', (text) => {
  const { stats } = JSON.parse(text)
  passed += stats.expected
  failed += stats.unexpected + stats.flaky
})
console.log(`${passed} passed, ${failed} failed`)
process.exitCode = failed === 0 && passed > 0 ? 0 : 1
