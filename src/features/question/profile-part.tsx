'use client'
import { Input } from 'antd'
import { useState, type ReactNode } from 'react'

/** A part of a description; a folded one shows its title until somebody opens it, or until something stands in it. */
export function Part({
  title,
  start,
  folded,
  children,
}: {
  title: string
  start?: ReactNode
  /** Folded away as long as nothing stands in it; absent: always open. */
  folded?: boolean
  children: ReactNode
}) {
  if (folded !== undefined)
    return (
      <FoldedPart title={title} start={start} folded={folded}>
        {children}
      </FoldedPart>
    )
  return (
    <section className="describe-part">
      <h3>
        {title} {start}
      </h3>
      <div>{children}</div>
    </section>
  )
}

/** Opens when something comes to stand in it, and closes only when somebody closes it. */
function FoldedPart({
  title,
  start,
  folded,
  children,
}: {
  title: string
  start: ReactNode
  folded: boolean
  children: ReactNode
}) {
  const [open, setOpen] = useState(!folded)
  const [was, setWas] = useState(folded)
  if (was !== folded) {
    setWas(folded)
    if (!folded) setOpen(true)
  }
  return (
    <details className="describe-part" open={open} onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary>{title}</summary>
      {start}
      <div>{children}</div>
    </details>
  )
}

export function TextPart({
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
