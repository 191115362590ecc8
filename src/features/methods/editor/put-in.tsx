'use client'
import type { Editor } from '@tiptap/core'
import { addColumnAfter, addRowAfter, deleteColumn, deleteRow } from '@tiptap/pm/tables'
import { useEditorState } from '@tiptap/react'
import { Dropdown, Input, Modal } from 'antd'
import { useRef, useState, type ReactNode } from 'react'
import { useStore } from '@/store/provider'
import { dropTable, putTable } from './table-nodes'
import { useTargets } from './targets'

const TABLE_DEEDS = [
  ['one more row', addRowAfter],
  ['one more column', addColumnAfter],
  ['without the row', deleteRow],
  ['without the column', deleteColumn],
] as const

/** What can be put into the part that is being written; seen only while one writes there. */
export function PutIn({ editor }: { editor: Editor }) {
  const { newId } = useStore()
  const [saying, setSaying] = useState(false)
  const home = useRef<HTMLSpanElement>(null)
  const { inTable, chosen } = useEditorState({
    editor,
    selector: ({ editor: e }) => ({ inTable: e.isActive('table'), chosen: !e.state.selection.empty }),
  })
  const targets = useTargets((s) => s.targets)
  return (
    <span className="put-in sub" ref={home}>
      {inTable ? (
        <>
          {TABLE_DEEDS.map(([label, run]) => (
            <Press key={label} run={() => run(editor.state, editor.view.dispatch)}>
              {label}
            </Press>
          ))}
          <Press run={() => dropTable(editor)}>without the table</Press>
        </>
      ) : (
        <>
          put in
          <Press run={() => putTable(editor, newId())}>a table</Press>
          <Press run={() => editor.chain().focus().insertContent({ type: 'footnote' }).run()}>a note</Press>
          <Dropdown
            trigger={['click']}
            getPopupContainer={() => home.current!.closest<HTMLElement>('.passage')!}
            menu={{
              items: targets.map(({ to, label, title }) => ({ key: to, label: `${label}: ${title}` })),
              onClick: ({ key }) =>
                editor
                  .chain()
                  .focus()
                  .insertContent({ type: 'pointer', attrs: { to: key } })
                  .run(),
            }}
          >
            <button className="plain link" onMouseDown={(e) => e.preventDefault()}>
              a reference
            </button>
          </Dropdown>
          <Press disabled={!chosen} run={() => setSaying(true)} why="choose words first">
            a comment
          </Press>
        </>
      )}
      {saying && <SayOf editor={editor} close={() => setSaying(false)} />}
    </span>
  )
}

/** A button that leaves the cursor where it is. */
function Press({
  run,
  children,
  disabled = false,
  why,
}: {
  run: () => unknown
  children: ReactNode
  disabled?: boolean
  why?: string
}) {
  return (
    <button
      className="plain link"
      disabled={disabled}
      title={disabled ? why : undefined}
      onMouseDown={(e) => e.preventDefault()}
      onClick={() => run()}
    >
      {children}
    </button>
  )
}

/** Says something of the chosen words. */
function SayOf({ editor, close }: { editor: Editor; close: () => void }) {
  const { inName, newId, now, session } = useStore()
  const [words, setWords] = useState('')
  const say = (): void => {
    if (!words.trim()) return
    inName(() => {
      const comment = { id: newId(), by: session.getState().person, at: now(), words: words.trim() }
      editor.chain().focus().setMark('comment', comment).run()
    }, 'say')
    close()
  }
  return (
    <Modal open title="Say something of these words" okText="Say it" onOk={say} onCancel={close} width={440}>
      <p className="sub">It stands beside the text for those who write with you, and in Word files.</p>
      <Input.TextArea
        autoFocus
        aria-label="What you say of these words"
        value={words}
        onChange={(e) => setWords(e.target.value)}
        autoSize={{ minRows: 2, maxRows: 8 }}
      />
    </Modal>
  )
}
