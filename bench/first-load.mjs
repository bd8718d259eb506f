// What the first page loads in script, gzipped: the entry, what it begins, and all that they import at once; the words of a language
// apart. Run after a build:
//   node bench/first-load.mjs
import { readFileSync } from 'node:fs'
import { gzipSync } from 'node:zlib'

const build = new URL('../public/build/', import.meta.url)
const manifest = JSON.parse(readFileSync(new URL('manifest.json', build), 'utf8'))
const files = new Set()
const take = (key) => {
  const chunk = manifest[key]
  if (!chunk || files.has(chunk.file)) return
  files.add(chunk.file)
  chunk.imports?.forEach(take)
}
take('resources/app/main.ts')
take('resources/app/start.ts')
const size = (file) => gzipSync(readFileSync(new URL(file, build))).length / 1000
const total = [...files].reduce((sum, file) => sum + size(file), 0)
console.log(
  `${files.size} files, ${total.toFixed(0)} kB of script gzipped; the budget is 220 kB, of which this is ${(total / 2.2).toFixed(0)} %.`,
)
const later = Object.values(manifest)
  .filter((c) => c.file.endsWith('.js') && !files.has(c.file))
  .map((c) => `${c.file.split('/').pop()} ${size(c.file).toFixed(0)} kB`)
console.log(`Later, by station: ${later.join(', ')}`)
