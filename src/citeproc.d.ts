declare module 'citeproc' {
  /** What is used here of the processor. */
  export interface Engine {
    updateItems: (ids: readonly string[]) => void
    makeBibliography: () => [{ entry_ids: string[][]; hangingindent?: number | boolean }, string[]] | false
  }
  const CSL: {
    Engine: new (
      sys: { retrieveLocale: (lang: string) => string; retrieveItem: (id: string) => unknown },
      style: string,
      lang: string,
    ) => Engine
  }
  export default CSL
}
