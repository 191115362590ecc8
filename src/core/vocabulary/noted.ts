/** As much of a heading that was noted as is shown of it. */
export interface NotedHeading {
  label: string
  scopeNote?: string | undefined
  broader: readonly string[]
  narrower: readonly string[]
  related: readonly string[]
  usedFor: readonly string[]
}

/** Headings that were noted, as a list in the signs of a printed thesaurus (ISO 25964-1), to be read as a vocabulary. */
export const listOfNoted = (noted: readonly NotedHeading[]): string =>
  noted
    .map((h) =>
      [
        h.label,
        ...(h.scopeNote ? [`  SN ${h.scopeNote}`] : []),
        ...h.usedFor.map((t) => `  UF ${t}`),
        ...h.broader.map((t) => `  BT ${t}`),
        ...h.narrower.map((t) => `  NT ${t}`),
        ...h.related.map((t) => `  RT ${t}`),
      ].join('\n'),
    )
    .join('\n')
