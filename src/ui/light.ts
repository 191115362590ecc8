/** Gives a class to what a selector finds, and takes it from all others; no selector, no others. */
function mark(name: string, selector: string | undefined): void {
  for (const lit of document.querySelectorAll(`.${name}`)) lit.classList.remove(name)
  if (selector) for (const found of document.querySelectorAll(selector)) found.classList.add(name)
}
const having = (attribute: string, anchor: string | undefined): string | undefined =>
  anchor && `[${attribute}="${CSS.escape(anchor)}"]`

/** Lights up the facts that come from what carries this anchor; undefined puts them out. */
export const lightFacts = (anchor: string | undefined): void => mark('pointed', having('data-from', anchor))

/** Lights up whatever carries this anchor on the screen; undefined puts all lights out. */
export const light = (anchor: string | undefined): void => mark('lit-anchor', having('data-anchor', anchor))
