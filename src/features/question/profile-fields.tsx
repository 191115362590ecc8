'use client'
import { Checkbox, Input, Select } from 'antd'
import type { ReactNode } from 'react'
import {
  BINDINGS,
  DESCRIBED_FIELDS,
  FIELD_PATTERNS,
  LINE_PATTERNS,
  REACHES,
  withFieldPattern,
  withLinePattern,
  type FieldPattern,
  type LinePattern,
  type ProfileDraft,
  type Reach,
} from '@/core/profile'
import { listed } from '@/core/base'
import { LIMIT_KINDS, type Field } from '@/core/query'
import { PARTS, within, type ProfileProblems, type TextKey } from './profile-parts'

const REACH: Record<Reach, string> = {
  unit: 'one word, phrase or bracket',
  word: 'one word',
  phrase: 'one word or phrase',
  bracket: 'a bracket, always',
  run: 'all words up to the next operator',
  row: 'the rest of the row',
}

interface Props {
  draft: ProfileDraft
  set: (draft: ProfileDraft) => void
  /** What is wrong, by the place in the profile. */
  problems: ProfileProblems
}
/** The parts of a description, in the order in which a help page is read. */
export function ProfileFields({ draft, set, problems }: Props) {
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
        {choice('kind', 'kind', [
          ['index with vocabulary', 'index with vocabulary'],
          ['citation index', 'citation index'],
          ['full-text library layer', 'full-text library layer'],
          ['catalogue', 'catalogue'],
          ['other', 'other'],
        ])}
        {text('platform', { hint: 'through what?', prose: true })}
        {text('coverage', { hint: 'what, since when?', prose: true })}
      </Part>
      <Part title="Operators">
        {text('and')}
        {text('or')}
        {text('not', { hint: 'empty: there is none' })}
        {tick('capitals', 'only in capitals; small ones are words')}
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
      <Part title="Nearness">
        {text('nearEither', { hint: 'with {n}; empty: none' })}
        {text('nearOrdered', { hint: 'with {n}' })}
        {choice('nearCounts', 'n counts', [
          ['between', 'the words between'],
          ['steps', 'steps (side by side is 1)'],
        ])}
        {text('nearMost')}
      </Part>
      <Part
        title="Fields"
        start={
          <Select
            size="small"
            aria-label="Start the fields from a pattern"
            placeholder="start from a pattern: the code stands …"
            value={null}
            popupMatchSelectWidth={false}
            options={(Object.keys(FIELD_PATTERNS) as FieldPattern[]).map((p) => ({
              value: p,
              label: `the code stands ${p}: ${FIELD_PATTERNS[p]('title').replace('{expr}', 'noise')}`,
            }))}
            onChange={(p: FieldPattern) => set(withFieldPattern(draft, p))}
          />
        }
      >
        {DESCRIBED_FIELDS.map((of) => {
          const key = of.join(',')
          const at = Object.entries(draft.fields)
            .filter(([, form]) => form)
            .findIndex(([k]) => k === key)
          return (
            <TextPart
              key={key}
              label={listed(of)}
              value={draft.fields[key] ?? ''}
              problem={at < 0 ? undefined : problems.get(`fields.${at}.form`)}
              hint={of.length > 1 ? 'together; with {expr}' : 'with {expr}; empty: no such field'}
              onChange={(form) => change({ fields: { ...draft.fields, [key]: form } })}
            />
          )
        })}
        {choice(
          'reach',
          'a code without a closing sign reaches',
          [
            ...REACHES.map((r) => [r, REACH[r]] as const),
            ...(draft.reach === 'each' ? [['each', 'as its file says of each'] as const] : []),
          ],
          true,
        )}
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
      <Part title="Headings of a vocabulary">
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
        {text('lineAlso', { hint: '{n}' })}
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
      <Part title="Limits">
        <div className="describe-limits">
          <span />
          <span className="sub">written as</span>
          <span className="sub">or set on the screen: where</span>
          <span className="sub">not exact: what stands in</span>
          {LIMIT_KINDS.map((kind) => {
            const own = draft.limits[kind]
            const wrong = within(problems, `limits.${kind}`)
            const part = (key: keyof typeof own, hint: string): ReactNode => (
              <Input
                size="small"
                aria-label={`${kind}: ${key}`}
                {...(problems.has(`limits.${kind}.${key}`) ? { status: 'error' as const } : {})}
                placeholder={hint}
                className={key === 'form' ? 'mono' : ''}
                value={own[key]}
                onChange={(e) =>
                  change({ limits: { ...draft.limits, [kind]: { ...own, [key]: e.target.value } } })
                }
              />
            )
            return [
              <span key={kind}>{kind}</span>,
              part('form', kind === 'years' ? '{from} {to}' : kind === 'language' ? '{values}' : ''),
              part('onScreen', ''),
              part('standIn', ''),
              wrong && (
                <span key={`${kind} wrong`} className="part-problem">
                  {wrong}
                </span>
              ),
            ]
          })}
        </div>
      </Part>
      <Part title="How far it goes">
        {text('longestQuery')}
        {text('linesJoined')}
        {text('shown')}
        {text('exported')}
        {text('analysed')}
        <label className="describe-wide">
          <span className="sub">habits, one a line: the methods section may use them</span>
          <Input.TextArea
            autoSize
            aria-label="Habits"
            value={draft.habits}
            onChange={(e) => change({ habits: e.target.value })}
          />
        </label>
      </Part>
    </div>
  )
}

type TickKey = { [K in keyof ProfileDraft]: ProfileDraft[K] extends boolean ? K : never }[keyof ProfileDraft]

function Part({ title, start, children }: { title: string; start?: ReactNode; children: ReactNode }) {
  return (
    <section className="describe-part">
      <h3>
        {title} {start}
      </h3>
      <div>{children}</div>
    </section>
  )
}

function TextPart({
  label,
  value,
  problem,
  hint,
  prose = false,
  autoFocus = false,
  onChange,
}: {
  label: string
  value: string
  problem: string | undefined
  hint: string
  /** Words, and no syntax. */
  prose?: boolean
  autoFocus?: boolean
  onChange: (value: string) => void
}) {
  return (
    <label>
      <span className="sub">{label}</span>
      <Input
        size="small"
        className={prose ? '' : 'mono'}
        aria-label={label}
        {...(problem ? { status: 'error' as const } : {})}
        placeholder={hint}
        autoFocus={autoFocus}
        value={value}
        onChange={(e) => onChange(e.target.value)}
      />
      {problem && <span className="part-problem">{problem}</span>}
    </label>
  )
}
