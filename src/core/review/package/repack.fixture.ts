// Opens a package and packs it again; prints an hour of this machine's time zone and the digest of the bytes.
import { readFileSync } from 'node:fs'
import { digestOf } from '../../base'
import { inMemory, openPackage, packReview } from '.'

async function repack(file: string): Promise<void> {
  const opened = await openPackage(inMemory(new Uint8Array(readFileSync(file))))
  if (!opened.ok) throw new Error(opened.problems.map((p) => p.message).join('\n'))
  const { entries, digests, blob } = opened.value
  const blobs = new Map<string, Uint8Array>()
  for (const digest of digests) blobs.set(digest, await blob(digest))
  // eslint-disable-next-line own/no-restricted-syntax -- to show that the zone is really another
  const hour = new Date('2026-11-16T12:00:00Z').getHours()
  process.stdout.write(`${hour} ${digestOf(packReview({ entries, blobs }, 'The demo'))}`)
}
repack(process.argv[2]!).catch((error: unknown) => {
  console.error(error)
  process.exitCode = 1
})
