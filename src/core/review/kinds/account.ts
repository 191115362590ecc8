import { z } from 'zod'
import { Id } from '../../base'
import { PassageContent, TellingLength, TellingOrder, Voice } from '../values'
import { atStage, kind, PLAIN, said } from './kind'

export const ACCOUNT_KINDS = {
  'account.voice': kind({
    ...PLAIN,
    schema: z.object({ voice: Voice }),
    apply: (r, p) => {
      r.account.voice = p.voice
    },
    place: () => atStage('methods'),
    words: said('voice of the account chosen'),
  }),
  'account.telling': kind({
    ...PLAIN,
    schema: z.object({ order: TellingOrder, length: TellingLength }),
    apply: (r, p) => {
      r.account.order = p.order
      r.account.length = p.length
    },
    place: () => atStage('methods'),
    words: said('order and length of the account chosen'),
  }),
  'account.edit': kind({
    ...PLAIN,
    schema: z.object({ passage: Id, content: PassageContent }),
    apply: (r, p) => {
      r.account.edited[p.passage] = p.content
    },
    place: (p) => atStage('methods', `passage:${p.passage}`),
    words: said('account edited'),
    held: (r, p) => ({ content: r.account.edited[p.passage] ?? null }),
  }),
  'account.redraft': kind({
    ...PLAIN,
    schema: z.object({ passage: Id }),
    apply: (r, p) => {
      delete r.account.edited[p.passage]
    },
    place: (p) => atStage('methods', `passage:${p.passage}`),
    words: said('passage drafted anew'),
  }),
}
