'use client'
import { Input, Select } from 'antd'
import { useState } from 'react'
import type { SourceChosen } from '@/core/doing'
import type { Source } from '@/core/review'
import { useSession, useStore } from '@/page/provider'
import { OTHER_WAYS, type OtherKind } from '../other-ways'
import { partsOf, type Place, type Target } from './bring-file'

const NEW = 'new '
const NEW_DATABASE = `${NEW}database`
/** Sources that are not in the plan yet and come into it with the file. */
const NEW_SOURCES = [
  { value: NEW_DATABASE, label: 'a database that is not in the plan yet' },
  ...(Object.keys(OTHER_WAYS) as OtherKind[]).map((kind) => ({
    value: `${NEW}${kind}`,
    label: `new: ${OTHER_WAYS[kind].label}`,
  })),
]
const kindOfNew = (value: string): SourceChosen['kind'] => value.slice(NEW.length) as SourceChosen['kind']

/** The source that a file is brought in for. */
export interface ChoiceOfSource {
  sources: readonly Source[]
  sourceId: string
  choose: (sourceId: string) => void
  /** Absent: it is not in the plan yet; then it has a kind, and is called so. */
  source: Source | undefined
  kind: SourceChosen['kind'] | undefined
  name: string | undefined
  setName: (name: string) => void
  called: string
  /** How many parts it has brought already, and whether these come beside them. */
  before: number
  place: Place
  setPlace: (place: Place) => void
}

export function useSourceChoice(target: Target): ChoiceOfSource {
  const store = useStore()
  const sources = useSession((s) => s.folded.review.sources)
  const [sourceId, setSourceId] = useState(target.source?.id ?? NEW_DATABASE)
  const [name, setName] = useState<string>()
  const [place, setPlace] = useState<Place>(target.place)
  const source = sources.find((s) => s.id === sourceId)
  const kind = source ? undefined : kindOfNew(sourceId)
  return {
    ...{ sources, sourceId, source, kind, name, setName, place, setPlace },
    choose: (id) => {
      setSourceId(id)
      setName(undefined)
    },
    called: (name ?? (kind && kind !== 'database' ? OTHER_WAYS[kind].name : '')).trim(),
    before: partsOf(store, sourceId).length,
  }
}

/** For which source, what a new one is called, and whether the records take the place of what it brought before. */
export function SourceChoice({
  choice: { sources, sourceId, choose, kind, name, setName, before, place, setPlace },
}: {
  choice: ChoiceOfSource
}) {
  return (
    <>
      <label>
        for{' '}
        <Select
          size="small"
          aria-label="Source of the records"
          value={sourceId}
          options={[...sources.map((s) => ({ value: s.id, label: s.name })), ...NEW_SOURCES]}
          onChange={choose}
          popupMatchSelectWidth={false}
        />
      </label>
      {kind && (
        <label>
          called{' '}
          <Input
            size="small"
            className="wide-5"
            aria-label="Name of the new source"
            value={name ?? (kind === 'database' ? '' : OTHER_WAYS[kind].name)}
            placeholder="as the section is to name it"
            onChange={(e) => setName(e.target.value)}
          />
        </label>
      )}
      {before > 0 && (
        <Select
          size="small"
          aria-label="Beside what was brought before, or in its place"
          value={place}
          options={[
            { value: 'beside', label: 'beside what it brought before' },
            { value: 'in place', label: 'in place of what it brought before' },
          ]}
          onChange={setPlace}
        />
      )}
    </>
  )
}
