declare module 'citeproc' {
  /** What is used here of the processor. */
  export interface Engine {
    updateItems: (ids: readonly string[]) => void
    makeBibliography: () => [{ entry_ids: string[][]; hangingindent?: number | boolean }, string[]] | false
  }
  /** An element of a style. */
  export interface StyleNode {
    name: string
    attrs: Record<string, string>
    children: (StyleNode | string)[]
  }
  /** Elements of a style by their name, and by the name that they bear; `found` is what was found so far. */
  type NodesByName = (
    this: object,
    of: StyleNode,
    name: string,
    called?: string,
    found?: StyleNode[],
  ) => StyleNode[]
  const CSL: {
    XmlJSON: { prototype: { getNodesByName: NodesByName } }
    Engine: new (
      sys: { retrieveLocale: (lang: string) => string; retrieveItem: (id: string) => unknown },
      style: string,
      lang: string,
      forceLang?: boolean,
    ) => Engine
  }
  export default CSL
}
