import type { Rule } from '../advice'

/** "We searched" is how methods are told; what was found speaks for itself. */
export const findingsVoice: Rule = ({ sentences }) =>
  sentences
    .filter((s) =>
      /\b(?:we|I)\s+(?:\w+ )?(?:found that|show(?:ed)? that|conclude|argue|believe|demonstrate|suggest that|think)\b|\b(?:our|my) (?:results|findings) (?:show|suggest|demonstrate)/i.test(
        s.typed,
      ),
    )
    .map((s) => ({
      matter: s.typed.slice(0, 120),
      message: 'The first person speaks of findings here, not of what was done.',
      passage: s.passage,
      words: s.text,
    }))
