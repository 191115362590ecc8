'use client'
import { Input } from 'antd'
import type { ReactNode } from 'react'
import { LIMIT_KINDS } from '@/core/query'
import { Part } from './profile-part'
import { within, type PartProps } from './profile-parts'

/** How each limit is written or set there, and what its values are called. */
export function ProfileLimits({ draft, set, problems }: PartProps) {
  const filled = LIMIT_KINDS.some((kind) => Object.values(draft.limits[kind]).some(Boolean))
  return (
    <Part title="Limits" folded={!filled && within(problems, 'limits') === undefined}>
      <div className="describe-limits">
        <span />
        <span className="sub">written as</span>
        <span className="sub">or set on the screen: where</span>
        <span className="sub">not exact: what stands in</span>
        <span className="sub">called there</span>
        {LIMIT_KINDS.map((kind) => {
          const own = draft.limits[kind]
          const wrong = within(problems, `limits.${kind}`)
          const part = (key: keyof typeof own, hint: string): ReactNode => (
            <Input
              size="small"
              aria-label={`${kind}: ${LABEL[key]}`}
              {...(within(problems, `limits.${kind}.${key}`) ? { status: 'error' as const } : {})}
              placeholder={hint}
              className={key === 'form' ? 'mono' : ''}
              value={own[key]}
              onChange={(e) =>
                set({ ...draft, limits: { ...draft.limits, [kind]: { ...own, [key]: e.target.value } } })
              }
            />
          )
          return [
            <span key={kind}>{kind}</span>,
            part('form', kind === 'years' ? '{from} {to}' : kind === 'peer reviewed' ? '' : '{values}'),
            part('onScreen', ''),
            part('standIn', ''),
            kind === 'years' || kind === 'peer reviewed' ? (
              <span key={`${kind} none`} />
            ) : (
              part('values', kind === 'language' ? 'nl = Dutch; …' : 'ours = theirs; …')
            ),
            wrong && (
              <span key={`${kind} wrong`} className="part-problem">
                {wrong}
              </span>
            ),
          ]
        })}
      </div>
    </Part>
  )
}

const LABEL = {
  form: 'form',
  onScreen: 'where it is set',
  standIn: 'what stands in',
  values: 'what its values are called',
} as const
