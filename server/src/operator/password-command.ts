/** `./lea password NAME`: a new password for a sign-in name, by whoever runs this server. Every sign-in of that name ends. */
import pg from 'pg'
import { passwordFault } from '@lea/core/schema'
import { hashPassword } from '../password'

function fail(says: string): never {
  process.stderr.write(`lea: ${says}\n`)
  process.exit(2)
}

async function main(): Promise<void> {
  const name = process.argv[2] ?? fail('which sign-in name? ./lea password NAME')
  const url = process.env['LEA_OWNER_URL'] ?? fail('LEA_OWNER_URL is not set: use ./lea password NAME')
  // From standard input, so that it stands in no history and in no list of processes.
  let text = ''
  for await (const chunk of process.stdin) text += String(chunk)
  const password = text.split('\n')[0] ?? ''
  const guessed = passwordFault(password, [name])
  if (guessed) fail(guessed)
  const hash = await hashPassword(password)
  const client = new pg.Client({ connectionString: url })
  await client.connect()
  try {
    await client.query('begin')
    // The owner of the tables is held by the same policies: seen is the row of this name, and then its setting.
    await client.query("select set_config('app.sign_in', $1, true)", [name])
    const { rows } = await client.query<{ id: string; setting: string; name: string }>(
      'select id, setting_id as setting, name from adults where sign_in = $1',
      [name],
    )
    const adult = rows[0] ?? fail(`nobody signs in as '${name}'`)
    await client.query("select set_config('app.setting_id', $1, true)", [adult.setting])
    await client.query(
      'update adults set password_hash = $2, sign_in_round = sign_in_round + 1 where id = $1',
      [adult.id, hash],
    )
    await client.query("delete from sign_ins where sess -> 'person' ->> 'id' = $1", [adult.id])
    await client.query(
      'insert into audit (setting_id, adult_id, part, did, subject) values ($1, null, $2, $3, $4)',
      [adult.setting, 'sign-in', 'the operator set a new password', adult.id],
    )
    await client.query('commit')
    process.stdout.write(
      `${adult.name} signs in as ${name} with the new password; all earlier sign-ins are over.\n`,
    )
  } finally {
    await client.end()
  }
}

await main()
