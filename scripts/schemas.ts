import { jsonSchemas } from '@/core/api/files'
import { writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'

for (const [name, text] of Object.entries(jsonSchemas()))
  writeFileSync(fileURLToPath(new URL(`../docs/${name}`, import.meta.url)), text)
