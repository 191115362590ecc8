import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import { issuesInWords } from '.'

const said = (schema: z.ZodType, value: unknown): string[] => {
  const read = schema.safeParse(value)
  return read.success ? [] : issuesInWords(read.error).map(({ at, words }) => `${at}: ${words}`)
}

describe('what is wrong with a value, in words', () => {
  const Schema = z.strictObject({
    name: z.string().min(1).max(5),
    code: z.string().min(3).optional(),
    most: z.int().min(2).max(9).optional(),
    ticked: z.boolean().optional(),
    kind: z.enum(['index', 'catalogue']).optional(),
    fields: z
      .array(z.strictObject({ form: z.string() }))
      .min(1)
      .max(2)
      .optional(),
    own: z
      .string()
      .refine((t) => t.includes('{n}'), { error: 'must hold {n}' })
      .optional(),
    either: z.union([z.string(), z.number()]).optional(),
  })

  it('reads on after the name of the place', () => {
    expect(said(Schema, { name: '' })).toEqual(['name: must not be empty'])
    expect(said(Schema, { name: 'too long' })).toEqual(['name: must have at most 5 characters'])
    expect(said(Schema, {})).toEqual(['name: is missing'])
    expect(said(Schema, { name: 3 })).toEqual(['name: must be a text'])
    expect(said(Schema, { name: 'x', code: 'a' })).toEqual(['code: must have at least 3 characters'])
    expect(said(Schema, { name: 'x', most: 1 })).toEqual(['most: must be at least 2'])
    expect(said(Schema, { name: 'x', most: 10 })).toEqual(['most: must be at most 9'])
    expect(said(Schema, { name: 'x', most: '12' })).toEqual(['most: must be a number'])
    expect(said(Schema, { name: 'x', most: 2.5 })).toEqual(['most: must be a whole number'])
    expect(said(Schema, { name: 'x', ticked: 'yes' })).toEqual(['ticked: must be true or false'])
    expect(said(Schema, { name: 'x', kind: 'shelf' })).toEqual(['kind: must be “index” or “catalogue”'])
    expect(said(Schema, { name: 'x', fields: [] })).toEqual(['fields: must hold at least one'])
    expect(said(Schema, { name: 'x', fields: [1, { form: 2 }] })).toEqual([
      'fields.0: must be a group of parts',
      'fields.1.form: must be a text',
    ])
    expect(said(Schema, { name: 'x', fields: [{ form: '' }, { form: '' }, { form: '' }] })).toEqual([
      'fields: must hold at most 2',
    ])
    expect(said(Schema, { name: 'x', own: 'no' })).toEqual(['own: must hold {n}'])
    expect(said(Schema, { name: 'x', either: true })).toEqual([
      'either: is none of the forms that it can have',
    ])
    expect(said(Schema, { name: 'x', more: 1, still: 2 })).toEqual([
      ': holds 2 parts not known here: more and still',
    ])
    expect(said(Schema, { name: 'x' })).toEqual([])
  })
})
