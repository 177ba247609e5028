/** `./lea setting WHAT …`: the settings of this Lea, for whoever runs it. Nothing of a child is shown. */
import { createWriteStream, existsSync, readFileSync, rmSync } from 'node:fs'
import { countText } from '@lea/core/amount'
import { now, today } from '../clock'
import { readArchive, writeArchive } from '../db/archive'
import { writeAudit } from '../db/audit'
import { Fault } from '../fault'
import { QUOTAS, Refusal, openHouse, type House, type Known, type Quota } from './house'

const USAGE = `usage: ./lea setting list
       ./lea setting make NAME [--kind nursery|library|home] [--nation NATION] [--no-recipes]
       ./lea setting link NAME            another link for its first owner
       ./lea setting close NAME           nobody signs in any more; its data stays
       ./lea setting open NAME            and again
       ./lea setting move NAME FILE       into a file, to be taken in elsewhere; closed here
       ./lea setting take FILE [NAME]     a setting out of such a file
       ./lea setting quota NAME [children=200 …]
       ./lea setting erase NAME --yes     a closed one, for good
NAME is the name of the setting, or the beginning of its id.`

const say = (text: string): void => void process.stdout.write(`${text}\n`)
const refuse = (says: string): never => {
  throw new Refusal(says)
}
/** Where people reach this Lea; a path where it is not known. */
const linkOf = (word: string): string => `${(process.env['LEA_AT'] ?? '').replace(/\/$/, '')}/welcome#${word}`
const saidLink = (what: string, word: string): void =>
  say(
    `${what}, once, within seven days:\n  ${linkOf(word)}${process.env['LEA_AT'] ? '' : '\n  (after the address of this Lea)'}`,
  )

const KINDS = ['nursery', 'library', 'home'] as const

type Command = (house: House, args: string[]) => Promise<void>
const COMMANDS: Record<string, { least: number; most: number; run: Command }> = {
  list: {
    least: 0,
    most: 0,
    run: async (house) => {
      const all = await house.list()
      const day = (at: Date | null): string => at?.toISOString().slice(0, 10) ?? 'never'
      say(`${'id'.padEnd(8)}  ${'name'.padEnd(34)} sign-ins  children  sessions  last used   state`)
      for (const s of all)
        say(
          `${s.id.slice(0, 8)}  ${s.name.slice(0, 34).padEnd(34)} ${[s.people, s.children, s.sessions].map((n, i) => String(n).padStart(i === 0 ? 8 : 9)).join(' ')}  ${day(s.lastUsed).padEnd(10)}  ${s.closedAt ? 'closed' : s.people === 0 ? 'waits for its owner' : 'open'}`,
        )
      say(countText(all.length, 'setting'))
    },
  },
  make: {
    least: 1,
    most: 6,
    run: async (house, [name = '', ...more]) => {
      const { kind, nation, recipes } = optionsOf(more)
      if (name.trim() === '' || name.length > 60) refuse('the name of a setting has 1 to 60 characters')
      const { id, word } = await house.make(name.trim(), kind, nation, recipes)
      say(`'${name.trim()}' is made (${id.slice(0, 8)}).`)
      saidLink('Its first owner comes in by', word)
    },
  },
  link: {
    least: 1,
    most: 1,
    run: async (house, [name = '']) => {
      saidLink('Its first owner comes in by', await house.link({ setting: (await house.find(name)).id }))
    },
  },
  'password-link': {
    least: 1,
    most: 1,
    run: async (house, [signIn = '']) => {
      saidLink(`'${signIn}' sets a new password by`, await house.link({ signIn }))
    },
  },
  close: {
    least: 1,
    most: 1,
    run: async (house, [name = '']) => {
      const { id, name: full } = await house.find(name)
      await house.setClosed(id, true)
      say(`'${full}' is closed: everybody is signed out, its data stays.`)
    },
  },
  open: {
    least: 1,
    most: 1,
    run: async (house, [name = '']) => {
      const { id, name: full } = await house.find(name)
      await house.setClosed(id, false)
      say(`'${full}' is open.`)
    },
  },
  move: {
    least: 2,
    most: 2,
    run: async (house, [name = '', file = '']) => {
      const setting = await house.find(name)
      if (existsSync(file)) refuse(`${file} is there already`)
      // Closed first: nothing is written that the file does not hold.
      await house.setClosed(setting.id, true)
      await intoFile(house, setting, file)
      say(
        `'${setting.name}' is in ${file}, and closed here. It holds children's data: keep it as carefully as Lea itself.\nThere: ./lea setting take ${file}. Here, when it is in: ./lea setting erase ${setting.id.slice(0, 8)} --yes`,
      )
    },
  },
  take: {
    least: 1,
    most: 2,
    run: async (house, [file = '', name]) => {
      if (!existsSync(file)) refuse(`there is no file ${file}`)
      const { id, word } = await house.make(name ?? 'Taken in', 'nursery', 'england', false)
      try {
        const zip = new Uint8Array(readFileSync(file))
        const went = await takenIn(house, id, zip)
        if (name !== undefined)
          await house.within(id, (db) => db.query('update settings set name = $1', [name]))
        say(
          `${countText(went.children, 'child', 'children')}, ${countText(went.recipes, 'recipe')} and ${countText(went.sessions, 'session')} went in (${id.slice(0, 8)}).`,
        )
        saidLink('Its owner comes in by', word)
      } catch (fault) {
        await house.erase(id)
        throw fault
      }
    },
  },
  quota: {
    least: 1,
    most: 1 + QUOTAS.length,
    run: async (house, [name = '', ...more]) => {
      const setting = await house.find(name)
      const quota = { ...setting.quota }
      for (const word of more) {
        const [, kind = '', n = ''] = /^([a-z]+)=(\d{1,7})$/.exec(word) ?? []
        if (!isQuota(kind)) return refuse(`'${word}' is no quota: ${QUOTAS.join(', ')}, as children=200`)
        quota[kind] = Number(n)
      }
      const { rows } = await house.within(setting.id, async (db) => {
        if (more.length > 0) await db.query('update settings set quota = $1', [JSON.stringify(quota)])
        return db.query<{ kind: string; usual: number }>(
          'select kind, usual_quota(kind) as usual from unnest($1::text[]) kind',
          [[...QUOTAS]],
        )
      })
      for (const { kind, usual } of rows)
        say(
          `${kind.padEnd(10)} ${isQuota(kind) && quota[kind] !== undefined ? quota[kind] : `${usual} (usual)`}`,
        )
    },
  },
  erase: {
    least: 2,
    most: 2,
    run: async (house, [name = '', yes]) => {
      const setting = await house.find(name)
      if (!setting.closedAt) refuse(`'${setting.name}' is open: close it first`)
      if (yes !== '--yes')
        refuse(
          `this erases '${setting.name}' with ${countText(setting.children, 'child', 'children')} for good: say --yes`,
        )
      await house.erase(setting.id)
      say(`'${setting.name}' is erased. It is still in backups that were made before.`)
    },
  },
}
const isQuota = (kind: string): kind is Quota => QUOTAS.some((q) => q === kind)

function optionsOf(words: string[]): { kind: (typeof KINDS)[number]; nation: string; recipes: boolean } {
  const options = { kind: 'nursery' as (typeof KINDS)[number], nation: 'england', recipes: true }
  for (let i = 0; i < words.length; i++) {
    const next = words[i + 1] ?? ''
    if (words[i] === '--no-recipes') options.recipes = false
    else if (words[i] === '--nation' && next) options.nation = words[++i] ?? ''
    else if (words[i] === '--kind') {
      options.kind = KINDS.find((k) => k === next) ?? refuse(`a kind is ${KINDS.join(', ')}, not '${next}'`)
      i += 1
    } else refuse(`'${String(words[i])}' is not known\n${USAGE}`)
  }
  return options
}

async function intoFile(house: House, { id }: Known, file: string): Promise<void> {
  const out = createWriteStream(file, { mode: 0o600 })
  const send = (piece: Uint8Array): Promise<void> =>
    new Promise((through, fail) => out.write(piece, (fault) => (fault ? fail(fault) : through())))
  try {
    await house.within(id, async (db) => {
      await writeAudit(db, id, null, 'setting', 'the operator moved the setting into a file', id)
      await writeArchive(db, now().toISOString(), send)
    })
    await new Promise<void>((done, fail) => {
      out.on('error', fail)
      out.end(done)
    })
  } catch (fault) {
    out.destroy()
    rmSync(file, { force: true })
    throw fault
  }
}

/** With new ids where this database has those of the file still. */
const takenIn = (house: House, id: string, zip: Uint8Array) =>
  house
    .within(id, (db) => readArchive(db, id, zip, today(), false))
    .catch((fault: unknown) => {
      const code = (fault as { code?: string }).code ?? ''
      if (fault instanceof Fault || !['23505', '42501'].includes(code)) throw fault
      return house.within(id, (db) => readArchive(db, id, zip, today(), true))
    })

async function main(): Promise<void> {
  const [what = '', ...args] = process.argv.slice(2)
  const command = Object.hasOwn(COMMANDS, what) ? COMMANDS[what] : undefined
  if (!command || args.length < command.least || args.length > command.most) throw new Refusal(USAGE)
  const house = await openHouse(
    process.env['LEA_OWNER_URL'] ?? refuse('LEA_OWNER_URL is not set: use ./lea setting'),
  )
  try {
    await command.run(house, args)
  } finally {
    await house.close()
  }
}

main().catch((fault: unknown) => {
  const known = fault instanceof Refusal || fault instanceof Fault
  process.stderr.write(`lea: ${known ? fault.message : String(fault)}\n`)
  process.exitCode = 2
})
