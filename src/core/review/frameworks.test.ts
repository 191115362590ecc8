import { describe, expect, it } from 'vitest'
import { FRAMEWORKS, frameworkOf, rolesLeft } from '.'

describe('frameworks', () => {
  it('have as many roles as letters, each with its question', () => {
    for (const f of FRAMEWORKS.filter((x) => x.id !== 'free')) {
      expect(f.roles.map((r) => r.name[0]!.toUpperCase()).join('')).toBe(f.id === 'SPIDER' ? 'SPDER' : f.id)
      expect(f.roles.every((r) => r.help.endsWith('?'))).toBe(true)
    }
  })
  it('of an unknown name have no roles, and leave the roles that concepts have', () => {
    expect(frameworkOf('our own')).toMatchObject({ name: 'our own', roles: [] })
    expect(rolesLeft(frameworkOf('PEO'), ['Exposure', undefined, 'where'])).toEqual(['Population', 'Outcome'])
  })
})
