'use client'
import { toHtml, toMarkdown, type DocumentTree } from '@/core/account'
import { useStore } from '@/page/provider'
import { fileName, saveFile } from '@/ui/save-file'
import { saveWord } from '../shared/word-files'

/** A document to take along: as Word, HTML or Markdown. */
export function TreeExports({ tree, name }: { tree: DocumentTree; name: string }) {
  const { deed } = useStore()
  return (
    <p className="sub">
      Save as{' '}
      <button className="plain link" onClick={() => deed(saveWord(fileName(name, 'docx'), tree))}>
        Word
      </button>
      {' · '}
      <button
        className="plain link"
        onClick={() => saveFile(fileName(name, 'html'), toHtml(tree), 'text/html')}
      >
        HTML
      </button>
      {' · '}
      <button
        className="plain link"
        onClick={() => saveFile(fileName(name, 'md'), toMarkdown(tree), 'text/markdown')}
      >
        Markdown
      </button>
    </p>
  )
}
