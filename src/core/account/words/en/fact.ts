import type { FactName } from '../../facts'

/** A fact as it stands in a sentence, by its name and what it is of; `^`: a sentence begins with it. */
export const fact = (name: FactName | `^${FactName}`, of?: string): string =>
  of === undefined ? `{${name}}` : `{${name}:${of}}`
