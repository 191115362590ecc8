'use client'
import { Modal } from 'antd'
import { useDeferredValue, useMemo } from 'react'
import { dateWords, numbersShown, numbersTold, type NumberTold } from '@/core/account'
import { plural } from '@/core/base'
import { deedsAt, KINDS, kindNamed, nameOfPerson } from '@/core/review'
import { useSession } from '@/page/provider'
import { useAccountSoon } from '@/page/use-account'
import { useLeadTo } from '@/page/use-lead-to'
import { ComboList } from './combo-list'
import css from './where-from.module.css'

/** Every number that the section tells or a screen shows: what it counts, what was done for it, where it is said; chosen, it leads there. */
export function WhereFrom({ close }: { close: () => void }) {
  const { context, passages } = useAccountSoon()
  const lead = useLeadTo(context.review)
  const items = useMemo(
    () =>
      [...numbersTold(context, passages), ...numbersShown(context)].map((told, n) => ({
        id: `${n}`,
        words: `${told.text} ${told.part} ${told.from} ${told.sentence}`,
        told,
        shown: (
          <span className={css.told}>
            <span className={css.number}>{told.text}</span>
            <span>{told.from}</span>
            <span className="sub">{told.part}</span>
          </span>
        ),
      })),
    [context, passages],
  )
  return (
    <Modal
      open
      width={820}
      onCancel={close}
      footer={null}
      closable={false}
      className="palette"
      title="Where does a number come from?"
    >
      <ComboList
        items={items}
        label="Search the numbers"
        placeholder="Type the number, or a word of what is read beside it"
        of="Numbers"
        none={
          items.length
            ? 'Neither the section nor Table 1, the course, the sheets or the flow have such a number.'
            : 'There is no number yet: they come as work is done.'
        }
        beneath={({ told }) => <About told={told} />}
        go={({ told }) => {
          close()
          setTimeout(() => lead(told), 30)
        }}
      />
    </Modal>
  )
}

/** The sentence in which a number is told, and what was done where it comes from. */
function About({ told }: { told: NumberTold }) {
  const entries = useSession((s) => s.entries)
  const review = useSession((s) => s.folded.review)
  // Going down the list does not wait for the journal to be read.
  const { stage, anchor } = useDeferredValue(told)
  const { count, last } = useMemo(
    () => deedsAt(entries, { stage, ...(anchor === undefined ? {} : { anchor }) }),
    [entries, stage, anchor],
  )
  return (
    <div className={css.about} role="status">
      <p className="serif">“{told.sentence}”</p>
      <p className="sub">
        From {told.from}.{' '}
        {last
          ? `The journal has ${plural(count, 'entry', 'entries')} of what it comes from; the last one, ${(kindNamed(last.kind) ?? KINDS['review.create']).words.journal}, is of ${dateWords(last.at)}, by ${nameOfPerson(review, last.by)}.`
          : 'The journal has nothing of its own on what it comes from: it follows from other numbers.'}{' '}
        Enter leads there.
      </p>
    </div>
  )
}
