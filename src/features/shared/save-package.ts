import type { Store } from '@/store/store'
import { fileName, saveFile } from '@/ui/save-file'

/**
 * Saves the open review as a package file; asks first what whoever worked on it here is called, where nobody has said so.
 * The demo and what others did needs no name of ours.
 */
export function handOn(store: Store): void {
  const { session, inName, deed, nameMe } = store
  const { entries, person } = session.getState()
  const save = (): void => deed(nameMe().then(() => savePackage(store)))
  if (entries.some((e) => e.by === person)) inName(save, 'hand on')
  else save()
}

/** Saves the open review as a package file at once: also what can be saved where something is wrong. */
export async function savePackage(store: Store): Promise<void> {
  const bytes = await store.packOpenReview()
  saveFile(
    fileName(store.session.getState().folded.review.title, 'luvren.zip'),
    bytes as BlobPart,
    'application/zip',
  )
}
