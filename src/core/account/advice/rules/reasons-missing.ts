import type { Rule } from '../advice'

/** Every work that went out on its full text has exactly one main reason (PRISMA 2020, item 16b). */
export const reasonsMissing: Rule = ({ context: { figures } }) => {
  const without = figures.flow.rounds
    .flatMap((r) => r.columns)
    .flatMap((c) => c.outReasons)
    .reduce((n, r) => n + (r.reason.trim() ? 0 : r.count), 0)
  return without
    ? [
        {
          matter: 'reasons',
          message: `${without === 1 ? 'One work' : `${without} works`} went out on the full text without a reason.`,
          mend: { stage: 'selection', label: 'Give reasons in the close pass' },
        },
      ]
    : []
}
