'use client'
import { autocompletion, type CompletionContext, type CompletionResult } from '@codemirror/autocomplete'
import { defaultKeymap, history, historyKeymap } from '@codemirror/commands'
import { bracketMatching } from '@codemirror/language'
import { linter } from '@codemirror/lint'
import { EditorState, RangeSetBuilder } from '@codemirror/state'
import {
  Decoration,
  EditorView,
  keymap,
  ViewPlugin,
  type DecorationSet,
  type ViewUpdate,
} from '@codemirror/view'
import { useEffect, useRef } from 'react'
import { FIELDS, lex, parse } from '@/core/query'

interface Props {
  text: string
  label: string
  /** Labels of headings for what has been typed, for completion. */
  headings: (typed: string) => Promise<string[]>
  /** The lines above, for completing a reference. */
  above: readonly string[]
  onChange: (text: string) => void
  onDone: (text: string) => void
  onCancel: () => void
}

const CLASS: Partial<Record<string, string>> = {
  op: 'q-op',
  near: 'q-op',
  field: 'q-field',
  heading: 'q-field',
  class: 'q-field',
  line: 'q-line',
  lines: 'q-line',
}

function colours(view: EditorView): DecorationSet {
  const builder = new RangeSetBuilder<Decoration>()
  for (const mark of lex(view.state.doc.toString()).marks) {
    const name = CLASS[mark.kind]
    if (name) builder.add(mark.at[0], mark.at[1], Decoration.mark({ class: name }))
  }
  return builder.finish()
}

const colouring = ViewPlugin.fromClass(
  class {
    decorations: DecorationSet
    constructor(view: EditorView) {
      this.decorations = colours(view)
    }
    update(update: ViewUpdate): void {
      if (update.docChanged) this.decorations = colours(update.view)
    }
  },
  { decorations: (plugin) => plugin.decorations },
)

/** Problems of plain notation at their place, with their fixes. */
const problems = linter((view) => {
  const length = view.state.doc.length
  return parse(view.state.doc.toString()).problems.map((p) => {
    const [from, to] = Array.isArray(p.at) ? [p.at[0] as number, p.at[1] as number] : [0, length]
    const { fix } = p
    return {
      from: Math.min(from, length),
      to: Math.min(Math.max(to, from), length),
      severity: p.severity === 'note' ? ('info' as const) : p.severity,
      message: p.message,
      ...(fix
        ? {
            actions: [
              {
                name: fix.label,
                apply: (v: EditorView) =>
                  v.dispatch({ changes: { from: fix.span[0], to: fix.span[1], insert: fix.text } }),
              },
            ],
          }
        : {}),
    }
  })
})

function completion(headings: Props['headings'], lines: () => readonly string[]) {
  return async (context: CompletionContext): Promise<CompletionResult | null> => {
    const before = context.state.sliceDoc(0, context.pos)
    const heading = /heading(?:\.\w+)*:\s*"?([^"]*)$/i.exec(before)
    if (heading) {
      const typed = heading[1]!
      const labels = await headings(typed)
      const quoted = before.endsWith(`"${typed}`)
      return {
        from: context.pos - typed.length,
        filter: false,
        options: labels.map((label) => ({ label, apply: quoted ? label : `"${label}"` })),
      }
    }
    const reference = context.matchBefore(/#\d*/)
    if (reference)
      return {
        from: reference.from,
        options: lines().map((line, i) => ({
          label: `#${i + 1}`,
          detail: line.length > 60 ? `${line.slice(0, 60)}…` : line,
        })),
      }
    const word = context.matchBefore(/[a-z.]+/i)
    if (!word || (word.from === word.to && !context.explicit)) return null
    const names = [...FIELDS, 'heading', 'heading.below', 'heading.main', 'class', 'class.below']
    return { from: word.from, options: names.map((name) => ({ label: `${name}:`, apply: `${name}: ` })) }
  }
}

/** An editor for one line in plain notation. Enter is done, Escape leaves it as it was. */
export function QueryEditor({ text, label, headings, above, onChange, onDone, onCancel }: Props) {
  const host = useRef<HTMLDivElement>(null)
  const calls = useRef({ headings, above, onChange, onDone, onCancel })
  useEffect(() => {
    calls.current = { headings, above, onChange, onDone, onCancel }
  })
  const first = useRef(text)
  useEffect(() => {
    if (!host.current) return
    const view = new EditorView({
      parent: host.current,
      state: EditorState.create({
        doc: first.current,
        selection: { anchor: first.current.length },
        extensions: [
          keymap.of([
            { key: 'Enter', run: (v) => (calls.current.onDone(v.state.doc.toString()), true) },
            { key: 'Escape', run: () => (calls.current.onCancel(), true) },
          ]),
          autocompletion({
            override: [
              completion(
                (typed) => calls.current.headings(typed),
                () => calls.current.above,
              ),
            ],
          }),
          history(),
          keymap.of([...defaultKeymap, ...historyKeymap]),
          bracketMatching(),
          colouring,
          problems,
          EditorView.lineWrapping,
          EditorView.contentAttributes.of({ 'aria-label': label }),
          EditorView.updateListener.of((u) => u.docChanged && calls.current.onChange(u.state.doc.toString())),
        ],
      }),
    })
    view.focus()
    return () => view.destroy()
  }, [label])
  return <div ref={host} />
}
