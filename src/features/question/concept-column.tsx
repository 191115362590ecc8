'use client'
import { Select } from 'antd'
import { frameworkOf, rolesLeft, type Concept, type Review } from '@/core/review'
import { useStore } from '@/store/provider'
import { useStaged } from '@/store/use-staged'
import { Strand } from '@/ui/strand'

/** One concept: its name, its role in the framework, the words woven into it, and whether it is asked for. */
export function ConceptColumn({ concept, review }: { concept: Concept; review: Review }) {
  const { act, deed } = useStore()
  const name = useStaged(`concept-name-${concept.id}`, concept.name, (text) => ({
    kind: 'concept.set',
    payload: { ...concept, name: text },
  }))
  const words = review.picks.filter((p) => p.conceptId === concept.id)
  return (
    <div className={`concept ${concept.letter}`} data-anchor={`concept:${concept.id}`}>
      <div className="name">
        <Strand letter={concept.letter} />
        <input className="bare-input" aria-label={`Name of concept ${concept.letter}`} {...name} />
        <button
          className="plain remove"
          aria-label={`Remove concept ${concept.letter} with its terms`}
          title="Remove the concept with its terms (can be undone)"
          onClick={() => deed(act('concept.remove', { id: concept.id }))}
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
      <button
        className="plain link sub"
        onClick={() => deed(act('concept.set', { ...concept, essential: !concept.essential }))}
      >
        {concept.essential ? 'essential: always asked for' : 'optional: not asked for'}
      </button>
      {!concept.essential && (
        <p className="sub">
          Authors often leave it unsaid in titles and abstracts; asked for, it would lose them.
        </p>
      )}
    </div>
  )
}

function RoleChoice({ concept, review }: { concept: Concept; review: Review }) {
  const { act, deed } = useStore()
  const framework = frameworkOf(review.framework)
  if (!framework.roles.length) return null
  const left = rolesLeft(
    framework,
    review.concepts.map((c) => c.role),
  )
  const known = framework.roles.find((r) => r.name === concept.role)
  const names = framework.roles.map((r) => r.name).filter((n) => n === concept.role || left.includes(n))
  return (
    <div className="role">
      <Select
        size="small"
        variant="borderless"
        aria-label={`Role of concept ${concept.letter} in ${framework.name}`}
        placeholder={`its part in ${framework.name}`}
        value={concept.role ?? null}
        allowClear
        popupMatchSelectWidth={false}
        options={[...new Set([...(concept.role ? [concept.role] : []), ...names])].map((value) => ({
          value,
          label: value,
        }))}
        onChange={(role: string | undefined) => {
          const { role: _was, ...rest } = concept
          deed(act('concept.set', role ? { ...rest, role } : rest))
        }}
      />
      <span className="sub">
        {known
          ? known.help
          : concept.role
            ? `“${concept.role}” is no part of ${framework.name}; it is kept.`
            : ''}
      </span>
    </div>
  )
}
