/** What stands below the grid, and the key of each. */
export const PANES = [
  { id: 'terms', key: 'E', label: 'Terms of this cell' },
  { id: 'harvest', key: 'H', label: 'Harvest' },
  { id: 'names', key: 'Y', label: 'Names' },
  { id: 'lines', key: 'P', label: 'Plan and lines' },
] as const
export type Pane = (typeof PANES)[number]['id']

/** Puts the focus where one types in a pane. */
export function focusPane(pane: Pane): void {
  const where = {
    terms: '.lookup input, .headings-seen textarea',
    harvest: '#harvest',
    names: '#named-name',
    lines: '#unplanned',
  }[pane]
  document.querySelector<HTMLElement>(where)?.focus()
}
