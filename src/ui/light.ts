/** Lights up whatever carries this anchor on the screen; undefined puts all lights out. */
export function light(anchor: string | undefined): void {
  for (const lit of document.querySelectorAll('.lit-anchor')) lit.classList.remove('lit-anchor')
  if (!anchor) return
  for (const found of document.querySelectorAll(`[data-anchor="${CSS.escape(anchor)}"]`))
    found.classList.add('lit-anchor')
}
