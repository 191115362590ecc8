import type { Vocabulary } from './heading'

const quoted = (text: string): string => `"${text.replace(/["\\]/g, '\\$&').replace(/\n/g, '\\n')}"@en`

/** Writes a vocabulary as SKOS in Turtle; `readSkos` gives the same vocabulary back. */
export function writeSkos(vocabulary: Vocabulary): string {
  const lines = [
    '@prefix skos: <http://www.w3.org/2004/02/skos/core#> .',
    '@prefix dct: <http://purl.org/dc/terms/> .',
    '',
    `<${vocabulary.id}> a skos:ConceptScheme ;`,
    `  dct:title ${quoted(vocabulary.title)} ;`,
    `  dct:issued "${vocabulary.version}" .`,
  ]
  for (const h of vocabulary.headings) {
    const statements = [
      `a skos:Concept`,
      `skos:inScheme <${vocabulary.id}>`,
      `skos:prefLabel ${quoted(h.label)}`,
    ]
    if (h.entryTerms.length) statements.push(`skos:altLabel ${h.entryTerms.map(quoted).join(', ')}`)
    if (h.scopeNote) statements.push(`skos:scopeNote ${quoted(h.scopeNote)}`)
    if (h.code) statements.push(`skos:notation "${h.code}"`)
    if (h.since) statements.push(`dct:created "${h.since}"`)
    if (h.replacedBy) statements.push(`dct:isReplacedBy <${h.replacedBy}>`)
    for (const [name, ids] of [
      ['broader', h.broader],
      ['narrower', h.narrower],
      ['related', h.related],
    ] as const)
      if (ids.length) statements.push(`skos:${name} ${ids.map((id) => `<${id}>`).join(', ')}`)
    lines.push('', `<${h.id}> ${statements.join(' ;\n  ')} .`)
  }
  return lines.join('\n') + '\n'
}
