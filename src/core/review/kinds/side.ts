import { z } from 'zod'
import { Id } from '../../base'
import { takeSide } from '../side-taken'
import { Digest } from '../values'
import { atStage, kind, PLAIN, said } from './kind'

export const SIDE_KINDS = {
  'side.take': kind({
    ...PLAIN,
    schema: z.object({
      person: Id,
      /** The digest of its last entry, by which it is known again. */
      head: Digest,
      /** The side journal itself. */
      digest: Digest,
    }),
    apply: (r, p, { side }) => {
      const taken = side?.(p.digest)
      if (taken?.person !== p.person) throw new Error('The side journal that was taken in is not here.')
      takeSide(r, taken)
    },
    blobs: (p) => [p.digest],
    place: () => atStage('selection'),
    words: said('what another reader did taken in'),
  }),
}
