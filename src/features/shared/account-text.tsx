'use client'
import { Tooltip } from 'antd'
import {
  inlinesOf,
  inlineWords,
  resolveFact,
  type FactContext,
  type Inline,
  type Paragraph,
} from '@/core/account'
import { useLeadTo } from '@/page/use-lead-to'
import { light } from '@/ui/light'

/** Paragraphs of the account for reading; facts light up where they come from. */
export function AccountText({ content, context }: { content: readonly Paragraph[]; context: FactContext }) {
  return content.map((block, i) => (
    <p key={i}>
      <InlineTexts content={[...inlinesOf(block)]} context={context} />
    </p>
  ))
}

/** Text with facts in it, within a line. */
export function InlineTexts({ content, context }: { content: readonly Inline[]; context: FactContext }) {
  return content.map((node, k) => <InlineText key={k} node={node} context={context} />)
}

function InlineText({ node, context }: { node: Inline; context: FactContext }) {
  const lead = useLeadTo(context.review)
  if (node.type === 'text') {
    const italic = node.marks?.some((m) => m.type === 'italic')
    return italic ? <i>{node.text}</i> : node.text
  }
  if (node.type !== 'fact') return inlineWords(context, node)
  const fact = resolveFact(context, node.attrs.ref)
  const go = (): void => lead(fact)
  const words =
    /^\^?terms\.(?:most|few)/.test(node.attrs.ref) && !fact.missing ? <i>{fact.text}</i> : fact.text
  return (
    <Tooltip title={`From ${fact.from}`} mouseEnterDelay={0.3}>
      <span
        className={`fact${fact.missing ? ' missing' : ''}`}
        tabIndex={0}
        role="link"
        data-from={fact.anchor}
        onMouseEnter={() => light(fact.anchor)}
        onMouseLeave={() => light(undefined)}
        onClick={go}
        onKeyDown={(e) => e.key === 'Enter' && go()}
      >
        {words}
      </span>
    </Tooltip>
  )
}
