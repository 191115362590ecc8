'use client'
import { App, Button } from 'antd'
import { useState } from 'react'
import { messageOf, plural } from '@/core/base'
import {
  drawFlow,
  flowParts,
  flowText,
  flowWords,
  includedWords,
  openMatters,
  type FlowBox,
} from '@/core/selection'
import { sourceInfo } from '@/standins/source-info'
import { useSession, useStore } from '@/page/provider'
import { fileName, saveFile } from '@/ui/save-file'
import { SaveFigure } from '../../shared/save-figure'
import { saveWord } from '../../shared/word-files'
import type { Selected } from '../use-selected'
import { worksOfBox } from './works-of-box'

/** From what was identified to what is included, as boxes; what does not add up is not drawn. */
export function FlowPane({
  selected,
  show,
}: {
  selected: Selected
  show: (ids: readonly string[], words: string) => void
}) {
  const { review } = selected
  const { deed } = useStore()
  const { message } = App.useApp()
  const [whole, setWhole] = useState(false)
  const { flow, conflicts, reasonsDiffer } = useSession((s) => s.told.figures)
  const differ = conflicts.broad + conflicts.close + reasonsDiffer
  const words = flowWords(review, (s) => sourceInfo(review, s).short)
  if (!flow.rounds.length) return <p className="empty">The flow begins with records that are brought in.</p>
  const { faults, undecided } = openMatters(flow)
  if (faults.length)
    return <p className="note">The flow does not add up, and is not drawn: {faults.join('; ')}.</p>
  const lead = (box: string, words: string): void => show(worksOfBox(selected, flow, box), words)
  const name = (ending: string): string => fileName(`${review.title} flow`, ending)
  return (
    <div className="flow">
      <div className="flow-head">
        <span className="sub">
          {undecided
            ? `${plural(undecided, 'work')} still between two boxes: not read, left open, to settle, or awaited.`
            : differ
              ? `Every work is in a box; ${plural(differ, 'difference')} between readers ${differ === 1 ? 'is' : 'are'} not settled yet.`
              : 'Every work has come to its end.'}
        </span>
        {flow.rounds.length > 1 && (
          <Button size="small" type="text" aria-pressed={whole} onClick={() => setWhole(!whole)}>
            {whole ? 'Earlier searches as one box' : 'Earlier searches in full'}
          </Button>
        )}
        <SaveFigure svg={() => drawFlow(flow, words, whole)} name={name} />
        <Button
          size="small"
          onClick={() =>
            deed(
              saveWord(name('docx'), {
                title: review.title || 'Flow',
                blocks: [
                  {
                    kind: 'figure',
                    caption: [{ type: 'text', text: 'From records identified to works included' }],
                    svg: drawFlow(flow, words, whole),
                    alt: flowText(flow, words, whole),
                  },
                  ...flowText(flow, words, whole)
                    .split('\n')
                    .map((line) => ({
                      kind: 'paragraph' as const,
                      content: [{ type: 'text' as const, text: line }],
                    })),
                ],
              }).catch((error: unknown) => message.error(`The file could not be made: ${messageOf(error)}`)),
            )
          }
        >
          Word
        </Button>
        <Button
          size="small"
          onClick={() => saveFile(name('txt'), flowText(flow, words, whole), 'text/plain')}
        >
          Text
        </Button>
      </div>
      <div className="flow-columns">
        {flowParts(flow, words, whole).map((part) => (
          <section key={part.title} className="flow-column" aria-label={part.title}>
            <h2>{part.title}</h2>
            {stepsOf(part.boxes).map(([main, ...asides]) => (
              <div key={main!.id} className="flow-row">
                <Step box={main!} show={lead} />
                <div className="flow-asides">
                  {asides.map((box) => (
                    <Step key={box.id} box={box} show={lead} />
                  ))}
                </div>
              </div>
            ))}
          </section>
        ))}
      </div>
      <button className="plain flow-step end" onClick={() => lead('all/all/included', 'included')}>
        {includedWords(flow).join(', ')}
      </button>
    </div>
  )
}

/** Boxes by the step that they belong to: what goes on, and what leaves there. */
function stepsOf(boxes: readonly FlowBox[]): FlowBox[][] {
  const steps: FlowBox[][] = []
  for (const box of boxes) {
    if (box.aside) steps.at(-1)?.push(box)
    else steps.push([box])
  }
  return steps
}

function Step({
  box: { id, lines, aside },
  show,
}: {
  box: FlowBox
  show: (id: string, words: string) => void
}) {
  const [first = '', ...more] = lines
  const gap = first.indexOf(' ')
  return (
    <button
      className={`plain flow-step${aside ? ' aside' : ''}`}
      title="see these works"
      onClick={() => show(id, first.slice(gap + 1))}
    >
      <b>{first.slice(0, gap)}</b>
      {first.slice(gap)}
      {more.map((line) => (
        <span key={line} className="sub">
          {line}
        </span>
      ))}
    </button>
  )
}
