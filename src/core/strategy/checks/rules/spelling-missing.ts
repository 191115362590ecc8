import { listed } from '../../../base'
import { or } from '../../../query'
import { variantsOf } from '../../words'
import { leavesOf, saidBy } from '../../tree'
import { fixAt, plain, readPlain } from '../change'
import type { Finding, Rule } from '../check'
import { newTo } from '../gain'

const OCEANS = ['British spelling', 'American spelling']
const JOINTS = ['closed', 'open or hyphenated']

/** A spelling of the other side of the ocean, or a closed or open form, that occurs and is not asked for. */
export const spellingMissing: Rule = (c) => {
  const isWord = (w: string): boolean => !c.searched || c.index.termsFor(w).length > 0
  return [...c.search.all()].flatMap((part): Finding[] => {
    const { at, line, fields } = part
    if (part.kind !== 'leaf' || (at.kind !== 'word' && at.kind !== 'phrase')) return []
    const block = c.search.blockOf(part)
    const said = new Set(leavesOf(block).map((p) => plain(p.at).toLowerCase()))
    const missing = variantsOf(at, c.pairs, isWord).flatMap((v) => {
      const e = readPlain(v.text)
      if (!e || said.has(v.text.toLowerCase())) return []
      // Where the records lie outside nothing tells what it would bring; a known spelling is worth a look.
      if (!c.searched) return OCEANS.includes(v.kind) ? [e] : []
      if (!OCEANS.includes(v.kind) && !JOINTS.includes(v.kind)) return []
      return newTo(block, c.find(saidBy({ at: e, fields }))) ? [e] : []
    })
    if (!missing.length) return []
    const names = missing.map(plain)
    return [
      {
        code: 'spelling-missing',
        kind: 'gain',
        element: 'Text words',
        lineId: c.lines[line - 1]!.id,
        about: plain(at),
        message: `${plain(at)} in line ${line} is also written ${listed(names)}.`,
        why: 'Authors on either side of the ocean, and printers, spell it differently.',
        fixes: fixAt(c, line, at, or(at, ...missing), `Add ${names.join(', ')}`),
      },
    ]
  })
}
