import { sumWords, type Check } from '@/verify/report'
import './check-report.css'

/** What is shown of one check at most; the report as a file has more. */
const SHOWN = 8

/** What verification found, a line a check, as they come. */
export function CheckReport({ checks, done }: { checks: readonly Check[]; done: boolean }) {
  return (
    <section className="check-report" aria-label="What was checked">
      <p role="status">{done ? <b>{sumWords(checks)}</b> : 'Checking …'}</p>
      <div className="check-report-list" tabIndex={0} role="group" aria-label="Each check">
        {checks.map((c) => (
          <div key={c.about} data-state={c.state}>
            <b>{c.about}</b> <span>{c.state}</span>
            <p className="sub">{c.says}</p>
            {[...c.faults, ...c.open, ...c.remarks].slice(0, SHOWN).map((words) => (
              <p key={words}>{words}</p>
            ))}
            {c.faults.length + c.open.length + c.remarks.length > SHOWN && (
              <p className="sub">and {c.faults.length + c.open.length + c.remarks.length - SHOWN} more</p>
            )}
          </div>
        ))}
      </div>
    </section>
  )
}
