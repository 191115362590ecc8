'use client'
import { diffWords } from 'diff'
import { useState } from 'react'
import { digestWords, pluralInWords } from '@/core/base'
import {
  factsIn,
  readFrozen,
  wordsOfCell,
  type DocumentTree,
  type FactContext,
  type FrozenDocument,
  type Passage,
} from '@/core/account'
import type { Told } from '@/core/figures'
import type { FrozenText } from '@/core/review'
import { useStore } from '@/page/provider'
import { useAsked } from '@/page/use-asked'
import { TreeView } from '../shared/tree-view'
import { sectionOf } from './section-files'
import { TreeExports } from './tree-exports'

/** The text of a section without its appendices. */
const running = (tree: DocumentTree): string => {
  const end = tree.blocks.findIndex((b) => b.kind === 'heading' && b.page)
  return tree.blocks
    .slice(0, end < 0 ? undefined : end)
    .flatMap((b) => (b.kind === 'paragraph' || b.kind === 'heading' ? [wordsOfCell(b.content)] : []))
    .join('\n')
}

/** A frozen text: what changed in its facts since, to be read, saved, or compared with the text as it is now. */
export function Frozen({
  frozen,
  context,
  told,
  passages,
}: {
  frozen: FrozenText
  context: FactContext
  told: Told
  passages: readonly Passage[]
}) {
  const { bytesOf } = useStore()
  const [compared, setCompared] = useState(false)
  const read = useAsked(async () => {
    const bytes = await bytesOf(frozen.digest)
    if (!bytes) throw new Error('The text lies in a file that this browser does not have any more.')
    const found = readFrozen(bytes)
    if (!found.ok) throw new Error(found.problems[0]!.message)
    return found.value
  }, [frozen.digest, bytesOf])
  if (read.failed) return <p className="sub">{String(read.failed)}</p>
  if (!read.value) return null
  const { tree, journal, facts } = read.value
  const now = factsIn(context, passages)
  const changed = Object.keys(facts).filter((ref) => now[ref] !== undefined && now[ref] !== facts[ref])
  return (
    <section aria-label={frozen.name}>
      <p className="sub">
        Behind entry {journal.seq}. To read out: <b>{digestWords(journal.digest)}</b>
      </p>
      <p>
        {changed.length
          ? `Since then ${pluralInWords(changed.length, 'fact')} of it changed.`
          : 'All its facts are as they were.'}{' '}
        <button className="plain link" onClick={() => setCompared(!compared)}>
          {compared ? 'read the frozen text' : 'compare it with the text as it is now'}
        </button>
      </p>
      {compared ? (
        <Compared was={read.value} context={context} told={told} passages={passages} />
      ) : (
        <>
          <TreeExports tree={tree} name={`${tree.title} ${frozen.name}`} />
          <TreeView tree={tree} />
        </>
      )}
    </section>
  )
}

function Compared({
  was,
  context,
  told,
  passages,
}: {
  was: FrozenDocument
  context: FactContext
  told: Told
  passages: readonly Passage[]
}) {
  const { value } = useAsked(() => sectionOf(context, told, passages), [context, told, passages], {
    keep: true,
  })
  if (!value) return null
  return (
    <div className="compared account" aria-label="What changed since">
      {diffWords(running(was.tree), running(value)).map((part, n) =>
        part.added ? (
          <ins key={n}>{part.value}</ins>
        ) : part.removed ? (
          <del key={n}>{part.value}</del>
        ) : (
          <span key={n}>{part.value}</span>
        ),
      )}
    </div>
  )
}
