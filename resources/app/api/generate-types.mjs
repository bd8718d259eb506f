// Writes figure.ts and plan.ts from formats/*.schema.json, so that the screens speak of documents as the
// formats do. Run: npm run types
import { writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { compileFromFile } from 'json-schema-to-typescript'

for (const name of ['figure', 'plan']) {
  const schema = fileURLToPath(new URL(`../../../formats/impa-${name}-1.schema.json`, import.meta.url))
  const types = await compileFromFile(schema, {
    additionalProperties: true,
    bannerComment: `// Made from formats/impa-${name}-1.schema.json by npm run types. Do not edit.`,
    style: { semi: false, singleQuote: true },
  })
  writeFileSync(new URL(`./${name}.ts`, import.meta.url), types)
}
