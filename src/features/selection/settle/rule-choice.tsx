'use client'
import { Select } from 'antd'
import { chooseRule } from '@/core/doing'
import { SELECTION_RULES, type Review, type SelectionRule } from '@/core/review'
import { rulesOf } from '@/core/selection'
import { useStore } from '@/page/provider'
import { leaveChoice } from '@/page/leave-field'
import css from './settle.module.css'

/** What becomes of a work that is ruled differently, by each rule. */
const MEANS: Readonly<Record<SelectionRule['rule'], string>> = {
  'settle first': 'it is neither in nor out until it is settled',
  'any yes goes on': 'it goes on as soon as one reader says in',
  'all agree': 'it goes out as soon as one reader says out',
}

/** The rule for differences, of each pass. */
export function RuleChoice({ review }: { review: Review }) {
  const { doIt, deed, inName } = useStore()
  const rules = rulesOf(review)
  return (
    <p className={`${css.rule} sub`}>
      {(['broad', 'close'] as const).map((pass) => (
        <span key={pass}>
          {pass === 'broad' ? 'Titles and abstracts' : 'Full texts'} that are ruled differently:{' '}
          <Select
            size="small"
            variant="borderless"
            aria-label={`Rule for differences, ${pass} pass`}
            value={rules[pass]}
            popupMatchSelectWidth={false}
            options={SELECTION_RULES.map((value) => ({ value, label: `${value}: ${MEANS[value]}` }))}
            labelRender={({ value }) => value}
            onChange={(rule) => {
              inName(() => deed(doIt(chooseRule, { pass, rule })))
              leaveChoice()
            }}
          />{' '}
          – {MEANS[rules[pass]]}.
        </span>
      ))}
    </p>
  )
}
