'use client'
import { chooseFramework } from '@/core/doing'
import { Select } from 'antd'
import { FRAMEWORKS, frameworkOf, type Framework } from '@/core/review'
import { useStore } from '@/page/provider'

/** The published ways of breaking a question down, each with what it is for. */
export function FrameworkSelect({ framework }: { framework: Framework }) {
  const { deed, doIt } = useStore()
  return (
    <Select
      size="small"
      variant="borderless"
      aria-label="Framework"
      value={framework.id}
      popupMatchSelectWidth={false}
      options={FRAMEWORKS.map((f) => ({ value: f.id, label: f.id === 'free' ? f.name : `by ${f.name}` }))}
      optionRender={({ value }) => {
        const f = frameworkOf(String(value))
        return (
          <div style={{ padding: '2px 0', maxWidth: 420, whiteSpace: 'normal' }}>
            <b>{f.name}</b> <span className="sub">{f.help}</span>
            {f.roles.length > 0 && <div className="sub">{f.roles.map((r) => r.name).join(' · ')}</div>}
          </div>
        )
      }}
      onChange={(id) => deed(doIt(chooseFramework, id))}
    />
  )
}
