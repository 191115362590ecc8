import { gridCsv, toMarkdown, worksheet, worksheetTree } from '@/core/account'
import type { Review } from '@/core/review'
import { sourceInfo } from '@/standins/source-info'
import { fileName, saveFile } from '@/ui/save-file'
import { saveWord } from '../shared/word-files'

export type GridFile = 'csv' | 'docx' | 'md'

/** Saves the grid as a table, or the plan as a worksheet for a librarian. */
export async function saveGrid(review: Review, as: GridFile): Promise<void> {
  const name = fileName(review.title, as)
  if (as === 'csv') return saveFile(name, gridCsv(review), 'text/csv')
  const tree = worksheetTree(worksheet(review, (s) => sourceInfo(review, s).profile))
  if (as === 'md') return saveFile(name, toMarkdown(tree), 'text/markdown')
  return saveWord(name, tree)
}
