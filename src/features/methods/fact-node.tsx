'use client'
import { mergeAttributes, Node } from '@tiptap/core'
import { NodeViewWrapper, ReactNodeViewRenderer, type ReactNodeViewProps } from '@tiptap/react'
import { Tooltip } from 'antd'
import { resolveFact } from '@/core/account'
import { useFactContext } from '@/store/use-account'

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
  addNodeView: () => ReactNodeViewRenderer(FactView, { as: 'span' }),
})

function FactView({ node, selected }: ReactNodeViewProps) {
  const context = useFactContext()
  const ref = String(node.attrs.ref)
  const fact = resolveFact(context, ref)
  const italic = /^terms\.(words|headings)/.test(ref) && !fact.missing
  return (
    <NodeViewWrapper as="span">
      <Tooltip title={`From ${fact.from}`} mouseEnterDelay={0.3}>
        <span className={`fact${fact.missing ? ' missing' : ''}${selected ? ' lit' : ''}`} data-fact={ref}>
          {italic ? <i>{fact.text}</i> : fact.text}
        </span>
      </Tooltip>
    </NodeViewWrapper>
  )
}
