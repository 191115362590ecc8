/** Lights up the facts that come from what carries this anchor; undefined puts them out. */
export function lightFacts(anchor: string | undefined): void {
  for (const lit of document.querySelectorAll('.fact.pointed')) lit.classList.remove('pointed')
  if (!anchor) return
  for (const fact of document.querySelectorAll(`[data-from="${CSS.escape(anchor)}"]`))
    fact.classList.add('pointed')
}

/** Lights up whatever carries this anchor on the screen; undefined puts all lights out. */
export function light(anchor: string | undefined): void {
  for (const lit of document.querySelectorAll('.lit-anchor')) lit.classList.remove('lit-anchor')
  if (!anchor) return
  for (const found of document.querySelectorAll(`[data-anchor="${CSS.escape(anchor)}"]`))
    found.classList.add('lit-anchor')
}
