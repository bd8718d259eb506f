// Regenerates core/tests/fixtures/colour-culori.json: random sRGB pairs with their Lab (D65) and
// CIEDE2000, and their WCAG contrast, by the npm package culori. Also confirms the 34 pairs of Sharma, Wu and Dalal.
// Run: node bench/colour-fixture.mjs
import { readFileSync, writeFileSync } from 'node:fs'
import { converter, differenceCiede2000, wcagContrast } from 'culori'

const lab = converter('lab65')
const difference = differenceCiede2000()
let seed = 20050
const random = () => (seed = (seed * 1103515245 + 12345) % 2147483648) / 2147483648
const hex = () =>
  '#' +
  [0, 1, 2]
    .map(() =>
      Math.floor(random() * 256)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')

const pairs = Array.from({ length: 300 }, () => {
  const [one, two] = [hex(), hex()]
  const { l, a, b } = lab(one)
  return {
    one,
    two,
    lab: [l, a, b].map((v) => +v.toFixed(5)),
    difference: +difference(one, two).toFixed(5),
    wcag: +wcagContrast(one, two).toFixed(5),
  }
})
writeFileSync(
  new URL('../core/tests/fixtures/colour-culori.json', import.meta.url),
  JSON.stringify(pairs, null, 1) + '\n',
)

const table = readFileSync(new URL('../core/tests/fixtures/ciede2000-sharma.php', import.meta.url), 'utf8')
let worst = 0
let count = 0
for (const row of table.matchAll(/^ {4}\[([^\]]+)\]/gm)) {
  const [l, a, b, l2, a2, b2, published] = row[1].split(',').map(Number)
  const found = difference({ mode: 'lab65', l, a, b }, { mode: 'lab65', l: l2, a: a2, b: b2 })
  worst = Math.max(worst, Math.abs(found - published))
  count++
}
console.log(`${pairs.length} random pairs written; ${count} published pairs, culori within ${worst.toFixed(5)}`)
