'use client'
import { labelsOf, wordsOfCell, type Block, type Cell, type DocumentTree } from '@/core/account'
import './tree-view.css'

/** A document for reading, as its writers would write it; its facts are written out. */
export function TreeView({ tree }: { tree: DocumentTree }) {
  const labels = labelsOf(tree)
  return (
    <div className="tree account">
      {tree.blocks.map((block, n) => (
        <BlockView key={n} block={block} label={labels.get(block)} />
      ))}
    </div>
  )
}

const Text = ({ content }: { content: Cell }) =>
  content.map((node, n) => {
    if (node.type === 'footnote')
      return (
        <sup key={n} title={node.attrs.words}>
          note
        </sup>
      )
    const words = node.type === 'text' ? node.text : ''
    return node.type === 'text' && node.marks?.some((m) => m.type === 'italic') ? (
      <i key={n}>{words}</i>
    ) : (
      words
    )
  })

function BlockView({ block, label }: { block: Block; label: string | undefined }) {
  switch (block.kind) {
    case 'heading':
      return (
        <h2>
          <Text content={block.content} />
        </h2>
      )
    case 'paragraph':
      return (
        <p className={block.note ? 'sub' : undefined}>
          <Text content={block.content} />
        </p>
      )
    case 'list': {
      const items = block.items.map((item, n) => (
        <li key={n}>
          <Text content={item} />
        </li>
      ))
      return block.ordered ? <ol>{items}</ol> : <ul>{items}</ul>
    }
    case 'quote':
      return (
        <blockquote>
          {block.content.map((c, n) => (
            <p key={n}>
              <Text content={c} />
            </p>
          ))}
        </blockquote>
      )
    case 'table':
      return (
        <figure className="tree-table">
          {block.caption.length > 0 && (
            <figcaption className="sub">
              {label} <Text content={block.caption} />
            </figcaption>
          )}
          <table>
            <thead>
              <tr>
                {block.head.map((h, n) => (
                  <th key={n}>{h}</th>
                ))}
              </tr>
            </thead>
            <tbody>
              {block.rows.map((row, r) => (
                <tr key={r}>
                  {row.map((c, n) => (
                    <td key={n} className={block.mono?.includes(n) ? 'mono' : undefined}>
                      <Text content={c} />
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
          {block.notes?.map((note, n) => (
            <p key={n} className="sub">
              <Text content={note} />
            </p>
          ))}
        </figure>
      )
    case 'figure':
      return (
        <figure>
          {/* eslint-disable-next-line @next/next/no-img-element -- a drawing of our own, shown as a picture */}
          <img alt={block.alt} src={`data:image/svg+xml,${encodeURIComponent(block.svg)}`} />
          <figcaption className="sub">
            {label} {wordsOfCell(block.caption)}
          </figcaption>
        </figure>
      )
  }
}
