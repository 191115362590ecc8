import type { ComponentProps } from 'react'

/** A text that reads as part of the page: as high as it needs to be, done with Enter. */
export function TextLine({ className = '', ...rest }: ComponentProps<'textarea'>) {
  return (
    <textarea
      rows={1}
      className={`bare-input ${className}`}
      onKeyDown={(e) => {
        if (e.key !== 'Enter' && e.key !== 'Escape') return
        e.preventDefault()
        const home = e.currentTarget.parentElement?.closest<HTMLElement>('[tabindex], #stage')
        if (home) home.focus({ preventScroll: true })
        else e.currentTarget.blur()
      }}
      {...rest}
    />
  )
}
