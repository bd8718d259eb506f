// Regenerates core/tests/fixtures/centres-jscad.json: random figures of solid shapes, with the volume and the centre of mass of
// their meshes by the npm package @jscad/modeling, which is not kept among the project's packages.
// Run: npm install --no-save @jscad/modeling && node bench/mass-fixture.mjs
import { execFileSync } from 'node:child_process'
import { writeFileSync } from 'node:fs'
import modeling from '@jscad/modeling'

const { geometries, measurements } = modeling
const figures = JSON.parse(execFileSync('php', ['bench/meshes.php'], { maxBuffer: 2 ** 28 }))

/** Bands between neighbouring rings as triangles, and both ends closed by a fan. */
function triangles({ rings, closed }) {
  const all = []
  for (let i = 0; i < rings.length - (closed ? 0 : 1); i++) {
    const [low, high] = [rings[i], rings[(i + 1) % rings.length]]
    low.forEach((a, j) => {
      const k = (j + 1) % low.length
      all.push([a, low[k], high[j]], [low[k], high[k], high[j]])
    })
  }
  if (!closed) {
    const [first, last] = [rings[0], rings[rings.length - 1]]
    for (let j = 1; j + 1 < first.length; j++)
      all.push([first[0], first[j + 1], first[j]], [last[0], last[j], last[j + 1]])
  }
  return all
}

const fixture = figures.map(({ figure, meshes }) => {
  let volume = 0
  const moment = [0, 0, 0]
  for (const mesh of meshes) {
    const solid = geometries.geom3.fromPoints(triangles(mesh))
    const own = measurements.measureVolume(solid)
    volume += Math.abs(own)
    measurements.measureCenterOfMass(solid).forEach((at, axis) => (moment[axis] += at * Math.abs(own)))
  }
  return { figure, volumeCm3: +(volume / 1000).toFixed(4), centreMm: moment.map((m) => +(m / volume).toFixed(3)) }
})
writeFileSync('core/tests/fixtures/centres-jscad.json', JSON.stringify(fixture) + '\n')
