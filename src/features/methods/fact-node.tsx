'use client'
import { mergeAttributes, Node } from '@tiptap/core'
import { NodeSelection, Plugin, TextSelection } from '@tiptap/pm/state'
import type { EditorView } from '@tiptap/pm/view'
import { NodeViewWrapper, ReactNodeViewRenderer, type ReactNodeViewProps } from '@tiptap/react'
import { Tooltip } from 'antd'
import { resolveFact } from '@/core/account'
import { useFactContext } from '@/page/use-account'
import { useLeadTo } from '@/page/use-lead-to'

/** If a fact alone is chosen, puts the cursor behind it: what comes next must not take its place. */
function stepBehind({ state, dispatch }: EditorView): void {
  const { selection, tr } = state
  if (selection instanceof NodeSelection && selection.node.type.name === 'fact')
    dispatch(tr.setSelection(TextSelection.near(tr.doc.resolve(selection.to), 1)))
}

const MOVES = new Set(['Home', 'End', 'PageUp', 'PageDown'])
/** A chosen fact goes by the keys that remove, not by typing or pasting over it. */
const KEEPS_FACTS = new Plugin({
  props: {
    handleKeyDown: (view, e) => {
      if (MOVES.has(e.key)) stepBehind(view)
      return false
    },
    handlePaste: (view) => {
      stepBehind(view)
      return false
    },
    handleTextInput: (view, _from, _to, text) => {
      if (!(view.state.selection instanceof NodeSelection)) return false
      stepBehind(view)
      view.dispatch(view.state.tr.insertText(text))
      return true
    },
  },
})

/** A fact in the editor: one piece that can be moved or removed but not typed into. Its words come from the record. */
export const FactNode = Node.create({
  name: 'fact',
  group: 'inline',
  inline: true,
  atom: true,
  selectable: true,
  addAttributes: () => ({
    ref: {
      default: '',
      parseHTML: (el) => el.getAttribute('data-fact'),
      renderHTML: (a) => ({ 'data-fact': String(a.ref) }),
    },
  }),
  parseHTML: () => [{ tag: 'span[data-fact]' }],
  renderHTML: ({ HTMLAttributes }) => ['span', mergeAttributes(HTMLAttributes)],
  addProseMirrorPlugins: () => [KEEPS_FACTS],
  addNodeView: () => ReactNodeViewRenderer(FactView, { as: 'span' }),
})

function FactView({ node, selected }: ReactNodeViewProps) {
  const context = useFactContext()
  const lead = useLeadTo(context.review)
  const ref = String(node.attrs.ref)
  const fact = resolveFact(context, ref)
  const italic = /^\^?terms\.(?:most|few)/.test(ref) && !fact.missing
  return (
    <NodeViewWrapper as="span">
      <Tooltip
        mouseEnterDelay={0.3}
        title={
          <>
            From {fact.from}.{' '}
            <button className="plain link" onClick={() => lead(fact)}>
              Show it
            </button>
          </>
        }
      >
        <span className={`fact${fact.missing ? ' missing' : ''}${selected ? ' lit' : ''}`} data-fact={ref}>
          {italic ? <i>{fact.text}</i> : fact.text}
        </span>
      </Tooltip>
    </NodeViewWrapper>
  )
}
