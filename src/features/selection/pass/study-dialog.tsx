import { Button, Input, Modal, Select } from 'antd'
import { useMemo, useState, type ReactNode } from 'react'
import { plural } from '@/core/base'
import { bindStudy, partStudy } from '@/core/doing'
import type { Work } from '@/core/review'
import { useStore } from '@/page/provider'
import { useAsked } from '@/page/use-asked'
import { recordsDesk } from '@/workers'
import type { Selected } from '../use-selected'

/** Binding a work with others as reports of one study; the last box of the flow counts both. */
export function useStudy(
  work: Work | undefined,
  selected: Selected,
): { open: () => void; dialog: ReactNode; name: string | undefined } {
  const { doIt, deed } = useStore()
  const { review, works, placed } = selected
  const [shown, setShown] = useState(false)
  const [others, setOthers] = useState<string[]>([])
  const [name, setName] = useState('')
  const own = review.studies?.find((s) => work?.records.some((id) => s.records.includes(id)))
  const included = useMemo(
    () => (shown ? works.filter(({ id }) => id !== work?.id && placed(id).place === 'included') : []),
    [works, placed, work, shown],
  )
  const { value: records } = useAsked(
    () => (shown && included.length ? recordsDesk().shown(included.map((w) => w.id)) : undefined),
    [shown, included],
    { keep: true },
  )
  const bind = (): void => {
    if (!work || !others.length || !name.trim()) return
    deed(doIt(bindStudy, { id: own?.id, name, ids: [work.id, ...others] }))
    setShown(false)
  }
  return {
    name: own?.name,
    open: () => {
      setOthers((own?.records ?? []).filter((id) => !work?.records.includes(id)))
      setName(own?.name ?? '')
      setShown(true)
    },
    dialog: (
      <Modal
        open={shown}
        title="Reports of one study"
        footer={null}
        width={520}
        onCancel={() => setShown(false)}
        destroyOnHidden
      >
        <div className="many">
          <Select
            mode="multiple"
            autoFocus
            aria-label="Other works that report it"
            placeholder="other works that report the same study"
            value={others}
            onChange={setOthers}
            optionFilterProp="label"
            options={(records ?? []).map((r) => ({ value: r.id, label: r.record.title }))}
          />
          <Input
            aria-label="What the study is called"
            placeholder="what the study is called"
            value={name}
            onChange={(e) => setName(e.target.value)}
            onPressEnter={bind}
          />
          <p className="sub">
            The flow counts {plural(others.length + 1, 'work')} as one study then. Works that are included can
            be chosen.
          </p>
          <p>
            <Button type="primary" disabled={!others.length || !name.trim()} onClick={bind}>
              Bind them
            </Button>{' '}
            {own && (
              <Button
                onClick={() => {
                  deed(doIt(partStudy, { id: own.id }))
                  setShown(false)
                }}
              >
                Part them
              </Button>
            )}
          </p>
        </div>
      </Modal>
    ),
  }
}
