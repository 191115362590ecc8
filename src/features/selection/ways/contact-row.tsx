'use client'
import { dayContact, dropContact } from '@/core/doing'
import type { Contact } from '@/core/review'
import { useStore } from '@/page/provider'
import { DayField } from '@/ui/day-field'
import { Typed } from './typed'

/** Somebody who was asked: who, how, when, and what came of it. */
export function ContactRow({ contact }: { contact: Contact }) {
  const { doIt, deed } = useStore()
  const field = (key: 'who' | 'way' | 'what', label: string, wide = false) => (
    <Typed
      name={`contact-${contact.id}-${key}`}
      value={contact[key]}
      label={label}
      wide={wide}
      command={(value) => ({ kind: 'contact.set', payload: { ...contact, [key]: value } })}
    />
  )
  const day = (of: 'asked' | 'answered', label: string) => (
    <DayField
      label={label}
      past
      value={contact[of]}
      set={(picked) => deed(doIt(dayContact, { contact, of, day: picked ?? '' }))}
    />
  )
  return (
    <p className="way-row">
      {field('who', 'who')} {field('way', 'by what way')} {day('asked', 'asked on')}{' '}
      {day('answered', 'answered on')} {field('what', 'what came of it', true)}{' '}
      <button className="plain link sub" onClick={() => deed(doIt(dropContact, { id: contact.id }))}>
        away
      </button>
    </p>
  )
}
