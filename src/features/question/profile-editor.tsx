'use client'
import { App, Button, Modal } from 'antd'
import { useDeferredValue, useMemo, useState } from 'react'
import {
  describedProfile,
  draftOf,
  freshDraft,
  readDescription,
  type Profile,
  type ProfileDraft,
} from '@/core/profile'
import { plural } from '@/core/base'
import { keepDescription, leaveUndescribed, linesOtherwise, UNNAMED } from '@/core/doing'
import type { Review, Source } from '@/core/review'
import { useStore } from '@/page/provider'
import { fileName, saveFile } from '@/ui/save-file'
import { LinesOtherwise } from './described-since'
import { ProfileExamples } from './profile-examples'
import { ProfileFields } from './profile-fields'
import { ProfileTryOut } from './profile-try-out'

/** Describes how a database speaks: the parts at the left, what comes of them at the right, tried out while one types. */
export function ProfileEditor({
  review,
  source,
  profile,
  close,
}: {
  review: Review
  source: Source
  profile: Profile | undefined
  close: () => void
}) {
  const { doIt, deed } = useStore()
  const { message, modal } = App.useApp()
  const [draft, setDraft] = useState<ProfileDraft>(() =>
    profile ? draftOf(profile) : freshDraft(source.name === UNNAMED ? '' : source.name),
  )
  // Whether two forms collide takes a tenth of a second to find out: it comes after what was typed is shown.
  const typed = useDeferredValue(draft)
  const read = useMemo(() => readDescription(JSON.parse(JSON.stringify(describedProfile(typed)))), [typed])
  const problems = useMemo(
    () =>
      new Map(read.ok ? [] : read.problems.map((p) => [String(p.at), p.message.replace(/^In [^:]*: /, '')])),
    [read],
  )
  const ready = read.ok ? read.value : undefined
  const [begun] = useState(draft)
  const gone = (): void => {
    deed(doIt(leaveUndescribed, source))
    close()
  }
  // What was typed goes only when somebody says so: not by Escape, nor by a click beside it.
  const leave = (): void => {
    if (draft === begun) return gone()
    modal.confirm({
      title: 'Leave this description?',
      content: 'What was typed into it is not kept.',
      okText: 'Leave it',
      cancelText: 'Go on with it',
      autoFocusButton: 'cancel',
      onOk: gone,
    })
  }
  const keep = (): void => {
    if (!ready) return
    deed(doIt(keepDescription, { source, before: profile, typed: ready }))
    const otherwise = profile ? linesOtherwise(review, source.id, profile, ready) : []
    if (otherwise.length)
      modal.info({
        title: `${ready.name} is described anew`,
        width: 620,
        content: <LinesOtherwise lines={otherwise} />,
        okText: 'Good',
      })
    else deed(message.success(`${ready.name} is described. Its sheet stands under Searches.`))
    close()
  }
  return (
    <Modal
      open
      width={1180}
      style={{ top: 24 }}
      title={profile ? `How ${profile.name} speaks` : 'How a database of your own speaks'}
      onCancel={leave}
      mask={{ closable: false }}
      footer={[
        <Button
          key="share"
          disabled={!ready}
          onClick={() =>
            ready &&
            saveFile(fileName(ready.name, 'json'), `${JSON.stringify(ready, null, 2)}\n`, 'application/json')
          }
        >
          Save as a file to share
        </Button>,
        <Button key="leave" onClick={leave}>
          Leave it
        </Button>,
        <Button key="keep" type="primary" disabled={!ready} onClick={keep}>
          {ready || problems.size === 0
            ? 'Keep the description'
            : problems.size === 1 && !draft.name
              ? 'It needs a name'
              : `${plural(problems.size, 'part')} to put right`}
        </Button>,
      ]}
    >
      <div className="describe">
        <div className="describe-main">
          <ProfileExamples draft={draft} set={setDraft} />
          <ProfileFields draft={draft} set={setDraft} problems={problems} />
        </div>
        <ProfileTryOut review={review} profile={ready} problems={problems} />
      </div>
    </Modal>
  )
}
