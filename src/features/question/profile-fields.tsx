'use client'
import { Checkbox, Select } from 'antd'
import type { ReactNode } from 'react'
import {
  BINDINGS,
  DESCRIBED_FIELDS,
  LINE_PATTERNS,
  withLinePattern,
  type LinePattern,
  type ProfileDraft,
} from '@/core/profile'
import type { Field } from '@/core/query'
import { ProfileCodes } from './profile-codes'
import { ProfileLimits } from './profile-limits'
import { Part, TextPart } from './profile-part'
import { PARTS, within, type PartProps, type TextKey } from './profile-parts'
import { ProfileRows } from './profile-rows'

/** The parts of a description, in the order in which a help page is read. */
export function ProfileFields({ draft, set, problems }: PartProps) {
  const change = (part: Partial<ProfileDraft>): void => set({ ...draft, ...part })
  const text = (key: TextKey, { hint = '', prose = false } = {}): ReactNode => (
    <TextPart
      label={PARTS[key].label}
      value={draft[key]}
      problem={within(problems, PARTS[key].place)}
      hint={hint}
      prose={prose}
      onChange={(value) => change({ [key]: value })}
    />
  )
  const choice = <K extends keyof ProfileDraft>(
    key: K,
    label: string,
    options: readonly (readonly [ProfileDraft[K], string])[],
    wide = false,
  ): ReactNode => (
    <label style={wide ? { gridColumn: 'span 2' } : undefined}>
      <span className="sub">{label}</span>
      <Select
        size="small"
        aria-label={label}
        popupMatchSelectWidth={false}
        value={draft[key] as string}
        options={options.map(([value, words]) => ({ value: value as string, label: words }))}
        onChange={(value) => change({ [key]: value } as Partial<ProfileDraft>)}
      />
    </label>
  )
  const tick = (key: TickKey, label: string): ReactNode => (
    <Checkbox checked={draft[key]} onChange={(e) => change({ [key]: e.target.checked })}>
      {label}
    </Checkbox>
  )
  /** Nothing stands in these, and nothing is wrong with them. */
  const nothing = (...keys: TextKey[]): boolean =>
    keys.every((key) => !draft[key] && within(problems, PARTS[key].place) === undefined)
  return (
    <div className="describe-parts">
      <Part title="The database">
        <TextPart
          label={PARTS.name.label}
          value={draft.name}
          // A form that was just opened is not wrong; the button says what it needs.
          problem={draft.name ? problems.get('name') : undefined}
          hint="as it calls itself"
          prose
          autoFocus={!draft.name}
          onChange={(name) => change({ name })}
        />
        {text('platform', { hint: 'through what?', prose: true })}
        {text('coverage', { hint: 'what, since when?', prose: true })}
        {text('help', { hint: 'its address', prose: true })}
      </Part>
      <Part title="Operators">
        {text('and')}
        {text('or')}
        {text('not', { hint: 'empty: there is none' })}
        {tick('capitals', 'only in capitals; small ones are words')}
        {text('bracketOpen')}
        {text('bracketClose')}
        {choice('sideBySide', 'words side by side are', [
          ['all', 'all of them'],
          ['phrase', 'a phrase'],
          ['any', 'any of them'],
        ])}
        {choice(
          'binding',
          'without brackets it reads',
          [
            ...(Object.keys(BINDINGS) as (keyof typeof BINDINGS)[]).map((b) => [b, b] as const),
            ...(draft.binding === 'another' ? [['another', 'as its file says'] as const] : []),
          ],
          true,
        )}
      </Part>
      <Part title="Words">
        {text('any', { hint: 'empty: no truncation' })}
        {text('one')}
        {text('upTo', { hint: 'with {n}' })}
        {text('shortestStem')}
        {text('mostForms', { hint: 'empty: all' })}
        {text('stopWords', { hint: 'the, of, and', prose: true })}
        {text('quoteOpen')}
        {text('quoteClose')}
        {choice('stemming', 'it stems', [
          ['none', 'nothing'],
          ['plurals', 'plurals'],
          ['stems', 'words to their stems'],
        ])}
        <div className="describe-ticks">
          {tick('quotesExact', 'quotes switch stemming off')}
          {tick('quotesSigns', 'signs work inside quotes')}
          {tick('inside', 'signs may stand inside a word')}
          {tick('left', 'and in front of one')}
        </div>
      </Part>
      <Part title="Nearness" folded={nothing('nearEither', 'nearOrdered')}>
        {text('nearEither', { hint: 'with {n}; empty: none' })}
        {text('nearOrdered', { hint: 'with {n}' })}
        {choice('nearCounts', 'n counts', [
          ['between', 'the words between'],
          ['steps', 'steps (side by side is 1)'],
        ])}
        {text('nearMost')}
      </Part>
      <ProfileCodes draft={draft} set={set} problems={problems} />
      <Part title="Without and with several codes">
        {text('together', { hint: 'empty: one code only' })}
        <div className="describe-wide">
          <span className="sub">searched where no field is named</span>
          <Checkbox.Group
            value={draft.searchedByDefault}
            options={DESCRIBED_FIELDS.filter((of) => of.length === 1).map((of) => of[0]!)}
            onChange={(value) => change({ searchedByDefault: value as Field[] })}
          />
          {problems.has('any') && <span className="part-problem">Tick at least one.</span>}
        </div>
      </Part>
      <Part title="Headings of a vocabulary" folded={nothing('heading', 'code')}>
        {text('heading', { hint: 'with {label}; empty: none' })}
        {text('headingBelow', { hint: 'with {label}' })}
        {text('headingMain', { hint: 'with {label}' })}
        {text('headingBelowMain', { hint: 'with {label}' })}
        {text('code', { hint: 'with {code}; empty: none' })}
        {text('codeBelow', { hint: 'with {code}' })}
      </Part>
      <Part
        title="Lines"
        start={
          <Select
            size="small"
            aria-label="Start the line numbers from a pattern"
            placeholder="start from a pattern: a line is named …"
            value={null}
            popupMatchSelectWidth={false}
            options={(Object.keys(LINE_PATTERNS) as LinePattern[]).map((p) => ({
              value: p,
              label: `${p}${LINE_PATTERNS[p] ? `: ${LINE_PATTERNS[p].replace('{n}', '3')}` : ''}`,
            }))}
            onChange={(p: LinePattern) => set(withLinePattern(draft, p))}
          />
        }
      >
        {text('line', {
          hint: 'with {n}; empty: cannot be',
        })}
        {text('lineAlso', { hint: '{n}, set {n}' })}
        {choice('linesKept', 'lines are kept', [
          ['always', 'always'],
          ['session', 'until the window closes'],
          ['never', 'never'],
        ])}
        {text('linesAny', { hint: 'with {list}' })}
        {text('linesAll', { hint: 'with {list}' })}
        {text('linesRange', { hint: '{from}-{to}' })}
        {text('linesSeparator')}
      </Part>
      <ProfileLimits draft={draft} set={set} problems={problems} />
      <ProfileRows draft={draft} set={set} problems={problems} />
      <Part title="How far it goes" folded={nothing('longestQuery', 'shown', 'exported')}>
        {text('longestQuery')}
        {text('shown')}
        {text('exported')}
      </Part>
    </div>
  )
}

type TickKey = { [K in keyof ProfileDraft]: ProfileDraft[K] extends boolean ? K : never }[keyof ProfileDraft]
