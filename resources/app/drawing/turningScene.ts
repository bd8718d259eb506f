import {
  type Material,
  AmbientLight,
  BufferGeometry,
  Color,
  DirectionalLight,
  DoubleSide,
  Euler,
  Float32BufferAttribute,
  GridHelper,
  Group,
  HemisphereLight,
  MathUtils,
  Mesh,
  MeshLambertMaterial,
  Object3D,
  OrthographicCamera,
  Raycaster,
  Scene,
  ShapeUtils,
  Vector2,
  WebGLRenderer,
} from 'three'
import type { Turning, Loft } from '../api/types/answers'
import type { Figure } from '../api/types/figure'
import { places } from './geometry'

export interface TurningScene {
  show(figure: Figure, drawing: Turning, selected?: string, ways?: Ways): void
  turn(aside: number, up: number): void
  look(angle: number): void
  fit(): void
  dispose(): void
}

/** How the figure is shown: pulled apart by a share of its size, every part in a colour of its own, over a grid of 10 mm. */
export interface Ways {
  explode: number
  partColours: boolean
  grid: boolean
  hidden: string[]
}

const PLAIN: Ways = { explode: 0, partColours: false, grid: false, hidden: [] }

/** Colours as far apart as they go, whatever their number: the hue goes on by the golden angle. */
export function partColour(index: number): Color {
  return new Color().setHSL((index * 0.381966) % 1, 0.5, 0.58)
}

/** Bands between neighbouring rings, and flat caps on the first and last where they are wanted. */
export function loftGeometry(loft: Loft, capped = true): BufferGeometry {
  const positions = loft.rings.flat()
  const count = (loft.rings[0]?.length ?? 0) / 3
  const index: number[] = []
  const bands = loft.closed ? loft.rings.length : loft.rings.length - 1
  for (let i = 0; i < bands; i++) {
    const low = i * count
    const high = ((i + 1) % loft.rings.length) * count
    for (let j = 0; j < count; j++) {
      const k = (j + 1) % count
      index.push(low + j, low + k, high + j, low + k, high + k, high + j)
    }
  }
  if (!loft.closed && capped) {
    index.push(
      ...cap(loft.rings[0] ?? [], 0, true),
      ...cap(loft.rings.at(-1) ?? [], (loft.rings.length - 1) * count, false),
    )
  }
  const geometry = new BufferGeometry()
  geometry.setAttribute('position', new Float32BufferAttribute(positions, 3))
  geometry.setIndex(index)
  geometry.computeVertexNormals()
  return geometry
}

/** A ring lies flat, in z for plates and in y for all else: it is triangulated in that plane. */
function cap(ring: number[], first: number, turned: boolean): number[] {
  const points = Array.from(
    { length: ring.length / 3 },
    (_, i) => [ring[3 * i] ?? 0, ring[3 * i + 1] ?? 0, ring[3 * i + 2] ?? 0] as const,
  )
  const ys = points.map((p) => p[1])
  const level = Math.max(...ys) - Math.min(...ys) < 1e-3
  const contour = points.map((p) => new Vector2(p[0], level ? -p[2] : p[1]))
  const faces = ShapeUtils.triangulateShape(contour, [])
  return faces.flatMap(([a = 0, b = 0, c = 0]) =>
    turned ? [first + a, first + c, first + b] : [first + a, first + b, first + c],
  )
}

export function createTurningScene(holder: HTMLElement, onSelect: (key: string) => void): TurningScene {
  const renderer = new WebGLRenderer({ antialias: true, alpha: true })
  renderer.setPixelRatio(Math.min(window.devicePixelRatio, 2))
  holder.append(renderer.domElement)
  const scene = new Scene()
  const camera = new OrthographicCamera()
  const stage = new Group()
  const key = new DirectionalLight(0xffffff, 1.1)
  key.position.set(60, 140, 160)
  scene.add(stage, key, new HemisphereLight(0xffffff, 0xb8a890, 1.5), new AmbientLight(0xffffff, 0.5))

  let angle = 0.5
  let tilt = 0.14
  let reach = 80
  let middle = 50
  let asked = 0

  const draw = () => {
    asked = 0
    camera.position.set(
      Math.sin(angle) * Math.cos(tilt) * 1000,
      middle + Math.sin(tilt) * 1000,
      Math.cos(angle) * Math.cos(tilt) * 1000,
    )
    camera.lookAt(0, middle, 0)
    renderer.render(scene, camera)
  }
  const ask = () => {
    if (!asked) asked = requestAnimationFrame(draw)
  }

  function fit(): void {
    const { clientWidth: w, clientHeight: h } = holder
    if (!w || !h) return
    renderer.setSize(w, h)
    const half = Math.max(reach, (reach * h) / w)
    camera.left = (-half * w) / h
    camera.right = (half * w) / h
    camera.top = half
    camera.bottom = -half
    camera.near = 1
    camera.far = 4000
    camera.updateProjectionMatrix()
    ask()
  }

  function clear(): void {
    stage.traverse((o: Object3D) => {
      if (o instanceof Mesh || o instanceof GridHelper) {
        o.geometry.dispose()
        for (const m of [o.material].flat() as Material[]) m.dispose()
      }
    })
    stage.clear()
  }

  function show(figure: Figure, drawing: Turning, selected?: string, ways: Ways = PLAIN): void {
    clear()
    const apart = (key: string, twin: boolean): [number, number, number] => {
      const part = figure.parts.find((p) => p.key === key)
      if (!part || !ways.explode) return [0, 0, 0]
      return [
        (twin ? -1 : 1) * part.at.xMm * ways.explode,
        part.at.yMm * ways.explode,
        (part.at.zMm ?? 0) * 2 * ways.explode,
      ]
    }
    const hex = (colour: string) => figure.colours.find((c) => c.key === colour)?.hex ?? '#999999'
    let [low, high, wide] = [Infinity, -Infinity, 1]
    for (const [index, part] of figure.parts.entries()) {
      const loft = drawing.parts[part.key]
      if (!loft || ways.hidden.includes(part.key)) continue
      for (const at of places(part)) {
        const material = new MeshLambertMaterial({
          color: ways.partColours ? partColour(index) : new Color(hex(part.colour)),
          side: DoubleSide,
        })
        if (part.key === selected) material.emissive = new Color('#3b4c8c').multiplyScalar(0.55)
        const side = new Group()
        side.scale.x = at.twin ? -1 : 1
        side.position.set(...apart(part.key, at.twin))
        for (const rings of loft.cut?.[at.twin ? 1 : 0] ?? [loft.rings]) {
          const mesh = new Mesh(loftGeometry({ rings, closed: loft.closed }), material)
          mesh.userData.key = part.key
          // The document turns about z, then x, then y: three calls that order YXZ.
          mesh.rotation.copy(
            new Euler(
              MathUtils.degToRad(part.turnDeg?.x ?? 0),
              MathUtils.degToRad(part.turnDeg?.y ?? 0),
              MathUtils.degToRad(part.turnDeg?.z ?? 0),
              'YXZ',
            ),
          )
          mesh.position.set(part.at.xMm, part.at.yMm, part.at.zMm ?? 0)
          side.add(mesh)
        }
        stage.add(side)
        const half = Math.max(part.shape.widthMm, part.shape.heightMm) / 2
        low = Math.min(low, part.at.yMm - half)
        high = Math.max(high, part.at.yMm + half)
        wide = Math.max(wide, Math.abs(part.at.xMm) + half, Math.abs(part.at.zMm ?? 0) + part.shape.depthMm / 2)
      }
    }
    for (const detail of figure.details ?? []) {
      if (ways.hidden.includes(detail.on)) continue
      const on = figure.parts.find((p) => p.key === detail.on)
      const pieces = drawing.details[detail.key] ?? []
      const open = drawing.openings[detail.key]
      for (const [i, rings] of pieces.entries()) {
        // A twin's details come after its own part's.
        const place = apart(detail.on, Boolean(on?.mirror) && i >= pieces.length / 2)
        lay(rings, hex(detail.colour), detail.layer ?? 1, place)
        for (const opening of open?.pieces[i] ?? []) lay(opening, hex(open?.colour ?? ''), detail.layer ?? 1, place)
      }
    }
    if (high > low) {
      middle = ((low + high) / 2) * (1 + ways.explode)
      reach = Math.max((high - low) / 2, wide) * (ways.explode ? 1.2 : 1.08) * (1 + ways.explode)
    }
    if (ways.grid && high > low)
      stage.add(
        floor(Math.ceil(wide / 10) * 20),
        wall(Math.ceil(wide / 10) * 20, Math.ceil(Math.max(high, 10) / 10) * 10),
      )
    fit()
  }

  /** Drawn nearer than it lies, so that the coarse skin under it does not show through. */
  function lay(rings: number[][], colour: string, layer: number, place: [number, number, number]): void {
    if (!rings.length) return
    const material = new MeshLambertMaterial({
      color: new Color(colour),
      side: DoubleSide,
      polygonOffset: true,
      polygonOffsetFactor: -2 - layer,
      polygonOffsetUnits: -8,
    })
    const mesh = new Mesh(loftGeometry({ rings, closed: false }, false), material)
    mesh.position.set(...place)
    stage.add(mesh)
  }

  /** Millimetre paper in steps of 10: the table, and a wall behind. */
  function floor(sizeMm: number): GridHelper {
    return new GridHelper(sizeMm, sizeMm / 10, 0x8a7a60, 0xc9bb9f)
  }

  function wall(widthMm: number, heightMm: number): GridHelper {
    const size = Math.max(widthMm, heightMm)
    const grid = new GridHelper(size, size / 10, 0x8a7a60, 0xd8ccb4)
    grid.rotation.x = Math.PI / 2
    grid.position.set(0, size / 2, -widthMm / 2)
    return grid
  }

  let drag: { x: number; y: number; moved: boolean } | null = null
  const down = (e: PointerEvent) => {
    drag = { x: e.clientX, y: e.clientY, moved: false }
    holder.setPointerCapture(e.pointerId)
  }
  const move = (e: PointerEvent) => {
    if (!drag) return
    const [dx, dy] = [e.clientX - drag.x, e.clientY - drag.y]
    if (Math.hypot(dx, dy) < 3 && !drag.moved) return
    turn(-dx * 0.012, dy * 0.01)
    drag = { x: e.clientX, y: e.clientY, moved: true }
  }
  const up = (e: PointerEvent) => {
    if (drag && !drag.moved) {
      const box = holder.getBoundingClientRect()
      const at = new Vector2(
        ((e.clientX - box.left) / box.width) * 2 - 1,
        -((e.clientY - box.top) / box.height) * 2 + 1,
      )
      const ray = new Raycaster()
      ray.setFromCamera(at, camera)
      const hit = ray.intersectObjects(stage.children, true).find((h) => typeof h.object.userData.key === 'string')
      if (hit) onSelect(hit.object.userData.key as string)
    }
    drag = null
  }
  function turn(aside: number, upward: number): void {
    angle += aside
    tilt = Math.max(-1.45, Math.min(1.45, tilt + upward))
    ask()
  }
  holder.addEventListener('pointerdown', down)
  holder.addEventListener('pointermove', move)
  holder.addEventListener('pointerup', up)

  return {
    show,
    turn,
    fit,
    look(to) {
      angle = to
      tilt = 0
      ask()
    },
    dispose() {
      cancelAnimationFrame(asked)
      clear()
      renderer.dispose()
      renderer.domElement.remove()
    },
  }
}
