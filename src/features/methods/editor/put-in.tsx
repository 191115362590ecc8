'use client'
import type { Editor } from '@tiptap/core'
import { addColumnAfter, addRowAfter, deleteColumn, deleteRow } from '@tiptap/pm/tables'
import { useEditorState } from '@tiptap/react'
import { Dropdown, Input, Modal } from 'antd'
import { useRef, useState, type ReactNode } from 'react'
import { useStore } from '@/page/provider'
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
  const [asked, setAsked] = useState<'note' | 'comment'>()
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
          <Press run={() => setAsked('note')}>a note</Press>
          <Dropdown
            trigger={['click']}
            getPopupContainer={() => home.current!.closest<HTMLElement>('.passage')!}
            menu={{
              items: targets.map(({ to, label, title }) => ({ key: to, label: `${label}: ${title}` })),
              onClick: ({ key }) => putBehind(editor, { type: 'pointer', attrs: { to: key } }),
            }}
          >
            <button className="plain link" onMouseDown={(e) => e.preventDefault()}>
              a reference
            </button>
          </Dropdown>
          <Press disabled={!chosen} run={() => setAsked('comment')} why="choose words first">
            a comment
          </Press>
        </>
      )}
      {asked === 'comment' && <SayOf editor={editor} close={() => setAsked(undefined)} />}
      {asked === 'note' && <NoteTo editor={editor} close={() => setAsked(undefined)} />}
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

/** Puts something behind the words that are chosen, which stay. */
function putBehind(editor: Editor, content: object): void {
  editor.chain().focus().insertContentAt(editor.state.selection.to, content).run()
}

/** Says something of the chosen words. */
function SayOf({ editor, close }: { editor: Editor; close: () => void }) {
  const { inName, newId, now, session } = useStore()
  const say = (words: string): void => {
    inName(() => {
      const comment = { id: newId(), by: session.getState().person, at: now(), words }
      editor.chain().focus().setMark('comment', comment).run()
    }, 'say')
  }
  return (
    <WordsAsked
      title="Say something of these words"
      why="It stands beside the text for those who write with you, and in Word files."
      label="What you say of these words"
      okText="Say it"
      take={say}
      close={close}
    />
  )
}

/** A note to what is being written. It is put in with its words: one without words never stands in the text. */
function NoteTo({ editor, close }: { editor: Editor; close: () => void }) {
  return (
    <WordsAsked
      title="A note at the foot of the page"
      why="Its sign stands where the cursor is."
      label="Words at the foot of the page"
      okText="Put it in"
      take={(words) => putBehind(editor, { type: 'footnote', attrs: { words } })}
      close={close}
    />
  )
}

function WordsAsked({
  title,
  why,
  label,
  okText,
  take,
  close,
}: {
  title: string
  why: string
  label: string
  okText: string
  take: (words: string) => void
  close: () => void
}) {
  const [words, setWords] = useState('')
  const say = (): void => {
    if (!words.trim()) return
    take(words.trim())
    close()
  }
  return (
    <Modal open title={title} okText={okText} onOk={say} onCancel={close} width={440}>
      <p className="sub">{why}</p>
      <Input.TextArea
        autoFocus
        aria-label={label}
        value={words}
        onChange={(e) => setWords(e.target.value)}
        onKeyDown={(e) => {
          if (e.key !== 'Enter' || e.shiftKey || e.nativeEvent.isComposing) return
          e.preventDefault()
          say()
        }}
        autoSize={{ minRows: 2, maxRows: 8 }}
      />
    </Modal>
  )
}
