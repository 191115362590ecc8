import { plural, type Problem } from '@/core/base'
import { READER_VERSION, type Remembered } from '@/core/records'
import { standingImports, type Import, type Source } from '@/core/review'
import type { Store } from '@/store/store'
import { callback, longDesk, type FileExamined, type FileHow } from '@/workers'
import { bringIn } from '../tell-apart'

/**
 * What records are brought to: in place of what the source brought before, or beside it, as another part; or in place of
 * one part alone, whose file is read again.
 */
export type Place = 'in place' | 'beside' | { again: string }

/** Where the records of a file go. */
export interface Target {
  /** Absent: it is asked for, or made where the file is looked at. */
  source?: Pick<Source, 'id' | 'name'>
  place: Place
  runId?: string
  /** How many were found, and by what those that are handed out are ranked: kept where the file has fewer. */
  of?: { hits: number; rankedBy: string }
}

export interface FileBrought {
  /** What the file is called. */
  name: string
  count: number
  broken: number
  problems: Problem[]
}

/** What a source has in the review, part by part. */
export const partsOf = (store: Store, sourceId: string): Import[] =>
  standingImports(store.session.getState().folded.review).filter((i) => i.sourceId === sourceId)

/** Can a file be brought in without asking: is it plain what it is and how it is encoded, and are its first records whole? */
export const isPlain = ({ guess, shape, first }: FileExamined): boolean =>
  guess.sure &&
  shape !== undefined &&
  ['ris', 'bibtex', 'csl-json'].includes(shape.format) &&
  first.length > 0 &&
  first.every((f) => f.record !== undefined)

/**
 * Reads a file and brings its records in, all or none; the file itself is kept unchanged. `told` is given words for how far
 * it is and stops by answering no: then nothing is in, and undefined is given.
 */
export async function bringFile(
  store: Store,
  file: File,
  how: FileHow,
  { source, place, runId, of }: Target & { source: Pick<Source, 'id' | 'name'> },
  told: (words: string) => boolean,
): Promise<FileBrought | undefined> {
  return store.lay(async (laying) => {
    const taken = await longDesk().readFile(
      file,
      how,
      callback((done: number, of: number) => told(`${Math.round((done / Math.max(1, of)) * 100)} % read`)),
    )
    if (!taken) return undefined
    if (!taken.count)
      return { name: file.name, count: 0, broken: taken.broken.length, problems: taken.problems }
    const done = await bringIn(
      store,
      laying,
      [
        {
          sourceId: source.id,
          at: taken.blocks,
          count: taken.count,
          ...(runId === undefined ? {} : { runId }),
          ...(of && taken.count < of.hits ? { of: { ...of, taken: taken.count } } : {}),
          file: {
            name: file.name,
            digest: taken.digest,
            format: how.shape.format,
            encoding: how.encoding,
            shape: JSON.stringify(how.shape),
            reader: READER_VERSION,
          },
          ...(taken.broken.length ? { broken: taken.broken.slice(0, 10_000) } : {}),
          ...(place === 'in place' ? { insteadBecause: 'a newer export was brought in' } : {}),
          ...(typeof place === 'object'
            ? { insteadOf: place.again, insteadBecause: 'its file was read again by a newer reader' }
            : {}),
        },
      ],
      (compared, of) => told(`${compared} of ${plural(of, 'record')} compared`),
    )
    return done
      ? { name: file.name, count: taken.count, broken: taken.broken.length, problems: taken.problems }
      : undefined
  })
}

const HEADINGS = 'columns remembered'
const TAGS = 'tags remembered'
const isTexts = (value: unknown): value is Record<string, string> =>
  typeof value === 'object' && value !== null && Object.values(value).every((v) => typeof v === 'string')

/** What was said before of the headings of tables and of tags. */
export async function remembered(store: Store): Promise<Remembered> {
  const [headings, tags] = [await store.setting(HEADINGS), await store.setting(TAGS)]
  return {
    ...(isTexts(headings) ? { headings: new Map(Object.entries(headings)) } : {}),
    ...(isTexts(tags) ? { tags } : {}),
  }
}

/** Remembers what was said of headings and tags of this file, for the next. */
export async function remember(store: Store, { shape }: FileHow): Promise<void> {
  const add = async (name: string, said: Record<string, string>): Promise<void> => {
    const before = await store.setting(name)
    await store.setSetting(name, { ...(isTexts(before) ? before : {}), ...said })
  }
  if (shape.table) {
    const { headings, columns } = shape.table
    const said = headings.map((h, i) => [
      h
        .trim()
        .toLowerCase()
        .replace(/[_\s]+/g, ' '),
      columns[i] ?? '',
    ])
    await add(HEADINGS, Object.fromEntries(said) as Record<string, string>)
  }
  if (shape.tags) await add(TAGS, { ...shape.tags.fields })
}
