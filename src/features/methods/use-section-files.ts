import { App } from 'antd'
import { useMemo } from 'react'
import type { DocumentTree, FactContext, Passage } from '@/core/account'
import { messageOf } from '@/core/base'
import type { Action } from '@/page/actions'
import { useSession, useStore } from '@/page/provider'
import { useYields } from '@/page/yields'
import { fileName, saveFile } from '@/ui/save-file'
import { handOn } from '../shared/hand-on/hand-on-dialog'
import { saveWord } from '../shared/word-files'

/** What writes a file is fetched when one is asked for. */
const writers = (): Promise<typeof import('./section-writers')> => import('./section-writers')

/** The files that the section can be saved as, and the package of the review. */
export function useSectionFiles(context: FactContext, passages: readonly Passage[]): Action[] {
  const store = useStore()
  const { deed } = store
  const { message } = App.useApp()
  const { review } = context
  const told = useSession((s) => s.told)
  // A file that is made while words are counted would hold another text than the one that is read a moment later.
  const counting = useYields((s) => s.counting)
  return useMemo<Action[]>(() => {
    const title = review.title || 'Search and selection'
    const failed = (error: unknown): void => {
      message.error(`The file could not be made: ${messageOf(error)}`)
    }
    const file =
      (ending: string, type: string, write: (tree: DocumentTree) => Promise<BlobPart> | BlobPart) =>
      (): void =>
        deed(
          writers()
            .then((w) => w.sectionOf(context, told, passages))
            .then(write)
            .then((bytes) => saveFile(fileName(title, ending), bytes, type))
            .catch(failed),
        )
    const files: Action[] = [
      {
        id: 'word',
        label: 'Word',
        key: 'E',
        strip: true,
        run: () =>
          deed(
            writers()
              .then((w) => w.sectionOf(context, told, passages))
              .then((tree) => saveWord(fileName(title, 'docx'), tree))
              .catch(failed),
          ),
      },
      {
        id: 'markdown',
        label: 'Markdown',
        key: 'M',
        strip: true,
        run: file('md', 'text/markdown', async (tree) => (await writers()).toMarkdown(tree)),
      },
      {
        id: 'html',
        label: 'HTML',
        key: 'H',
        run: file('html', 'text/html', async (tree) => (await writers()).toHtml(tree)),
      },
      {
        id: 'latex',
        label: 'LaTeX',
        key: 'L',
        run: file('tex', 'application/x-tex', async (tree) => (await writers()).toLatex(tree)),
      },
    ]
    return [
      ...(counting ? [] : files),
      {
        id: 'methods-package',
        label: 'Package',
        key: 'P',
        strip: true,
        run: () => handOn(store),
      },
    ]
  }, [context, counting, deed, message, passages, review.title, store, told])
}
