import { createHash } from 'node:crypto'
import { existsSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { gunzipSync } from 'node:zlib'
import type { Rec } from '../core/records'
import { recordsFile, type StandinInfo } from '../standins'
import { FILE_DIGESTS } from '../standins/release-digests'
import { ROOT } from './root'

/**
 * The records of a release as they were built for the app; undefined where they were not built, or are not what the
 * generator gives: then they have to be made anew, which takes as many seconds as reading takes tenths.
 */
export function builtRecords(info: StandinInfo, release: string): Rec[] | undefined {
  const file = path.join(ROOT, 'public', 'data', recordsFile(info, release))
  if (!existsSync(file)) return undefined
  const text = gunzipSync(readFileSync(file))
  const digest = createHash('sha256').update(text).digest('hex')
  if (digest !== FILE_DIGESTS[`${info.id}@${release}`]) return undefined
  return JSON.parse(text.toString('utf8')) as Rec[]
}
