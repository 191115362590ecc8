'use client'
import { freezeSection } from '@/core/doing'
import { Button, Input, Select } from 'antd'
import { diffWords } from 'diff'
import { useState } from 'react'
import { digestWords, pluralInWords } from '@/core/base'
import {
  dateWords,
  factsIn,
  freezeText,
  frozenBytes,
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
import { useYields } from '@/page/yields'
import { TreeView } from '../shared/tree-view'
import { Deposited } from './deposited'
import { sectionOf } from './section-files'
import { TreeExports } from './tree-exports'

/** Texts that were frozen: named, to be read again and compared. What is frozen never changes. */
export function VersionsPane({
  context,
  told,
  passages,
}: {
  context: FactContext
  told: Told
  passages: readonly Passage[]
}) {
  const frozen = context.review.frozenTexts ?? []
  const [chosen, setChosen] = useState<string>()
  const shown = frozen.find((f) => f.id === chosen) ?? frozen.at(-1)
  return (
    <div className="page" id="versions">
      <div className="page-head">
        <h1>Frozen texts</h1>
      </div>
      <FreezeText context={context} told={told} passages={passages} />
      <Deposited context={context} />
      {shown && (
        <>
          <ul className="frozen-list">
            {frozen.toReversed().map((f) => (
              <li key={f.id}>
                <button className="plain" aria-current={f.id === shown.id} onClick={() => setChosen(f.id)}>
                  <b>{f.name}</b>{' '}
                  <span className="sub">
                    {f.purpose === 'submission' ? 'for submission' : 'a version'}, {dateWords(f.at)}
                  </span>
                </button>
              </li>
            ))}
          </ul>
          <Frozen key={shown.id} frozen={shown} context={context} told={told} passages={passages} />
        </>
      )}
    </div>
  )
}

function FreezeText({
  context,
  told,
  passages,
}: {
  context: FactContext
  told: Told
  passages: readonly Passage[]
}) {
  const { deed, doIt, lay, now } = useStore()
  const [name, setName] = useState('')
  const [purpose, setPurpose] = useState<FrozenText['purpose']>('submission')
  const counting = useYields((s) => s.counting)
  const last = context.entries?.at(-1)
  const freeze = async (): Promise<void> => {
    if (!last) return
    const at = now()
    const tree = await sectionOf(context, told, passages)
    const journal = { seq: last.seq, digest: last.digest }
    const text = freezeText(tree, factsIn(context, passages), context.figures, journal, at)
    await lay(async ({ keepBytes }) =>
      doIt(freezeSection, {
        name,
        at,
        digest: await keepBytes(frozenBytes(text)),
        journal: last.digest,
        purpose,
      }),
    )
    setName('')
  }
  return (
    <>
      <p className="serif">
        A frozen text keeps its words, numbers and appendices, whatever you do afterwards, and prints the
        state of the record that it was made from.
      </p>
      <p className="in-row">
        <Input
          size="small"
          placeholder="as sent to the supervisor"
          aria-label="Name of the frozen text"
          value={name}
          onChange={(e) => setName(e.target.value)}
          className="at-most"
        />
        <Select
          size="small"
          aria-label="What it is frozen for"
          value={purpose}
          onChange={setPurpose}
          options={[
            { value: 'submission', label: 'for submission' },
            { value: 'version', label: 'as a version' },
          ]}
          popupMatchSelectWidth={false}
        />
        <Button
          size="small"
          disabled={counting || !name.trim() || !passages.length}
          onClick={() => deed(freeze())}
        >
          Freeze the text
        </Button>
      </p>
    </>
  )
}

/** The text of a section without its appendices. */
const running = (tree: DocumentTree): string => {
  const end = tree.blocks.findIndex((b) => b.kind === 'heading' && b.page)
  return tree.blocks
    .slice(0, end < 0 ? undefined : end)
    .flatMap((b) => (b.kind === 'paragraph' || b.kind === 'heading' ? [wordsOfCell(b.content)] : []))
    .join('\n')
}

function Frozen({
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
