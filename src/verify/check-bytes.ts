import { unzipSync } from 'fflate'
import { messageOf, plural } from '../core/base'
import { packForPeople, type OpenedReview } from '../core/handed'
import { packReview, type Packed } from '../core/review'
import type { VerifyHere } from '.'
import { checked, unchecked, type Check } from './report'
import { valueFaults, versionFault } from './by-value'
import { reviewDiffers, whatDiffers } from './what-differs'

const CRATE = 'data/ro-crate-metadata.json'
const REVIEW = 'data/review.json'
const LISTS: ReadonlySet<string> = new Set(['manifest-sha256.txt', 'tagmanifest-sha256.txt'])
/** What changes with the description alone: the description, and the lists in which its digest stands. */
const DESCRIBING: ReadonlySet<string> = new Set([CRATE, ...LISTS])

/**
 * Is the file, byte for byte, what this review packs to: the journal, what lies beside it, the files for people, and the
 * description of them? The same review always gives the same bytes, under the same version of the program.
 */
export async function checkBytes(...given: Parameters<typeof compare>): Promise<Check> {
  try {
    return await compare(...given)
  } catch (error) {
    // An archive that this program reads and another cannot, or files that cannot be made again.
    return checked(ABOUT, 'made again and compared', [`They could not be compared: ${messageOf(error)}.`])
  }
}

/** What the check is called. */
export const ABOUT = 'Files made from it'

async function compare(
  file: Uint8Array,
  opened: OpenedReview,
  packed: Omit<Packed, 'entries'>,
  { from, again: known = (_packed, make) => make() }: Pick<VerifyHere, 'from' | 'again'>,
): Promise<Check> {
  const whole: Packed = { entries: opened.entries, ...packed }
  const there = Object.keys(unzipSync(file, { filter: (f) => f.name === 'data/index.html' })).length > 0
  let again: Uint8Array
  try {
    again = there
      ? await known(whole, async () => packForPeople(await from(opened), whole))
      : packReview(whole, opened.review.title)
  } catch (error) {
    return checked(ABOUT, 'made again', [`They cannot be made again: ${messageOf(error)}`])
  }
  const says = `${plural(file.length, 'byte')} compared with what the review packs to`
  const as = (bytes: Uint8Array): boolean => same(file, bytes)
  // Packages without files for people say no version, and the first ones were packed in one piece.
  if (as(again) || (!there && as(packReview(whole, opened.review.title, undefined, Infinity))))
    return checked(ABOUT, says, [], there ? [] : ['No files for people were packed.'])
  const [own, now] = [unzipSync(file), unzipSync(again)]
  const differing = [...new Set([...Object.keys(own), ...Object.keys(now)])]
    .filter((name) => !own[name] || !now[name] || !same(own[name], now[name]))
    .sort()
  const [version, present] = [own, now].map((files) => versionIn(files[CRATE]))
  const onlyNamed = differing.length === 1 && differing[0] === CRATE
  if (there && version !== undefined && version !== present && !onlyNamed) {
    const wrong = versionFault(version, opened.entries)
    if (wrong) return checked(ABOUT, 'the version of what made them', [wrong])
    // Under another version words and pictures may be others; values are not, whatever they are called.
    const values = differing.flatMap((name) => valueFaults(name, own[name], now[name]))
    return checked(ABOUT, 'their values compared with what the review packs to', values, [], {
      open: [
        `They were made by version ${version} of what writes them, and this is ${present}: their words and pictures were not compared.`,
      ],
    })
  }
  if (!there && version === undefined && differing.every((name) => DESCRIBING.has(name)))
    return unchecked(ABOUT, 'there are none, and what described the package does not say its version')
  // The lists of digests follow from what differs, and are named where nothing else does.
  const matters = differing.filter((name) => !LISTS.has(name))
  return checked(
    ABOUT,
    says,
    differing.length
      ? (matters.length ? matters : differing).map((name) =>
          name === REVIEW && own[name] && now[name]
            ? reviewDiffers(name, own[name], now[name], opened.entries, opened.beside)
            : whatDiffers(name, own[name], now[name]),
        )
      : ['The files are those of the review, but the archive around them is not what it packs to.'],
  )
}

const same = (a: Uint8Array, b: Uint8Array): boolean => a.length === b.length && a.every((v, i) => v === b[i])

/** The version of what wrote the files, as the description of the package says it. */
function versionIn(crate: Uint8Array | undefined): string | undefined {
  try {
    const { '@graph': graph } = JSON.parse(new TextDecoder().decode(crate)) as {
      '@graph': { '@id': string; version?: string }[]
    }
    return graph.find((e) => e['@id'] === '#luvren')?.version
  } catch {
    return undefined
  }
}
