'use client'

/** A line for a reason: Enter takes it, Escape lets it be. */
export function ReasonInput({
  label,
  placeholder = 'leave it, because …',
  take,
  cancel,
}: {
  label: string
  placeholder?: string
  take: (reason: string) => void
  cancel: () => void
}) {
  return (
    <input
      className="line-input serif"
      autoFocus
      aria-label={label}
      placeholder={placeholder}
      onKeyDown={(e) => {
        if (e.key === 'Escape') cancel()
        if (e.key === 'Enter') take(e.currentTarget.value.trim())
      }}
    />
  )
}
