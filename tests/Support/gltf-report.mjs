// What the Khronos validator says of .glb files, as JSON, one a line: node tests/Support/gltf-report.mjs FILE ...
import validator from 'gltf-validator'
import { readFileSync } from 'node:fs'

for (const file of process.argv.slice(2)) {
  const { issues, info } = await validator.validateBytes(new Uint8Array(readFileSync(file)), { maxIssues: 20 })
  console.log(JSON.stringify({ ...issues, info }))
}
