'use client'
import { Checkbox, Input } from 'antd'
import { ROW_JOINS, type RowJoin } from '@/core/profile'
import { Part, TextPart } from './profile-part'
import { within, type PartProps } from './profile-parts'

/** A form with rows in place of a line to type in: what a row can be set to, what joins it to those above, how many there are. */
export function ProfileRows({ draft, set, problems }: PartProps) {
  const wrong = within(problems, 'rows.fields')
  return (
    <Part title="A form with rows" folded={!draft.rows.trim() && within(problems, 'rows') === undefined}>
      <label className="describe-wide">
        <span className="sub">
          rows, one a line: what it searches in, a colon, what it is called there; empty: there is a line to
          type in
        </span>
        <Input.TextArea
          autoSize={{ minRows: 3 }}
          className="mono"
          aria-label="Rows of the form"
          {...(wrong ? { status: 'error' as const } : {})}
          placeholder={'any: Any field\ntitle: Words in title\nauthor: Author'}
          value={draft.rows}
          onChange={(e) => set({ ...draft, rows: e.target.value })}
        />
        {wrong && <span className="part-problem">{wrong}</span>}
      </label>
      <div className="describe-wide">
        <span className="sub">a row is joined to those above with</span>
        <Checkbox.Group
          value={draft.rowJoins}
          options={ROW_JOINS.map((join) => ({ value: join, label: join.toUpperCase() }))}
          onChange={(value) => set({ ...draft, rowJoins: value as RowJoin[] })}
        />
      </div>
      <TextPart
        label="most rows"
        value={draft.rowsMost}
        problem={problems.get('rows.most')}
        hint="how many there are"
        onChange={(rowsMost) => set({ ...draft, rowsMost })}
      />
    </Part>
  )
}
