/** The two dated releases of every stand-in, so that a search run again finds new records and misses withdrawn ones. */
export const RELEASES = ['2026-03', '2026-09'] as const
export type Release = (typeof RELEASES)[number]

/** The release that is searched unless another is asked for. */
export const LATEST: Release = RELEASES[RELEASES.length - 1]!

const MONTHS = 'January February March April May June July August September October November December'.split(
  ' ',
)
/** "release of September 2026" */
export const releaseWords = (release: string): string =>
  `release of ${MONTHS[Number(release.slice(5)) - 1]} ${release.slice(0, 4)}`

/** A stand-in in one of its releases, in one word: what the worker opens. The latest needs no release. */
export const standinKey = (id: string, release: string | undefined): string =>
  release === undefined || release === LATEST ? id : `${id}@${release}`

/** What such a word means. */
export function readStandinKey(key: string): { id: string; release: string } {
  const [id = '', release = LATEST] = key.split('@')
  return { id, release }
}
