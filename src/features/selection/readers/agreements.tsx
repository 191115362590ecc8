'use client'
import { Select } from 'antd'
import { useMemo, useState } from 'react'
import { held, thousands } from '@/core/base'
import { worksInGroup, type PassName, type Review } from '@/core/review'
import {
  agreementAmong,
  agreementOfAllWords,
  agreementWords,
  SAID,
  SAID_WORDS,
  type PassAgreement,
  type ReaderPair,
} from '@/core/selection'
import { useSession } from '@/page/provider'
import type { Selected } from '../use-selected'

/** How far readers agree in each pass, by what each said first: of all works, or of a group that was read together. */
export function AllAgreements({ selected, called }: { selected: Selected; called: (id: string) => string }) {
  const { review, ruled, works, said } = selected
  const all = useSession((s) => s.told.figures.agreements)
  const [which, setWhich] = useState('all')
  const group = review.groups?.find((g) => g.id === which)
  const ofGroup = useMemo(() => {
    if (!group) return undefined
    const own = worksInGroup(group, works).map(({ id }) => [held(ruled.byWork, id), said.get(id)] as const)
    return { broad: agreementAmong(own, 'broad'), close: agreementAmong(own, 'close') }
  }, [group, works, ruled.byWork, said])
  const shown = ofGroup ?? all
  const some = (['broad', 'close'] as const).filter((p) => all[p].pairs.length)
  if (!some.length) return null
  return (
    <>
      <Choice review={review} which={which} choose={setWhich} />
      {some.map((pass) => (
        <Agreements key={pass} pass={pass} agreement={shown[pass]} called={called} />
      ))}
    </>
  )
}

function Choice({
  review,
  which,
  choose,
}: {
  review: Review
  which: string
  choose: (which: string) => void
}) {
  if (!review.groups?.length) return null
  return (
    <label className="pass-choice">
      <span className="sub">Agreement on</span>
      <Select
        size="small"
        variant="borderless"
        aria-label="Agreement on which works"
        value={which}
        popupMatchSelectWidth={false}
        options={[
          { value: 'all', label: 'all works' },
          ...review.groups.map((g) => ({ value: g.id, label: `group: ${g.name}` })),
        ]}
        onChange={choose}
      />
    </label>
  )
}

function Agreements({
  pass,
  agreement: { pairs, all },
  called,
}: {
  pass: PassName
  agreement: PassAgreement
  called: (id: string) => string
}) {
  const title = pass === 'broad' ? 'Titles and abstracts' : 'Full texts'
  return (
    <section
      className="agreements"
      aria-label={pass === 'broad' ? 'Agreement, broad pass' : 'Agreement, close pass'}
    >
      <h2>{title}</h2>
      {pairs.map((pair) => (
        <div key={`${pair.first} ${pair.second}`} className="agreement">
          <Table pair={pair} called={called} />
          <p>{agreementWords(pair).join(' ')}</p>
        </div>
      ))}
      {all.map((one) => (
        <p key={one.readers}>{agreementOfAllWords(one)}</p>
      ))}
      {!pairs.length && <p className="sub">No two readers ruled any of these.</p>}
    </section>
  )
}

function Table({ pair, called }: { pair: ReaderPair; called: (id: string) => string }) {
  return (
    <table>
      <thead>
        <tr>
          <td />
          <th colSpan={3} scope="colgroup">
            {called(pair.second)}
          </th>
        </tr>
        <tr>
          <th scope="row">{called(pair.first)}</th>
          {SAID.map((s) => (
            <th key={s} scope="col">
              {SAID_WORDS[s]}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {SAID.map((s, i) => (
          <tr key={s}>
            <th scope="row">{SAID_WORDS[s]}</th>
            {SAID.map((t, j) => (
              <td key={t} data-same={i === j}>
                {thousands(pair.table[i]![j]!)}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  )
}
