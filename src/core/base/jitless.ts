/**
 * Checks of values are never compiled to code: a strict policy forbids that on every page, and reports each attempt. Loaded
 * before anything else wherever the program begins.
 */
import { z } from 'zod'

z.config({ jitless: true })
