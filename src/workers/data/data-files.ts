import { recordsFile, vocabularyFile, type StandinInfo } from '@/standins'
import { FILE_DIGESTS, VOCABULARY_DIGESTS } from '@/standins/release-digests'

/** A file that comes with Luvren. */
export interface DataFile {
  url: string
  /** What it holds, in words behind which a verb of many stands: "the records of Fernhollow Education Index". */
  what: string
  /** Is it packed by gzip? */
  packed?: boolean
  /** SHA-256 of what is in it, unpacked, where this build knows which one belongs to it. */
  digest?: string | undefined
}

const at = (file: string): string => `/data/${file}`

export const recordsData = (info: StandinInfo, release: string): DataFile => ({
  url: at(recordsFile(info, release)),
  what: `the records of ${info.name}`,
  packed: true,
  digest: FILE_DIGESTS[`${info.id}@${release}`],
})

/** The headings of a stand-in; undefined where it has none. */
export function vocabularyData(info: StandinInfo): DataFile | undefined {
  const file = vocabularyFile(info)
  if (file === undefined) return undefined
  return { url: at(file), what: `the headings of ${info.name}`, digest: VOCABULARY_DIGESTS[info.id] }
}

export const SPELLINGS: DataFile = {
  url: at('spellings.json'),
  what: 'the spellings of both sides of the ocean',
}
export const SYNONYMS: DataFile = { url: at('synonyms.txt.gz'), what: 'the synonyms', packed: true }
export const DEMO: DataFile = { url: at('demo.luvren.zip'), what: 'the records of the demo review' }
/** What figures are drawn with: the program, or letters. */
export const drawnWith = (file: string): DataFile => ({ url: at(file), what: 'the parts that draw figures' })
