'use client'
import { dropOwnWords } from '@/core/doing'
import { EditorContent, useEditor } from '@tiptap/react'
import StarterKit from '@tiptap/starter-kit'
import { useEffect, useMemo, useRef, useState } from 'react'
import type { FactContext, Paragraph, Passage } from '@/core/account'
import type { Command, PassageContent } from '@/core/review'
import { useStore } from '@/page/provider'
import { BesideDraft } from './beside-draft'
import { CommentMark } from './editor/comment-mark'
import { PointerNode } from './editor/pointer-node'
import { FootnoteNode } from './editor/footnote-node'
import { PutIn } from './editor/put-in'
import { TABLES } from './editor/table-nodes'
import './editor/editor.css'
import { FactNode } from './fact-node'

const COMMIT_AFTER = 3000

/**
 * One passage of the account, edited in place. As long as nobody has touched it, it follows the record; from the first
 * change on it is the writer's, and only its facts go on following.
 */
export function PassageEditor({
  passage,
  draft,
  context,
}: {
  passage: Passage
  /** As the record would have it now. */
  draft: readonly Paragraph[]
  context: FactContext
}) {
  const [beside, setBeside] = useState(false)
  const { commitEdit, deed, doIt, refuse, typeEdit } = useStore()
  const key = `passage-${passage.id}`
  const json = JSON.stringify(passage.content)
  const shown = useRef(json)
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  const waiting = useRef<Command>(undefined)
  const extensions = useMemo(
    () => [
      StarterKit.configure({
        heading: { levels: [2, 3] },
        codeBlock: false,
        code: false,
        horizontalRule: false,
        trailingNode: false,
      }),
      FactNode,
      PointerNode,
      FootnoteNode,
      CommentMark,
      ...TABLES,
    ],
    [],
  )
  const finish = useRef(() => {
    clearTimeout(timer.current)
    const command = waiting.current
    if (!command) return
    try {
      deed(commitEdit(key, command))
      waiting.current = undefined
    } catch (error) {
      refuse(error)
    }
  })
  const editor = useEditor({
    immediatelyRender: false,
    extensions,
    content: { type: 'doc', content: JSON.parse(json) },
    editorProps: { attributes: { 'aria-label': passage.title, role: 'textbox', 'aria-multiline': 'true' } },
    onUpdate: ({ editor: e }) => {
      const content = (e.getJSON().content ?? []) as PassageContent
      shown.current = JSON.stringify(content)
      const command: Command = { kind: 'account.edit', payload: { passage: passage.id, content } }
      waiting.current = command
      typeEdit(key, command)
      clearTimeout(timer.current)
      timer.current = setTimeout(() => finish.current(), COMMIT_AFTER)
    },
    onBlur: () => finish.current(),
  })
  useEffect(() => {
    const end = finish.current
    return end
  }, [])
  // What comes from the record or from another tab takes the place of what is shown, but never of what is being typed.
  useEffect(() => {
    if (!editor || json === shown.current || waiting.current) return
    shown.current = json
    editor.commands.setContent({ type: 'doc', content: JSON.parse(json) }, { emitUpdate: false })
  }, [editor, json])

  return (
    <section className="passage" id={`passage-${passage.id}`} aria-label={passage.title}>
      <div className="passage-head">
        <span>{passage.title}</span>
        {editor && <PutIn editor={editor} />}
        {passage.edited && (
          <span className="sub">
            in your words{' · '}
            <button className="plain link" aria-expanded={beside} onClick={() => setBeside(!beside)}>
              beside the draft
            </button>
            {' · '}
            <button className="plain link" onClick={() => deed(doIt(dropOwnWords, { passage: passage.id }))}>
              draft anew
            </button>
          </span>
        )}
      </div>
      <div className="account">
        <EditorContent editor={editor} />
      </div>
      {passage.edited && beside && <BesideDraft passage={passage} draft={draft} context={context} />}
    </section>
  )
}
