import { ok, type Result } from '@/core/base'
import type { Store } from '@/store/store'
import { fileName, saveFile } from '@/ui/save-file'
import { callback, longDesk, WorkerGone, type HandedAs } from '@/workers'
import { keepBackup } from './backup'

/** Told how many parts of how many are packed; stops it by answering no. */
type Progress = (done: number, of: number) => boolean

const WHOLE: HandedAs = { as: 'review' }

/** The open review as a package with everything that people read, made in the worker; undefined where it was stopped. */
export async function packageOf(
  store: Store,
  how: HandedAs = WHOLE,
  progress?: Progress,
): Promise<Result<Blob> | undefined> {
  try {
    return await longDesk().pack(store.packing(), how, progress && callback(progress))
  } catch (error) {
    if (!(error instanceof WorkerGone) || how.as !== 'review' || how.texts || how.names || how.rulings)
      throw error
    // Without the worker the review itself can still be packed, though not the files for people.
    return ok(new Blob([(await store.packOpenReview()) as BlobPart]))
  }
}

/** Saves a package as a file; a whole one is a backup. */
export async function saveAs(store: Store, how: HandedAs, file: Blob): Promise<void> {
  const { folded, entries } = store.session.getState()
  const { title } = folded.review
  saveFile(fileName(how.as === 'plan' ? how.title : title, 'luvren.zip'), file, 'application/zip')
  const whole = how.as === 'review' && !how.texts && !how.names && !how.rulings
  if (whole) await keepBackup(store, entries.length)
}

/** Saves everything of the open review at once. */
export async function saveBackup(store: Store): Promise<void> {
  const read = await packageOf(store)
  if (!read) return
  if (!read.ok) throw new Error(read.problems[0]?.message ?? 'The package could not be made.')
  await saveAs(store, WHOLE, read.value)
}

/**
 * Saves what can be saved of the open review, here on the page and without the files for people: where something is wrong
 * with it, or with this browser. Gives what it lacks, in words.
 */
export async function rescuePackage(store: Store): Promise<string> {
  const { bytes, lacks } = await store.rescue()
  saveFile(
    fileName(store.session.getState().folded.review.title, 'luvren.zip'),
    bytes as BlobPart,
    'application/zip',
  )
  return lacks
}
