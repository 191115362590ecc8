import { whereFrom, whoAndWhen } from '@/core/records'
import { Title } from '@/ui/marked'
import type { FileExamined } from '@/workers'

/** The beginning of a file as it stands, and the first records as they are read, side by side. */
export function FileSides({ examined }: { examined: FileExamined }) {
  return (
    <div className="file-sides">
      <section>
        <h3>Its first lines</h3>
        <pre>{examined.lines.join('\n')}</pre>
      </section>
      <section>
        <h3>Its first records, as they are read</h3>
        {examined.first.length === 0 && <p className="sub">None.</p>}
        {examined.first.map(({ record, problems }, i) => (
          <p key={i} className="file-record">
            {record ? (
              <>
                <b>{record.title ? <Title text={record.title} /> : 'no title'}</b>
                <span className="sub">
                  {[whoAndWhen(record), whereFrom(record), record.doi].filter(Boolean).join(' · ')}
                </span>
              </>
            ) : (
              <b>broken</b>
            )}
            {problems.map((p) => (
              <span key={p.message} className="file-problem">
                {p.message}
              </span>
            ))}
          </p>
        ))}
      </section>
    </div>
  )
}
