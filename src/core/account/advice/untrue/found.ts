import { plural, thousands } from '../../../base'
import { denies, ofAll, partsIn, type Matter } from './said'

/** How many of the known items were found. */
export const knownItems: Matter = (s, { review, figures }) => {
  const all = review.knownItems.length
  const found = figures.knownFound
  if (!all || !figures.identified || !/\bknown (?:items?|works?|papers?|studies)\b|\bbenchmark/i.test(s))
    return undefined
  const record = `${thousands(found)} of ${plural(all, 'known item')} ${found === 1 ? 'is' : 'are'} among the records`
  const came = /\bfound\b|\bretriev|\bcame back\b|\bamong\b|\bidentified\b|\blocated\b/i.test(s)
  const lost = /\bmissed\b|\bmissing\b|\blost\b/i.test(s)
  if (lost && denies(s)) return found < all ? record : undefined
  if (!came || denies(s)) return undefined
  const [k] = partsIn(s)
  if (k && k.of === all && k.part !== found) return record
  return ofAll(s) && !k && found < all ? record : undefined
}

/** How duplicates were told apart, and whether there were any. */
export const duplicates: Matter = (s, { review, figures }) => {
  if (!/\bde-?duplicat|\bduplicat/i.test(s) || /\bin duplicate\b/i.test(s)) return undefined
  const { duplicates: merged, settledByHand } = figures
  const byHand = /\bby hand (?:alone|only)\b|\b(?:only|entirely|solely) by hand\b|\bmanual|\bby eye\b/i.test(
    s,
  )
  if (byHand && review.partition) return 'duplicates were looked for by rules'
  if (/\bautomatic/i.test(s) && /\bwithout\b|\bno check|\balone\b|\bonly\b/i.test(s) && settledByHand)
    return `${plural(settledByHand, 'pair')} ${settledByHand === 1 ? 'was' : 'were'} judged by hand`
  const none = /\bno duplicate|\bwere not (?:removed|looked|sought)|\bdid not (?:look|remove|search)/i.test(s)
  return none && merged ? `${thousands(merged)} records described a work already found` : undefined
}
