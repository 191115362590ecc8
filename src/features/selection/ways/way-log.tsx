'use client'
import { Button, Input, InputNumber, Select } from 'antd'
import { useState } from 'react'
import { logWay } from '@/core/doing'
import type { Source, WayLogged } from '@/core/review'
import { PASSED, WAY_PARTS, wrongInWay } from '@/core/selection'
import { useStore } from '@/page/provider'
import { DayField } from '@/ui/day-field'
import type { Selected } from '../use-selected'

type Kind = keyof typeof WAY_PARTS
const NUMBERS = ['lookedThrough', 'named', 'known', 'taken']

/** A way that was gone outside, noted by hand: once a time, with what was looked through and what came of it. */
export function WayLog({ source, selected, done }: { source: Source; selected: Selected; done: () => void }) {
  const { doIt, deed, now } = useStore()
  const { works, placed } = selected
  const [way, setWay] = useState<Partial<WayLogged>>({ day: now().slice(0, 10) })
  const [refused, setRefused] = useState<string>()
  const of = (which: string): string[] =>
    works
      .filter(({ id }) =>
        which === 'included' ? placed(id).place === 'included' : PASSED.includes(placed(id).place),
      )
      .map((w) => w.id)
  const log = (): void => {
    const wrong = way.day ? wrongInWay(way) : 'Say on which day.'
    setRefused(wrong)
    if (wrong) return
    deed(doIt(logWay, { how: '', ...way, day: way.day!, sourceId: source.id }))
    done()
  }
  return (
    <div className="way-log">
      <p className="way-row">
        <DayField label="on which day" past value={way.day} set={(day) => setWay({ ...way, day: day! })} />
        {WAY_PARTS[source.kind as Kind].map(([part, label]) =>
          part === 'of' ? (
            <Select
              key={part}
              size="small"
              allowClear
              aria-label={label}
              placeholder={label}
              className="wide-6"
              popupMatchSelectWidth={false}
              options={[
                { value: 'included', label: `the ${of('included').length} included` },
                { value: 'passed', label: `the ${of('passed').length} that passed titles and abstracts` },
              ].filter((o) => of(o.value).length)}
              onChange={(which: string | undefined) => {
                const { of: _, ...others } = way
                setWay(which ? { ...others, of: of(which) } : others)
              }}
            />
          ) : NUMBERS.includes(part) ? (
            <InputNumber
              key={part}
              size="small"
              min={0}
              precision={0}
              aria-label={label}
              placeholder={label}
              className="wide-3"
              onChange={(n: number | null) => {
                const { [part]: _, ...others } = way
                setWay(n === null ? others : { ...others, [part]: n })
              }}
            />
          ) : (
            <Input
              key={part}
              size="small"
              aria-label={label}
              placeholder={label}
              className="wide-5"
              onChange={(e) => setWay({ ...way, [part]: e.target.value })}
            />
          ),
        )}
        <Button size="small" type="primary" onClick={log}>
          Log it
        </Button>
        <Button size="small" type="text" onClick={done}>
          Not now
        </Button>
      </p>
      {refused && (
        <p className="note" role="alert">
          {refused}
        </p>
      )}
    </div>
  )
}
