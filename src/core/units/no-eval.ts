import * as z from 'zod/mini'
import en from 'zod/v4/locales/en.js'

/** Schemas are never compiled with eval: the page's security policy forbids it, and even asking breaks it. */
z.config({ ...en(), jitless: true })
