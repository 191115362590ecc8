/**
 * Leaves a text field with the focus on the thing it belongs to, never on the page: on `to` where it is there, else on
 * the nearest part around the field that takes the focus.
 */
export function leaveField(field: HTMLElement, to?: HTMLElement | null): void {
  const home = to ?? field.parentElement?.closest<HTMLElement>('[tabindex], #stage')
  if (home) home.focus({ preventScroll: true })
  else field.blur()
}
