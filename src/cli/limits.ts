import { languageCode, type LimitValue } from '../core/query'
import { UsageError } from './arguments'

/** Reads `years=2015-2024`, `language=en,de`, `document type=…` (or `type=`), `peer reviewed`, `open access`, … */
export function readLimit(text: string): LimitValue {
  const [name = '', value = ''] = text.split(/=(.*)/s).map((t) => t.trim())
  const values = value.split(',').flatMap((v) => v.trim() || [])
  switch (name.toLowerCase().replace(/[-_]/g, ' ')) {
    case 'years':
    case 'year': {
      const found = /^(\d{4})?\s*[-–]\s*(\d{4})?$/.exec(value) ?? /^(\d{4})$/.exec(value)
      if (!found || (!found[1] && !found[2])) break
      const to = value.includes('-') || value.includes('–') ? found[2] : found[1]
      return {
        kind: 'years',
        ...(found[1] ? { from: Number(found[1]) } : {}),
        ...(to ? { to: Number(to) } : {}),
      }
    }
    case 'language':
    case 'languages':
      if (values.length) return { kind: 'language', values: values.map(languageCode) }
      break
    case 'document type':
    case 'type':
      if (values.length) return { kind: 'document type', values }
      break
    case 'population':
    case 'place':
      if (values.length) return { kind: name.toLowerCase() as 'population' | 'place', values }
      break
    case 'peer reviewed':
      return { kind: 'peer reviewed' }
    case 'open access':
      return { kind: 'open access' }
  }
  throw new UsageError(
    `--limit "${text}" is not understood. Examples: years=2015-2024, language=en,de, type=journal article, peer-reviewed, open-access.`,
  )
}
