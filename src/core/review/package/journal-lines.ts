import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex } from '@noble/hashes/utils.js'
import { fail, ok, problem, type Result } from '../../base'
import type { Entry } from '../journal'
import type { ByteSource } from './bytes'
import { BOUNDS, unpack, type Unpacked, type ZipFile } from './zip-read'

/** Reads a journal line by line, each one entry; never more than a line of it as text. Gives its digest too. */
export async function readJournal(
  source: ByteSource,
  file: ZipFile,
  so: Unpacked,
): Promise<Result<{ entries: Entry[]; digest: string }>> {
  const hash = sha256.create()
  const decoder = new TextDecoder()
  const entries: Entry[] = []
  let wrong: Result<never> | undefined
  let rest = ''
  const line = (row: string): void => {
    if (!row || wrong) return
    const at = `entry ${entries.length}`
    const say = (code: string, words: string): void => {
      wrong = fail(problem(code, 'error', words, at))
    }
    if (deeperThan(row, BOUNDS.depth))
      return say('too-deep', `Line ${entries.length + 1} of the journal is nested deeper than any entry is.`)
    try {
      entries.push(JSON.parse(row) as Entry)
    } catch {
      say('entry-json', `Line ${entries.length + 1} of the journal is no JSON.`)
    }
  }
  const read = await unpack(source, file, so, (piece) => {
    hash.update(piece)
    const rows = (rest + decoder.decode(piece, { stream: true })).split('\n')
    rest = rows.pop()!
    for (const row of rows) line(row)
  })
  if (!read.ok) return read
  line(rest)
  return wrong ?? ok({ entries, digest: bytesToHex(hash.digest()) })
}

/** Do brackets stand within brackets deeper than this, outside of texts? */
function deeperThan(json: string, most: number): boolean {
  let depth = 0
  let inText = false
  for (let i = 0; i < json.length; i++) {
    const c = json.charCodeAt(i)
    if (inText) {
      if (c === 0x5c) i++
      else if (c === 0x22) inText = false
    } else if (c === 0x22) inText = true
    else if (c === 0x5b || c === 0x7b) {
      if (++depth > most) return true
    } else if (c === 0x5d || c === 0x7d) depth--
  }
  return false
}
