import { SOURCES_TABLE, table1, type FactContext } from '@/core/account'
import { InlineTexts } from '../shared/account-text'
import { useTarget } from './editor/targets'

/** Table 1 of the section, read from the record: each number leads to where it comes from. */
export function SourcesTable({ context }: { context: FactContext }) {
  const table = table1(context)
  const { label } = useTarget(`table:${SOURCES_TABLE}`)
  if (!table) return null
  return (
    <figure className="sources-table">
      <figcaption>
        {label}. <i>Databases, dates and counts</i>
      </figcaption>
      <div className="sources-table-scroll" tabIndex={0} role="region" aria-label={label}>
        <table>
          <thead>
            <tr>
              {table.head.map((h) => (
                <th key={h} scope="col">
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {table.rows.map((row, n) => (
              <tr key={n}>
                {row.map((content, k) => (
                  <td key={k}>
                    <InlineTexts content={content} context={context} />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {table.notes?.map((note, n) => (
        <p key={n} className="sub">
          <InlineTexts content={note} context={context} />
        </p>
      ))}
    </figure>
  )
}
