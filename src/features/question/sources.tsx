'use client'
import { App, Button, Dropdown } from 'antd'
import { useState } from 'react'
import { noJsonAt, plural } from '@/core/base'
import { addDescribed, addSources, addUnnamed, takeSourceOut } from '@/core/doing'
import { dateWords } from '@/core/account'
import { describedSince, readDescription, type Profile } from '@/core/profile'
import { SourceKind, type Review, type Source } from '@/core/review'
import { STANDINS } from '@/standins'
import { useDoor } from '@/store/handed-in'
import { useStore } from '@/store/provider'
import type { SourceInfo } from '@/standins/source-info'
import { useStaged } from '@/store/use-staged'
import { useFilePick } from '@/ui/file-pick'
import { TextLine } from '@/ui/text-line'
import { later } from '@/ui/later'
import { KeyHint } from '../shared/key-hint'
import { DescribedSince } from './described-since'
import { useDescriptions } from './use-descriptions'
import { OTHER_WAYS, type OtherKind } from '../shared/other-ways'

/** The form in which a database is described, with all that reads and tries out: read when it is opened. */
const ProfileEditor = later(() => import('./profile-editor').then((m) => m.ProfileEditor))

/** Where to look, and why there: databases, and other ways to find works. */
export function SourcesPlan({ review, sources }: { review: Review; sources: readonly SourceInfo[] }) {
  const store = useStore()
  const { deed, doIt, newId } = store
  const { modal } = App.useApp()
  const [described, setDescribed] = useState<string>()
  const editing = sources.find((s) => s.source.id === described)
  const describeNew = (): void => {
    const id = newId()
    deed(doIt(addUnnamed, { id }))
    setDescribed(id)
  }
  const shelf = useDescriptions(review.profiles)
  const before = shelf.filter((p) => !review.profiles.some((own) => own.id === p.id))
  const free = STANDINS.filter((s) => !review.sources.some((known) => known.profileId === s.id))

  const readFile = async (chosen: File): Promise<void> => {
    const text = await chosen.text()
    let value: unknown
    try {
      value = JSON.parse(text)
    } catch {
      modal.error({
        title: 'This file describes no database',
        content: `${chosen.name} is not JSON from ${noJsonAt(text) ?? 'its start'} on. A description is a JSON file, as docs/profiles.md shows.`,
      })
      return
    }
    const read = readDescription(value)
    if (!read.ok) {
      modal.error({
        title: 'This description cannot be used yet',
        content: (
          <ul>
            {read.problems.slice(0, 12).map((p, i) => (
              <li key={i}>{p.message}</li>
            ))}
          </ul>
        ),
      })
      return
    }
    await doIt(addDescribed, read.value)
  }
  const file = useFilePick('Description of a database', '.json,application/json', (chosen) =>
    deed(readFile(chosen)),
  )
  useDoor('description', (chosen) => deed(readFile(chosen)))
  return (
    <section aria-labelledby="sources-head" data-anchor="sources">
      <h2 id="sources-head">Where to look</h2>
      {sources.map((s) => (
        <SourceRow
          key={s.source.id}
          review={review}
          info={s}
          shelf={shelf}
          describe={() => setDescribed(s.source.id)}
        />
      ))}
      {!review.sources.length && (
        <p className="empty">
          Choose the databases to be searched, and other ways to find works. The databases offered here are
          invented and ship with Luvren; they really search.
        </p>
      )}
      <div className="in-row wraps above-2">
        <Dropdown
          autoFocus
          trigger={['click']}
          menu={{
            items: [
              ...before.map((p) => ({
                key: `before ${p.id}`,
                label: (
                  <>
                    {p.name}{' '}
                    <span className="sub">described before{p.day && `, on ${dateWords(p.day)}`}</span>
                  </>
                ),
              })),
              ...(before.length ? [{ type: 'divider' as const }] : []),
              ...free.map((s) => ({
                key: s.id,
                label: (
                  <>
                    {s.name} <span className="sub">{s.character}</span>
                  </>
                ),
              })),
              ...(free.length > 1 ? [{ key: 'all', label: `All ${free.length} of these` }] : []),
              { type: 'divider' as const },
              { key: 'file', label: 'A database of your own, from its description …' },
              { key: 'bare', label: 'A database of your own, described here …' },
            ],
            onClick: ({ key }) => {
              const known = before.find((p) => key === `before ${p.id}`)
              if (known) deed(doIt(addDescribed, known))
              else if (key === 'file') file.open()
              else if (key === 'bare') describeNew()
              else
                deed(
                  doIt(
                    addSources,
                    free
                      .filter((s) => key === s.id || key === 'all')
                      .map((s) => ({ kind: 'database' as const, name: s.name, profileId: s.id })),
                  ),
                )
            },
          }}
        >
          <Button size="small" id="add-database">
            Add a database
            <KeyHint of="source-add" />
          </Button>
        </Dropdown>
        <Dropdown
          autoFocus
          trigger={['click']}
          menu={{
            items: SourceKind.options
              .filter((k): k is OtherKind => k !== 'database')
              .map((k) => ({ key: k, label: OTHER_WAYS[k].label })),
            onClick: ({ key }) =>
              deed(doIt(addSources, [{ kind: key as OtherKind, name: OTHER_WAYS[key as OtherKind].name }])),
          }}
        >
          <Button size="small">Add another way</Button>
        </Dropdown>
        {file.input}
        {editing && (
          <ProfileEditor
            review={review}
            source={editing.source}
            profile={editing.profile}
            close={() => setDescribed(undefined)}
          />
        )}
      </div>
    </section>
  )
}

function SourceRow({
  review,
  info: { source, standin, profile },
  shelf,
  describe,
}: {
  review: Review
  info: SourceInfo
  shelf: readonly Profile[]
  describe: () => void
}) {
  const { deed, doIt } = useStore()
  const { modal } = App.useApp()
  const runs = review.runs.filter((r) => r.sourceId === source.id).length
  const imports = review.imports.filter((i) => i.sourceId === source.id)
  const since = profile && !standin ? describedSince(shelf, profile) : undefined
  const takeOut = (): Promise<void> => doIt(takeSourceOut, source.id)
  const remove = (): void => {
    if (!runs && !imports.length) return deed(takeOut())
    const records = imports.reduce((n, i) => n + i.count, 0)
    modal.confirm({
      title: `${source.name} has been searched`,
      content: `${plural(runs, 'run')} ${runs === 1 ? 'is' : 'are'} logged${
        records ? ` and ${plural(records, 'record')} brought in` : ''
      }. Out of the plan, the section tells of it only that it was searched and taken out${
        records ? ', and its records leave the review' : ''
      }; what was run stays in the journal, and undo brings all of it back.`,
      okText: 'Take it out',
      cancelText: 'Leave it',
      onOk: takeOut,
    })
  }
  const text = (key: 'name' | 'why' | 'platform' | 'coverage' | 'together') => ({
    field: `source-${key}-${source.id}`,
    kept: source[key] ?? '',
    command: (value: string) => ({
      kind: 'source.set' as const,
      payload: { ...source, [key]: value },
    }),
  })
  return (
    <div className="source" data-anchor={`source:${source.id}`}>
      <div className="in-row spread">
        {standin ? (
          <span>{source.name}</span>
        ) : (
          <Staged {...text('name')} label={`Name of ${source.name}`} placeholder="name" />
        )}
        <button className="plain remove" aria-label={`Remove ${source.name}`} onClick={remove}>
          ×
        </button>
      </div>
      <Staged
        {...text('why')}
        className="sub"
        label={`Why ${source.name}`}
        placeholder="why here? because …"
      />
      {source.kind === 'database' && !standin && (
        <div className="source-more">
          <Staged
            {...text('platform')}
            className="sub"
            label={`Platform of ${source.name}`}
            placeholder="through which platform?"
          />
          <Staged
            {...text('coverage')}
            className="sub"
            label={`Coverage of ${source.name}`}
            placeholder="covering what, from when to when?"
          />
          <Staged
            {...text('together')}
            className="sub"
            label={`Searched at once with ${source.name}`}
            placeholder="searched at once with which others?"
          />
          <button className="plain link sub" onClick={describe}>
            {profile ? 'how it speaks' : 'describe how it speaks'}
          </button>
          {profile && since && (
            <DescribedSince review={review} source={source} before={profile} since={since} />
          )}
        </div>
      )}
    </div>
  )
}

function Staged({
  field,
  kept,
  command,
  label,
  placeholder,
  className = '',
}: {
  field: string
  kept: string
  command: (value: string) => { kind: 'source.set'; payload: Source }
  label: string
  placeholder: string
  className?: string
}) {
  const staged = useStaged(field, kept, command)
  return <TextLine className={className} aria-label={label} placeholder={placeholder} {...staged} />
}
