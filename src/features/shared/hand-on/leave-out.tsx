'use client'
import { Checkbox, Select } from 'antd'
import { plural } from '@/core/base'
import type { PassName } from '@/core/review'
import { DayField } from '@/ui/day-field'
import type { HandedOn, ToRead } from './use-packing'

const LEAVES = [
  ['texts', 'abstracts and full texts', 'where their rights do not let you hand them on'],
  ['names', 'names', 'people are told apart by numbers'],
  [
    'rulings',
    'rulings, and all that was done because of them',
    'for another reader, who reads without seeing them',
  ],
] as const
export type Leave = (typeof LEAVES)[number][0]

const PASSES: { value: PassName; label: string }[] = [
  { value: 'broad', label: 'titles and abstracts' },
  { value: 'close', label: 'full texts' },
]

/** What is left out of a package; without rulings, what another reader is asked to read. */
export function LeaveOut({
  packing: { as, left, forReader, toRead, asked, named },
  setLeft,
  setToRead,
}: {
  packing: HandedOn
  setLeft: (left: readonly Leave[]) => void
  setToRead: (toRead: ToRead) => void
}) {
  return (
    <fieldset className="hand-on-left">
      <legend className="sub">Leave out</legend>
      {LEAVES.map(([id, label, why]) => (
        <Checkbox
          key={id}
          disabled={as !== 'review'}
          checked={left.includes(id)}
          onChange={(e) => setLeft(e.target.checked ? [...left, id] : left.filter((l) => l !== id))}
        >
          {label} <span className="sub">{why}</span>
        </Checkbox>
      ))}
      {forReader && (
        <span className="hand-on-read sub">
          They are asked to read
          <Select
            size="small"
            variant="borderless"
            aria-label="What another reader reads"
            popupMatchSelectWidth={false}
            value={toRead.pass}
            options={PASSES}
            onChange={(pass) => setToRead({ ...toRead, pass })}
          />
          of
          <Select
            size="small"
            variant="borderless"
            aria-label="Which works another reader reads"
            popupMatchSelectWidth={false}
            value={toRead.which}
            options={[{ value: 'all', label: 'all works' }, ...named]}
            onChange={(which) => setToRead({ ...toRead, which })}
          />
          {asked && toRead.which !== 'all' && <b>{plural(asked.length, 'work')}</b>}
          <DayField label="until" value={toRead.until} set={(until) => setToRead({ ...toRead, until })} />
        </span>
      )}
    </fieldset>
  )
}
