/** `./lea calc NAME [FILE]`: one calculation of core, JSON Lines in, JSON Lines out, in the same order. */
import { createReadStream, existsSync, statSync } from 'node:fs'
import { createInterface } from 'node:readline'
import { CALCULATIONS } from './calculations'
import { answer } from './answer'

const fail = (says: string): never => {
  process.stderr.write(`lea calc: ${says}\n`)
  process.exit(2)
}

const [name = '', file] = process.argv.slice(2)
const calculation = Object.hasOwn(CALCULATIONS, name) ? CALCULATIONS[name] : undefined
if (!calculation)
  fail(
    `${name ? `there is no '${name}'` : 'a name is missing'}; there is: ${Object.keys(CALCULATIONS).join(', ')}`,
  )
const isPiped = file === undefined || file === '-'
if (!isPiped && !(existsSync(file) && statSync(file).isFile())) fail(`there is no file '${file}'`)

const input = isPiped ? process.stdin : createReadStream(file, 'utf8')
let bad = false
for await (const line of createInterface({ input, crlfDelay: Infinity })) {
  if (line.trim() === '' || !calculation) continue
  const { text, failed } = answer(calculation, line)
  bad ||= failed
  if (!process.stdout.write(`${text}\n`)) await new Promise((go) => process.stdout.once('drain', go))
}
process.exitCode = bad ? 2 : 0
