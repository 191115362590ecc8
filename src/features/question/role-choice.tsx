'use client'
import { chooseRole } from '@/core/doing'
import { Select } from 'antd'
import { frameworkOf, rolesLeft, type Concept, type Review } from '@/core/review'
import { useStore } from '@/page/provider'

/** Which part of the framework a concept is. */
export function RoleChoice({ concept, review }: { concept: Concept; review: Review }) {
  const { deed, doIt } = useStore()
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
          deed(doIt(chooseRole, { concept, role }))
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
