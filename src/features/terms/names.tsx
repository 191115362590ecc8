'use client'
import { useStore } from '@/page/provider'
import { Button, Select } from 'antd'
import { useMemo, useState } from 'react'
import { listed } from '@/core/base'
import { printFor } from '@/core/profile'
import { parse } from '@/core/query'
import { readOrcid } from '@/core/records'
import { NAMED_SORTS, type Concept, type Named } from '@/core/review'
import { nameForms, namedText } from '@/core/strategy'
import type { SourceInfo } from '@/standins/source-info'
import { Strand } from '@/ui/strand'
import { putTerms } from '../shared/term-commands'

const ABOUT: Record<Named['sort'], { label: string; name: string; help: string }> = {
  author: {
    label: 'An author',
    name: 'Ahola, Riikka Maria',
    help: 'Databases write names in full or with initials; all forms are asked for.',
  },
  test: {
    label: 'A test or measure',
    name: 'name of the measure',
    help: 'Where a database has a field for measures it is used, and the words are looked for in the text as well.',
  },
  'place studied': {
    label: 'A place studied',
    name: 'Norway',
    help: 'Where the study was done. Where its authors work is another matter: a limit by place of authors does not stand in for it.',
  },
  identifier: {
    label: 'An identifier',
    name: 'number of a standard, substance or article',
    help: 'Goes to the field of identifiers, as plain text.',
  },
}

/** Names that stand for a concept: people, measures, places, identifiers, in the forms that databases use. */
export function Names({ concept, sources }: { concept: Concept; sources: readonly SourceInfo[] }) {
  const store = useStore()
  const [sort, setSort] = useState<Named['sort']>('author')
  const [name, setName] = useState('')
  const [own, setOwn] = useState<string>()
  const [orcid, setOrcid] = useState('')
  const suggested = sort === 'author' ? nameForms(name) : [name.trim()].filter(Boolean)
  const forms = (own ?? suggested.join('; '))
    .split(';')
    .map((f) => f.trim())
    .filter(Boolean)
  const text = namedText(sort, forms)
  const check = sort === 'author' && orcid.trim() ? readOrcid(orcid) : undefined

  const take = (): void => {
    if (!text || !name.trim() || (check && !check.ok)) return
    putTerms(store, [
      {
        conceptId: concept.id,
        sourceId: 'all',
        kind: 'named',
        expression: text,
        origin: 'typed',
        named: { sort, name: name.trim(), forms, ...(check?.ok ? { orcid: check.value } : {}) },
      },
    ])
    setName('')
    setOwn(undefined)
    setOrcid('')
  }
  return (
    <section className="names" aria-label={`Names for ${concept.name}`}>
      <div className="pane-head">
        <h2>
          <Strand letter={concept.letter} /> Names
        </h2>
        <Select
          size="small"
          aria-label="What is named"
          value={sort}
          popupMatchSelectWidth={false}
          options={NAMED_SORTS.map((value) => ({ value, label: ABOUT[value].label }))}
          onChange={(value) => {
            setSort(value)
            setOwn(undefined)
          }}
        />
        <span className="sub">{ABOUT[sort].help}</span>
      </div>
      <div className="names-form">
        <label>
          <span className="sub">Name</span>
          <input
            className="line-input"
            id="named-name"
            placeholder={ABOUT[sort].name}
            value={name}
            onChange={(e) => {
              setName(e.target.value)
              setOwn(undefined)
            }}
            onKeyDown={(e) => {
              if (e.key === 'Enter') take()
              if (e.key === 'Escape') e.currentTarget.blur()
            }}
          />
        </label>
        {sort === 'author' && (
          <label>
            <span className="sub">ORCID, if known</span>
            <input
              className="line-input mono"
              placeholder="0000-0000-0000-0000"
              value={orcid}
              onChange={(e) => setOrcid(e.target.value)}
            />
            {check && (
              <span className={`sub${check.ok ? '' : ' warn'}`}>
                {check.ok ? 'its last character fits' : check.problems[0]?.message}
              </span>
            )}
          </label>
        )}
        <label className="across">
          <span className="sub">Forms, separated by semicolons</span>
          <input
            className="line-input"
            value={own ?? suggested.join('; ')}
            onChange={(e) => setOwn(e.target.value)}
          />
        </label>
      </div>
      {text && <Said text={text} sources={sources} />}
      <Button
        size="small"
        type="primary"
        disabled={!text || !name.trim() || check?.ok === false}
        onClick={take}
      >
        Take it for {concept.letter}
        <kbd>↵</kbd>
      </Button>
    </section>
  )
}

/** What each source would be asked, and which have no field for it. */
function Said({ text, sources }: { text: string; sources: readonly SourceInfo[] }) {
  const said = useMemo(() => {
    const { tree } = parse(text)
    return sources.flatMap((s) => {
      if (!tree || !s.profile) return []
      const { text: theirs, losses } = printFor(tree, s.profile, {})
      return [{ short: s.short, theirs, losses }]
    })
  }, [text, sources])
  const lossy = said.filter((s) => s.losses.length)
  return (
    <div className="above-2 below-1">
      {said.map((s) => (
        <p key={s.short} className="names-said">
          <span className="sub">{s.short}</span>
          <span className="mono">{s.theirs}</span>
        </p>
      ))}
      {lossy.length > 0 && (
        <p className="sub">
          Something is lost in{' '}
          {listed(lossy.map((s) => `${s.short} (${[...new Set(s.losses.map((l) => l.what))].join(', ')})`))}.
        </p>
      )}
    </div>
  )
}
