'use client'
import { Node } from '@tiptap/core'
import { NodeViewWrapper, ReactNodeViewRenderer, type ReactNodeViewProps } from '@tiptap/react'
import { useTarget } from './targets'

/** A reference to a table, the figure or an appendix: called what that is called now. */
export const PointerNode = Node.create({
  name: 'pointer',
  group: 'inline',
  inline: true,
  atom: true,
  selectable: true,
  addAttributes: () => ({ to: { default: '', parseHTML: (el) => el.getAttribute('data-to') } }),
  parseHTML: () => [{ tag: 'span[data-to]' }],
  renderHTML: ({ node }) => ['span', { 'data-to': String(node.attrs.to) }],
  addNodeView: () => ReactNodeViewRenderer(PointerView, { as: 'span' }),
})

function PointerView({ node, selected }: ReactNodeViewProps) {
  const { label, title, found } = useTarget(String(node.attrs.to))
  return (
    <NodeViewWrapper as="span">
      <span className={`pointer${found ? '' : ' missing'}${selected ? ' lit' : ''}`} title={title}>
        {label}
      </span>
    </NodeViewWrapper>
  )
}
