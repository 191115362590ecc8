import { BaseSequencer, type TestSpecification } from 'vitest/node'

/** Files that take longest, the longest first: begun last, one would go on alone on one core. */
const SLOW = [
  'src/core/account/sayings.test.ts',
  'src/verify/verify.test.ts',
  'src/cli/shell.test.ts',
  'src/core/handed/handed.test.ts',
  'src/verify/handed-on.test.ts',
  'src/core/account/draft.test.ts',
  'src/core/account/claims.test.ts',
]

/** Begins with what takes longest, and goes on in the order in which Vitest would. */
export class SlowFirst extends BaseSequencer {
  override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const rank = ({ moduleId }: TestSpecification): number => {
      const at = SLOW.findIndex((name) => moduleId.endsWith(name))
      return at < 0 ? SLOW.length : at
    }
    return (await super.sort(files)).sort((a, b) => rank(a) - rank(b))
  }
}
