import {
  ofFile,
  openPackage,
  partitionOf,
  type Import,
  type Kept,
  type Opened,
  type StoredPartition,
} from '@/core/review'
import type { Problem, Result } from '@/core/base'
import {
  referenceList,
  type LaidOut,
  type ReadAgain,
  type Rec,
  type Reference,
  type StyleEngine,
  type StyleId,
} from '@/core/records'

import { standinKey } from '@/standins'
import type { WhatItIs } from '@/core/handed'
import type { Check } from '@/verify'
import type { ComparedHere } from './compare-here'
import type { HandedAs, ToPack } from './pack-here'
import { BlocksHere } from './records/blocks-here'
import {
  brokenText,
  layWithType,
  readFileAgain,
  readMended,
  examineFile,
  readFileInto,
  type FileExamined,
  type FileHow,
  type FileSaid,
  type FileTaken,
} from './read-file'
import { Pace, type GoOn } from './pace'
import { figure } from './figures'

/** A package that was opened here, without the way to what lies beside its journal: that is asked for by number. */
export interface OpenedHere extends Omit<Opened, 'blob'> {
  number: number
}

/** Work that takes long and must not keep searching or drawing waiting: reading packages, telling records apart. */
export class LongDesk {
  private readonly blocks = new BlocksHere()
  /** By style, or by the text of one that a person brought in. */
  private readonly engines = new Map<string, StyleEngine>()
  /** What was matched last, to go on with. */
  private kept: Kept | undefined
  private readonly opened = new Map<number, Opened>()
  private count = 0

  /**
   * Checks a package whole. What lies beside its journal can be had by its number until it is closed. `told` hears how many
   * bytes of how many were read.
   */
  async openPackage(
    file: Blob,
    told?: (done: number, of: number) => void | Promise<void>,
  ): Promise<Result<OpenedHere>> {
    const read = await openPackage(ofFile(file), told)
    if (!read.ok) return read
    const { blob: _blob, ...rest } = read.value
    const number = ++this.count
    this.opened.set(number, read.value)
    return { ...read, value: { ...rest, number } }
  }

  /** What lies under a digest in a package that is open here. */
  blob(number: number, digest: string): Promise<Uint8Array> {
    const opened = this.opened.get(number)
    if (!opened) throw new Error('This package is no longer open.')
    return opened.blob(digest)
  }

  /**
   * What the rules make of the records of these imports, read where they lie; undefined where it was stopped. `goOn` is
   * told how many records of how many are done.
   */
  async match(imports: readonly Import[], goOn?: GoOn): Promise<StoredPartition | undefined> {
    const records = new Map<string, readonly Rec[]>()
    for (const i of imports) {
      const own = await this.blocks.records(i)
      if (own) records.set(i.id, own)
    }
    const pace = new Pace(goOn)
    const kept = this.kept
    // What is half matched cannot be gone on with.
    this.kept = undefined
    const steps = partitionOf([...imports], (i) => records.get(i.id), kept)
    for (;;) {
      const step = steps.next()
      if (step.done) {
        this.kept = step.value.kept
        return step.value.stored
      }
      if (!(await pace.at(Math.round(step.value.done), step.value.of))) return undefined
    }
  }

  /**
   * Packs a review that lies in this browser, with the files that people read; `goOn` is told parts of parts. Undefined
   * where it was stopped.
   */
  async pack(review: ToPack, how: HandedAs, goOn?: GoOn): Promise<Result<Blob> | undefined> {
    const { packHere } = await import('./pack-here')
    return packHere(this.blocks, review, how, goOn)
  }

  /** What a file is that was dropped or pasted somewhere. */
  async recognise(file: Blob): Promise<WhatItIs> {
    const { recogniseHere } = await import('./recognise-here')
    return recogniseHere(file)
  }

  /** How a package stands to the review of the same origin in this browser. */
  async compare(file: Blob, reviewId: string, person: string): Promise<ComparedHere> {
    const { compareHere } = await import('./compare-here')
    return compareHere(this.blocks, file, reviewId, person)
  }

  /** Verifies a package, with a digest that was kept elsewhere; `done` is told of each check as it is done. */
  async verify(file: Blob, done?: (check: Check) => void, digest?: string): Promise<Check[]> {
    const [{ verifyPackage }, { handedHere }, { OpenSources }] = await Promise.all([
      import('@/verify'),
      import('./pack-here'),
      import('./open-sources'),
    ])
    const sources = new OpenSources()
    const here = {
      from: handedHere,
      standin: (id: string, release: string) => sources.source(standinKey(id, release)),
      now: new Date().toISOString(),
      ...(done ? { done } : {}),
    }
    return verifyPackage(new Uint8Array(await file.arrayBuffer()), here, digest)
  }

  /** A figure as a file that looks the same everywhere: drawn, or with its letters in it. */
  figure(svg: string, as: 'png' | 'svg' | 'outlined'): Promise<Uint8Array> {
    return figure(svg, as)
  }

  /** Looks at a file: how it is encoded, what it is, and what its first records say. */
  examine(file: Blob, said: FileSaid = {}): Promise<FileExamined> {
    return examineFile(file, said)
  }

  /**
   * Reads a file whole and lays its records and the file itself down, where the caller holds the lease. Undefined where it
   * was stopped: then nothing names what was laid down, and it is swept. `goOn` is told bytes of bytes.
   */
  readFile(file: Blob, how: FileHow, goOn?: GoOn): Promise<FileTaken | undefined> {
    return readFileInto(this.blocks, file, how, goOn)
  }

  /** The text of a broken record as it stands in the file it came with. */
  brokenText(file: NonNullable<Import['file']>, position: number): Promise<string | undefined> {
    return brokenText(this.blocks, file, position)
  }

  /** Reads the text of one record as those of its file are read. */
  readMended(
    file: NonNullable<Import['file']>,
    text: string,
  ): Promise<{ record?: Rec; problems: Problem[] }> {
    return readMended(this.blocks, file, text)
  }

  /** What the reader of now makes of a file that was brought in, against what is in the review of it. */
  readAgain(of: Import): Promise<ReadAgain> {
    return readFileAgain(this.blocks, of)
  }

  /** Lays the records of an import down anew, those of these names with another type; the caller holds the lease. */
  layWithType(of: Import, names: readonly string[], type: string): Promise<LaidOut> {
    return layWithType(this.blocks, of, names, type)
  }

  /** References to records in a style. The processor of styles is fetched when it is first asked for. */
  async references(records: readonly Rec[], style: StyleId | { text: string }): Promise<Reference[]> {
    const key = typeof style === 'string' ? style : style.text
    let engine = this.engines.get(key)
    if (!engine) {
      const { styleEngine } = await import('@/core/records/style')
      this.engines.set(key, (engine = styleEngine(style)))
    }
    return referenceList(records, engine)
  }

  close(number: number): void {
    this.opened.delete(number)
  }
}
