'use client'
import { dropConcept, turnAlternative, turnEssential } from '@/core/doing'
import type { Concept, Review } from '@/core/review'
import { useStore } from '@/page/provider'
import { useStaged } from '@/page/use-staged'
import { later } from '@/ui/later'
import { Strand } from '@/ui/strand'
import { TextLine } from '@/ui/text-line'

const RoleChoice = later(() => import('./role-choice').then((m) => m.RoleChoice), { beside: true })

/** One concept: its name, its role in the framework, the words woven into it, and whether it is asked for. */
export function ConceptColumn({
  concept,
  review,
  fresh,
}: {
  concept: Concept
  review: Review
  fresh: boolean
}) {
  const { deed, doIt } = useStore()
  const name = useStaged(`concept-name-${concept.id}`, concept.name, (text) => ({
    kind: 'concept.set',
    payload: { ...concept, name: text },
  }))
  const words = review.picks.filter((p) => p.conceptId === concept.id)
  return (
    <div className={`concept ${concept.letter}`} data-anchor={`concept:${concept.id}`}>
      <div className="name">
        <Strand letter={concept.letter} />
        <input
          className="bare-input"
          aria-label={`Name of concept ${concept.letter}`}
          autoFocus={fresh}
          onFocus={(e) => fresh && e.currentTarget.select()}
          {...name}
        />
        <button
          className="plain remove"
          aria-label={`Remove concept ${concept.letter} with its terms`}
          title="Remove the concept with its terms (can be undone)"
          onClick={() => deed(doIt(dropConcept, concept.id))}
        >
          ×
        </button>
      </div>
      <RoleChoice concept={concept} review={review} />
      <div className="words">
        {words.length ? (
          words.map((p) => p.text).join(', ')
        ) : (
          <span className="sub">no words of the question</span>
        )}
      </div>
      <button className="plain link sub" onClick={() => deed(doIt(turnEssential, concept))}>
        {!concept.essential
          ? 'optional: not asked for'
          : review.alternatives.some((a) => a.conceptIds.includes(concept.id))
            ? 'essential: this or one like it is asked for'
            : 'essential: always asked for'}
      </button>
      <AlternativesChoice concept={concept} review={review} />
      {!concept.essential && <OptionalReason concept={concept} />}
    </div>
  )
}

/** Why a concept is not asked for: the person's own words, which the methods section takes. */
function OptionalReason({ concept }: { concept: Concept }) {
  const note = useStaged(`concept-note-${concept.id}`, concept.note, (text) => ({
    kind: 'concept.set',
    payload: { ...concept, note: text },
  }))
  return (
    <TextLine
      className="reason"
      aria-label={`Why concept ${concept.letter} is not asked for`}
      placeholder="because … (often left unsaid?)"
      {...note}
    />
  )
}

/** Concepts of which one is enough: this one, or those that are ticked. */
function AlternativesChoice({ concept, review }: { concept: Concept; review: Review }) {
  const { deed, doIt } = useStore()
  const others = review.concepts.filter((c) => c.id !== concept.id && c.essential)
  const group = review.alternatives.find((a) => a.conceptIds.includes(concept.id))
  if (!concept.essential || !others.length) return null
  const toggle = (other: string): void => deed(doIt(turnAlternative, { conceptId: concept.id, other }))
  return (
    <p className="sub" role="group" aria-label={`Enough instead of concept ${concept.letter}`}>
      {group ? 'enough: this or' : 'or enough:'}{' '}
      {others.map((c) => (
        <button
          key={c.id}
          className="plain link"
          aria-pressed={group?.conceptIds.includes(c.id) ?? false}
          style={group?.conceptIds.includes(c.id) ? { fontWeight: 600 } : {}}
          title={`${concept.name} or ${c.name}: one of the two is enough`}
          onClick={() => toggle(c.id)}
        >
          {c.letter}
        </button>
      ))}
    </p>
  )
}
