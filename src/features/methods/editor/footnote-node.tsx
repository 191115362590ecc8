'use client'
import { Node } from '@tiptap/core'
import { NodeViewWrapper, ReactNodeViewRenderer, type ReactNodeViewProps } from '@tiptap/react'
import { Input, Popover } from 'antd'
import { useState } from 'react'

/** Words at the foot of the page, at their place in the text; they are written and read where the sign is pressed. */
export const FootnoteNode = Node.create({
  name: 'footnote',
  group: 'inline',
  inline: true,
  atom: true,
  selectable: true,
  addAttributes: () => ({ words: { default: '', parseHTML: (el) => el.getAttribute('data-footnote') } }),
  parseHTML: () => [{ tag: 'sup[data-footnote]' }],
  renderHTML: ({ node }) => ['sup', { 'data-footnote': String(node.attrs.words) }],
  addNodeView: () => ReactNodeViewRenderer(FootnoteView, { as: 'span' }),
})

function FootnoteView({ node, editor, deleteNode, updateAttributes, selected }: ReactNodeViewProps) {
  const words = String(node.attrs.words)
  const [open, setOpen] = useState(false)
  const close = (kept: string): void => {
    setOpen(false)
    if (!kept.trim()) deleteNode()
    else if (kept.trim() !== words) updateAttributes({ words: kept.trim() })
    editor.commands.focus()
  }
  return (
    <NodeViewWrapper as="span">
      <Popover
        open={open}
        trigger="click"
        destroyOnHidden
        onOpenChange={(to) => to && setOpen(true)}
        content={
          <Input.TextArea
            autoFocus
            aria-label="Words at the foot of the page"
            placeholder="at the foot of the page …"
            defaultValue={words}
            autoSize={{ minRows: 2, maxRows: 8 }}
            className="wide-7"
            onBlur={(e) => close(e.target.value)}
            onKeyDown={(e) => {
              if (e.key === 'Escape') close(words)
              if (e.key === 'Enter' && !e.shiftKey) {
                e.preventDefault()
                close(e.currentTarget.value)
              }
            }}
          />
        }
      >
        <sup className={`footnote${selected ? ' lit' : ''}`} title={words} role="button" tabIndex={-1}>
          note
        </sup>
      </Popover>
    </NodeViewWrapper>
  )
}
