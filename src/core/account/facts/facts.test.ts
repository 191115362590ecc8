import { expect, it } from 'vitest'
import { FACT_NAMES } from '.'
import { DEPOSIT } from './deposit'
import { PROTOCOL } from './protocol'
import { QUESTION } from './question'
import { READING } from './reading'
import { RECORDS } from './records'
import { SEARCH_REVIEW } from './search-review'
import { SEARCHES } from './searches'
import { SELECTION } from './selection'
import { SOURCE_GONE } from './source-gone'
import { TERMS } from './terms'
import { WAYS } from './ways'

it('calls no two facts by one name: the later would be told for the earlier', () => {
  const groups: object[] = [QUESTION, TERMS, SEARCHES, RECORDS, SELECTION, READING, WAYS, PROTOCOL]
  groups.push(SEARCH_REVIEW, SOURCE_GONE, DEPOSIT)
  const all = groups.flatMap((group) => Object.keys(group))
  expect([...all].sort()).toEqual([...FACT_NAMES].sort())
})
