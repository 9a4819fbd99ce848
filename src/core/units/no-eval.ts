import * as z from 'zod'

/** Schemas are never compiled with eval: the page's security policy forbids it, and even asking breaks it. */
z.config({ jitless: true })
