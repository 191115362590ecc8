import { gridCsv, worksheet, worksheetMarkdown } from '@/core/account'
import type { Review } from '@/core/review'
import { sourceInfo } from '@/standins/source-info'
import { fileName, saveFile } from '@/ui/save-file'

export type GridFile = 'csv' | 'docx' | 'md'

/** Saves the grid as a table, or the plan as a worksheet for a librarian. */
export async function saveGrid(review: Review, as: GridFile): Promise<void> {
  const name = fileName(review.title, as)
  if (as === 'csv') return saveFile(name, gridCsv(review), 'text/csv')
  const sheet = worksheet(review, (s) => sourceInfo(review, s).profile)
  if (as === 'md') return saveFile(name, worksheetMarkdown(sheet), 'text/markdown')
  // The writer of Word files is heavy: it is loaded when a Word file is asked for.
  const { worksheetWord } = await import('@/core/account/documents/worksheet-word')
  saveFile(
    name,
    (await worksheetWord(sheet)) as BlobPart,
    'application/vnd.openxmlformats-officedocument.wordprocessingml.document',
  )
}
