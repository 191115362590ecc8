import { dateWords, sectionDocument, toHtml, wordsOfCell, type AppendixContext } from '../account'
import { digestWords, listed } from '../base'
import { escapedXml as escaped } from '../picture'
import type { FileBytes } from '../review'
import { factLinks } from './fact-links'

/** A file that is handed on: what it is in a few words, and its bytes, made when they are asked for. */
export interface HandedFile {
  bytes: () => FileBytes
  about: string
}

/**
 * The page that a person without Luvren opens: the section with every fact leading to its evidence, the appendices, and what
 * the package holds. No script, nothing fetched.
 */
export function indexPage(
  context: AppendixContext,
  leftOut: readonly string[],
  files: ReadonlyMap<string, Pick<HandedFile, 'about'>>,
): string {
  const tree = sectionDocument(context)
  const letters = new Set(
    tree.blocks.flatMap((b) =>
      b.kind === 'heading'
        ? (/^Appendix ([A-Z])\./.exec(wordsOfCell(b.content))?.[1]?.toLowerCase() ?? [])
        : [],
    ),
  )
  const last = context.entries?.at(-1)
  const state = last
    ? `<p class="note">State of the record: entry ${last.seq} of its journal, ${escaped(dateWords(last.at))}. Digest of that entry, to read out: ${escaped(digestWords(last.digest))}.</p>`
    : ''
  const rows = [...files]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([path, { about }]) => `<dt><a href="${path}">${path}</a></dt><dd>${escaped(about)}</dd>`)
    .join('\n')
  return toHtml(tree, factLinks(context, letters), {
    before: `${leftOut.length ? `<p><strong>Left out of this package: ${escaped(listed(leftOut))}.</strong>${leftOut[0]!.startsWith('abstracts') ? ' Terms are told in the order of the plan, not by what they found.' : ''}</p>\n` : ''}<p>The search and selection of a literature review, with its evidence. Underlined words come from the record of the review and lead to what bears them out. <a href="#files">What this package holds</a></p>
${state}
`,
    after: `<h2 id="files">What this package holds</h2>
<p>This page and the files beside it were made from <code>journal.jsonl</code>, the journal of all that was done, and from what lies beside it in <code>blobs</code>. Luvren opens the package, checks it, and runs its searches again. Without Luvren, the files can be held against <code>manifest-sha256.txt</code>, one folder up, with <code>sha256sum -c</code>.</p>
<dl>
${rows}
</dl>
`,
  })
}
