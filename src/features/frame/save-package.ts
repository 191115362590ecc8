import type { Store } from '@/store/store'
import { fileName, saveFile } from '@/ui/save-file'

/** Saves the open review as a package file. */
export async function savePackage(store: Store): Promise<void> {
  const bytes = await store.packOpenReview()
  saveFile(
    fileName(store.session.getState().folded.review.title, 'luvren.zip'),
    bytes as BlobPart,
    'application/zip',
  )
}
