import { partsOf } from './number'

/** Which ways a sentence says were not gone. */
export type NotGone = ('registers' | 'websites' | 'references' | 'citing' | 'people' | 'at once')[]

const WAYS: readonly [RegExp, NotGone][] = [
  [/^(?:searched )?no registers of studies(?: were searched)?$/, ['registers']],
  [/^(?:searched )?no websites(?: were searched)?$/, ['websites']],
  [/^(?:searched )?no registers of studies or websites(?: were searched)?$/, ['registers', 'websites']],
  [/^(?:read )?no reference lists(?: were read)?$/, ['references']],
  [/^(?:looked for )?no citing works(?: were looked for)?$/, ['citing']],
  [/^(?:asked nobody|nobody was asked) for further works$/, ['people']],
  [/^(?:searched )?no two databases (?:were searched )?at once$/, ['at once']],
]

export function waysNotGone(sentence: string): NotGone | undefined {
  const m =
    /^(?:Beyond this,? )?(?:We |I |we )?((?:[Nn]o|[Nn]obody|searched no|read no|looked for no|asked nobody)\b.*)\.$/.exec(
      sentence,
    )
  if (!m) return undefined
  const found = partsOf(m[1]![0]!.toLowerCase() + m[1]!.slice(1)).map((part) =>
    WAYS.find(([words]) => words.test(part)),
  )
  return found.every((f) => f) ? found.flatMap((f) => f![1]) : undefined
}
