'use client'
import { App } from 'antd'
import { plural } from '@/core/base'
import { takeSourceOut } from '@/core/doing'
import { describedSince, type Profile } from '@/core/profile'
import type { Review, Source } from '@/core/review'
import type { SourceInfo } from '@/standins/source-info'
import { useStore } from '@/page/provider'
import { useStaged } from '@/page/use-staged'
import { TextLine } from '@/ui/text-line'
import { DescribedSince } from './described-since'

/** A source of the plan, and why it was taken; of a database outside also through what and covering what. */
export function SourceRow({
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
