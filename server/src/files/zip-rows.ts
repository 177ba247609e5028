/** A ZIP of JSON files, written and read piece by piece: never more of it in memory than one row. */
import { JSONParser } from '@streamparser/json'
import { Unzip, UnzipInflate, Zip, ZipDeflate, strToU8 } from 'fflate'
import { Fault } from '../fault'

/** Packed bytes that are unpacked at a time: at most a thousand times as many come out. */
const BITE = 4096
/** One row, unpacked: a session of thirty children with all that was tapped is under two. */
const MOST_ROW = 8_000_000
/** All of one file, unpacked: many years of a nursery. */
const MOST_FILE = 400_000_000

const wrong = (): Fault => new Fault(400, 'this is no ZIP archive, or it is damaged')

/** What one file of the ZIP holds, in pieces. @throws Fault 400 where it is damaged, 413 where it is too large */
function* piecesOf(zip: Uint8Array, file: string): Generator<Uint8Array> {
  let out: Uint8Array[] = []
  const seen = { file: false, end: false, fault: null as unknown }
  const unzip = new Unzip((entry) => {
    if (entry.name !== file || seen.file) return
    seen.file = true
    entry.ondata = (broken: unknown, piece: Uint8Array | null, last) => {
      seen.fault ??= broken
      if (piece) out.push(piece)
      seen.end ||= last
    }
    entry.start()
  })
  unzip.register(UnzipInflate)
  let sum = 0
  for (let at = 0; at < zip.length && !seen.end; at += BITE) {
    try {
      unzip.push(zip.subarray(at, at + BITE), at + BITE >= zip.length)
    } catch {
      throw wrong()
    }
    if (seen.fault) throw wrong()
    const now = out
    out = []
    for (const piece of now) {
      sum += piece.length
      if (sum > MOST_FILE) throw new Fault(413, `${file} is too large when it is unpacked`)
      yield piece
    }
  }
  if (!seen.file) throw looksLikeZip(zip) ? new Fault(400, `the archive has no ${file}`) : wrong()
  if (!seen.end) throw wrong()
}
const looksLikeZip = (bytes: Uint8Array): boolean => bytes[0] === 0x50 && bytes[1] === 0x4b

/** The rows of a file that is a list. @throws Fault 400, 413 */
export function* rowsOf(zip: Uint8Array, file: string): Generator {
  let rows: unknown[] = []
  let isList: boolean | null = null
  let since = 0
  const parser = new JSONParser({ paths: ['$.*'], keepStack: false })
  parser.onValue = ({ value }) => {
    rows.push(value)
    since = 0
  }
  for (const piece of piecesOf(zip, file)) {
    isList ??= startsList(piece)
    if (isList === false) throw new Fault(400, `${file} must hold a list`)
    since += piece.length
    if (since > MOST_ROW) throw new Fault(413, `a row of ${file} is too large`)
    write(parser, piece, file)
    const now = rows
    rows = []
    yield* now
  }
  if (!parser.isEnded) throw new Fault(400, `${file} is not valid JSON`)
}

/** Null as long as nothing but blanks was seen. */
function startsList(piece: Uint8Array): boolean | null {
  const first = piece.find((b) => b > 0x20)
  return first === undefined ? null : first === 0x5b
}
function write(parser: JSONParser, piece: Uint8Array, file: string): void {
  try {
    parser.write(piece)
  } catch {
    throw new Fault(400, `${file} is not valid JSON`)
  }
}

/** A small file that is one value. @throws Fault 400, 413 */
export function fileOf(zip: Uint8Array, file: string): unknown {
  const pieces: Uint8Array[] = []
  let sum = 0
  for (const piece of piecesOf(zip, file)) {
    sum += piece.length
    if (sum > MOST_ROW) throw new Fault(413, `${file} is too large`)
    pieces.push(piece)
  }
  try {
    return JSON.parse(Buffer.concat(pieces).toString('utf8'))
  } catch {
    throw new Fault(400, `${file} is not valid JSON`)
  }
}

/** So much is gathered before it is handed on. */
const PIECE = 256 * 1024

/** Writes a ZIP. @param send is given each piece; what comes next waits for it */
export function zipWriter(send: (piece: Uint8Array) => Promise<void>): {
  value: (file: string, value: unknown) => Promise<void>
  rows: (file: string, rows: AsyncIterable<unknown> | Iterable<unknown>) => Promise<void>
  end: () => Promise<void>
} {
  let out: Uint8Array[] = []
  let size = 0
  const seen = { fault: null as unknown }
  const zip = new Zip((broken: unknown, piece: Uint8Array | null) => {
    seen.fault ??= broken
    if (!piece) return
    out.push(piece)
    size += piece.length
  })
  const flush = async (least: number): Promise<void> => {
    if (seen.fault) throw new Error('the archive could not be packed', { cause: seen.fault })
    if (size < least || size === 0) return
    const piece = Buffer.concat(out)
    out = []
    size = 0
    await send(piece)
  }
  const text = (value: unknown): string => JSON.stringify(value, null, 1)
  const rows = async (file: string, list: AsyncIterable<unknown> | Iterable<unknown>): Promise<void> => {
    const entry = new ZipDeflate(file, { level: 6 })
    zip.add(entry)
    let before = '[\n'
    for await (const row of list) {
      entry.push(strToU8(before + text(row)))
      before = ',\n'
      await flush(PIECE)
    }
    entry.push(strToU8(before === '[\n' ? '[]\n' : '\n]\n'), true)
    await flush(PIECE)
  }
  return {
    rows,
    value: async (file, value) => {
      const entry = new ZipDeflate(file, { level: 6 })
      zip.add(entry)
      entry.push(strToU8(`${text(value)}\n`), true)
      await flush(PIECE)
    },
    end: async () => {
      zip.end()
      await flush(0)
    },
  }
}
