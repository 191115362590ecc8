import { foldWord, tokens } from '../base'
import { Z95 } from './kappa'

/** Texts as rows of weighted terms, made once for a list of works. */
export interface TermRows {
  size: number
  terms: number
  starts: Uint32Array
  ids: Uint32Array
  weights: Float32Array
}

/** Lays texts out by tf-idf (Salton and Buckley 1988): 1 + log of the frequency, times log of rarity, length one. */
export function layTerms(texts: Iterable<readonly string[]>): TermRows {
  const known = new Map<string, number>()
  const rows: Map<number, number>[] = []
  const inDocuments: number[] = []
  for (const parts of texts) {
    const row = new Map<number, number>()
    for (const part of parts)
      for (const { text } of tokens(part)) {
        const word = foldWord(text)
        if (word.length < 3) continue
        let id = known.get(word)
        if (id === undefined) known.set(word, (id = known.size))
        row.set(id, (row.get(id) ?? 0) + 1)
      }
    for (const id of row.keys()) inDocuments[id] = (inDocuments[id] ?? 0) + 1
    rows.push(row)
  }
  const starts = new Uint32Array(rows.length + 1)
  rows.forEach((row, n) => (starts[n + 1] = starts[n]! + row.size))
  const ids = new Uint32Array(starts[rows.length]!)
  const weights = new Float32Array(ids.length)
  rows.forEach((row, n) => {
    let at = starts[n]!
    let square = 0
    for (const [id, times] of row) {
      const weight = (1 + Math.log(times)) * Math.log((1 + rows.length) / (1 + inDocuments[id]!))
      ids[at] = id
      weights[at++] = weight
      square += weight * weight
    }
    const length = Math.sqrt(square) || 1
    for (let k = starts[n]!; k < at; k++) weights[k]! /= length
  })
  return { size: rows.length, terms: known.size, starts, ids, weights }
}

/** What a reader wants of a work, by place: 1 in, 0 out, -1 not ruled or unsure. */
export type Labels = Int8Array

const ROUNDS = 120
const RATE = 8
const SHRINK = 0.002

/**
 * Logistic regression by plain gradient steps from nothing, those in and those out weighing alike in sum, so that the same
 * rulings give the same order on every machine. An order only, never a verdict.
 */
export function fitLikely(rows: TermRows, labels: Labels): Float64Array {
  const weights = new Float64Array(rows.terms + 1)
  const places: number[] = []
  let wanted = 0
  for (let n = 0; n < rows.size; n++)
    if (labels[n]! >= 0) {
      places.push(n)
      wanted += labels[n]!
    }
  if (!wanted || wanted === places.length) return weights
  const share = [0.5 / (places.length - wanted), 0.5 / wanted]
  const gradient = new Float64Array(weights.length)
  for (let round = 0; round < ROUNDS; round++) {
    gradient.fill(0)
    for (const n of places) {
      const miss = (1 / (1 + Math.exp(-scoreOf(rows, weights, n))) - labels[n]!) * share[labels[n]!]!
      for (let k = rows.starts[n]!; k < rows.starts[n + 1]!; k++)
        gradient[rows.ids[k]!]! += miss * rows.weights[k]!
      gradient[rows.terms]! += miss
    }
    for (let t = 0; t < weights.length; t++)
      weights[t]! -= RATE * (gradient[t]! + (t < rows.terms ? SHRINK * weights[t]! : 0))
  }
  return weights
}

export function scoreOf(rows: TermRows, weights: Float64Array, n: number): number {
  let sum = weights[rows.terms]!
  for (let k = rows.starts[n]!; k < rows.starts[n + 1]!; k++) sum += weights[rows.ids[k]!]! * rows.weights[k]!
  return sum
}

/** Places by how likely they are in; equal ones as they came. */
export function likelyFirst(rows: TermRows, weights: Float64Array): number[] {
  const scores = Array.from({ length: rows.size }, (_, n) => scoreOf(rows, weights, n))
  return scores.map((_, n) => n).sort((a, b) => scores[b]! - scores[a]! || a - b)
}

/** It is offered from so many rulings of each kind on; below, it has been seen to order little better than chance. */
export const OFFERED_FROM = { in: 25, out: 25 } as const

const FOLDS = 5

/** What each ruled work scores by what was learnt from the other parts, five by place; undefined: too few to be parted. */
function heldOut(rows: TermRows, labels: Labels): { score: number; in: boolean; fold: number }[] | undefined {
  const [ins, outs] = [[] as number[], [] as number[]]
  for (let n = 0; n < rows.size; n++) if (labels[n]! >= 0) (labels[n] ? ins : outs).push(n)
  if (ins.length < FOLDS || outs.length < FOLDS) return undefined
  const part = new Map([...ins.entries(), ...outs.entries()].map(([k, n]) => [n, k % FOLDS]))
  return Array.from({ length: FOLDS }, (_, fold) => {
    const weights = fitLikely(
      rows,
      labels.map((l, n) => (part.get(n) === fold ? -1 : l)),
    )
    return [...part]
      .filter(([, own]) => own === fold)
      .map(([n]) => ({ score: scoreOf(rows, weights, n), in: labels[n] === 1, fold }))
  }).flat()
}

/** How sure an order by what is likely can be, of 1, and between what and what that lies with 95 % confidence. */
export interface Sureness {
  of: number
  interval: [low: number, high: number]
}

/**
 * How sure it can be: how often a work that is in would have stood before one that is out, each ordered by what was learnt
 * from the others (area under the curve, Hanley and McNeil 1982). Undefined where there is too little to say.
 */
export function surenessOf(rows: TermRows, labels: Labels): Sureness | undefined {
  const held = heldOut(rows, labels)
  if (!held) return undefined
  let [before, pairs] = [0, 0]
  for (let fold = 0; fold < FOLDS; fold++) {
    const of = (inside: boolean): number[] =>
      held.filter((h) => h.fold === fold && h.in === inside).map((h) => h.score)
    for (const a of of(true))
      for (const b of of(false)) {
        pairs++
        before += a > b ? 1 : a === b ? 0.5 : 0
      }
  }
  if (!pairs) return undefined
  const of = before / pairs
  const inside = held.filter((h) => h.in).length
  return { of, interval: areaInterval(of, inside, held.length - inside) }
}

/**
 * The 95 % interval of an area under the curve, by the standard error of Hanley and McNeil (Radiology 1982;143:29-36), kept
 * between 0 and 1. With few works of either kind it is wide: that is what it says.
 */
export function areaInterval(area: number, inside: number, outside: number): [low: number, high: number] {
  const [q1, q2] = [area / (2 - area), (2 * area * area) / (1 + area)]
  const variance =
    (area * (1 - area) + (inside - 1) * (q1 - area * area) + (outside - 1) * (q2 - area * area)) /
    (inside * outside)
  const half = Z95 * Math.sqrt(Math.max(0, variance))
  return [Math.max(0, area - half), Math.min(1, area + half)]
}

const BINS = 8

/**
 * How many of the works without a ruling it expects to be in: ruled works are laid by their scores into eight parts of
 * like size, and each work counts as the share of its part that was in. It supposes that works not read are in as often
 * as read ones of the same score were. Undefined where there is too little to say.
 */
export function expectedLeft(rows: TermRows, labels: Labels): number | undefined {
  const held = heldOut(rows, labels)?.sort((a, b) => a.score - b.score)
  if (!held) return undefined
  const bins = Array.from({ length: BINS }, (_, b) =>
    held.slice(Math.floor((b * held.length) / BINS), Math.floor(((b + 1) * held.length) / BINS)),
  ).filter((bin) => bin.length)
  const share = bins.map((bin) => bin.filter((h) => h.in).length / bin.length)
  const weights = fitLikely(rows, labels)
  let sum = 0
  for (let n = 0; n < rows.size; n++) {
    if (labels[n]! >= 0) continue
    const score = scoreOf(rows, weights, n)
    const bin = bins.findLastIndex((b) => b[0]!.score <= score)
    sum += share[Math.max(0, bin)]!
  }
  return sum
}

/** Places in an order of chance that a seed gives: the same seed and ids, the same order everywhere. */
export function chanceOrder(ids: readonly string[], seed: string): number[] {
  const drawn = ids.map((id) => {
    // FNV-1a, then mixed, so that names that differ in their last sign alone are far apart.
    let h = 2166136261
    for (const c of `${seed}\n${id}`) h = Math.imul(h ^ c.codePointAt(0)!, 16777619)
    h = Math.imul(h ^ (h >>> 16), 0x85ebca6b)
    h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35)
    return (h ^ (h >>> 16)) >>> 0
  })
  return ids.map((_, n) => n).sort((a, b) => drawn[a]! - drawn[b]! || a - b)
}
