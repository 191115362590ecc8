/**
 * Leaves a text field with the focus on the thing it belongs to, never on the page: on `to` where it is there, else on
 * the nearest part around the field that takes the focus.
 */
export function leaveField(field: HTMLElement, to?: HTMLElement | null): void {
  const home = to ?? field.parentElement?.closest<HTMLElement>('[tabindex], #stage')
  if (home) home.focus({ preventScroll: true })
  else field.blur()
}

/** Leaves a choice that was just made: the keys are those of the stage again. Behind the event, for the choice takes the focus. */
export function leaveChoice(): void {
  setTimeout(() => document.getElementById('stage')?.focus({ preventScroll: true }), 0)
}
