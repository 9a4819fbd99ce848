import * as z from 'zod/mini'
import en from 'zod/v4/locales/en.js'

/** What schemas are written with: every file takes it from here. */
export * from 'zod/mini'

/** Schemas are never compiled with eval: the page's security policy forbids it, and even asking breaks it. */
z.config({ ...en(), jitless: true })

/**
 * Imported here first by every page, so that the library's pieces have one order everywhere, and what nobody uses of
 * them is left out of what the browser loads.
 *
 * @public
 */
export const MET_FIRST = [z.strictObject, z.trim, z.iso]
