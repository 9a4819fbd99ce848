import { writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { jsonSchemas } from '@/core/formats/json-schemas'

for (const [name, text] of Object.entries(jsonSchemas()))
  writeFileSync(fileURLToPath(new URL(`../docs/${name}`, import.meta.url)), text)
