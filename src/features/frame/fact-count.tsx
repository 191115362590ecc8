import { inlinesOf } from '@/core/account'
import { plural } from '@/core/base'
import { useAccountSoon } from '@/page/use-account'

/** How many facts the section as it is drafted now is bound to. */
export function FactCount() {
  const { passages } = useAccountSoon()
  const facts = passages.reduce((n, p) => n + [...inlinesOf(p)].filter((i) => i.type === 'fact').length, 0)
  return plural(facts, 'fact')
}
