/** The packet register of a setting: packets with their words, and their readings. */
import type { StoredPacket } from '@lea/core/food'
import type { Db } from './pool'

/** Every packet with its last reading. */
export async function listPackets(db: Db): Promise<StoredPacket[]> {
  const { rows } = await db.query<StoredPacket>(
    `select p.id, p.food, p.name, p.code, p.label, p.simulated, p.changed_at as "changedAt", r.reading
     from packets p
     left join lateral (
       select json_build_object('readBy', read_by, 'at', at, 'digest', digest) as reading
       from packet_readings where packet_id = p.id order by at desc limit 1
     ) r on true
     order by lower(p.name), p.id`,
  )
  return rows
}

export type PacketInput = Pick<StoredPacket, 'food' | 'name' | 'label' | 'simulated'> & {
  code?: string | undefined
}

export async function savePacket(db: Db, setting: string, id: string, p: PacketInput): Promise<void> {
  await db.query(
    `insert into packets (id, setting_id, food, name, code, label, simulated) values ($1, $2, $3, $4, $5, $6, $7)
     on conflict (id) do update set
       food = excluded.food, name = excluded.name, code = excluded.code, label = excluded.label,
       changed_at = case when packets.label = excluded.label then packets.changed_at else now() end`,
    [id, setting, p.food, p.name, p.code ?? null, p.label, p.simulated],
  )
}

export async function removePacket(db: Db, id: string): Promise<boolean> {
  const { rowCount } = await db.query('delete from packets where id = $1', [id])
  return rowCount === 1
}

export async function addReading(
  db: Db,
  setting: string,
  reading: { id: string; packet: string; digest: string; readBy: string[]; at: string },
): Promise<void> {
  await db.query(
    'insert into packet_readings (id, setting_id, packet_id, digest, read_by, at) values ($1, $2, $3, $4, $5, $6)',
    [reading.id, setting, reading.packet, reading.digest, JSON.stringify(reading.readBy), reading.at],
  )
}

/** Ids of packets that the scanner stand-in made. */
export async function simulatedPackets(db: Db): Promise<Set<string>> {
  const { rows } = await db.query<{ id: string }>('select id from packets where simulated')
  return new Set(rows.map((r) => r.id))
}
