'use client'
import { Button, Dropdown } from 'antd'
import { useState } from 'react'
import { dateWords } from '@/core/account'
import { addDescribed, addSources, addUnnamed } from '@/core/doing'
import { SourceKind, type Review } from '@/core/review'
import { STANDINS } from '@/standins'
import type { SourceInfo } from '@/standins/source-info'
import { useStore } from '@/page/provider'
import { later } from '@/ui/later'
import { KeyHint } from '../shared/key-hint'
import { OTHER_WAYS, type OtherKind } from '../shared/other-ways'
import { SourceRow } from './source-row'
import { useDescriptionFile } from './use-description-file'
import { useDescriptions } from './use-descriptions'

/** The form in which a database is described, with all that reads and tries out: read when it is opened. */
const ProfileEditor = later(() => import('./profile-editor').then((m) => m.ProfileEditor))

/** Where to look, and why there: databases, and other ways to find works. */
export function SourcesPlan({ review, sources }: { review: Review; sources: readonly SourceInfo[] }) {
  const { deed, doIt, newId } = useStore()
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

  const file = useDescriptionFile()
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
