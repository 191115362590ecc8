declare module 'citeproc' {
  /** What is used here of the processor. */
  class Engine {
    constructor(
      sys: { retrieveLocale: (lang: string) => string; retrieveItem: (id: string) => unknown },
      style: string,
      lang: string,
    )
    updateItems(ids: readonly string[]): void
    makeBibliography():
      | [{ entry_ids: string[][]; hangingindent?: number | boolean }, string[]]
      | false
  }
  const CSL: { Engine: typeof Engine }
  export default CSL
}
