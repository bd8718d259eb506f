/** A piece of a small drawing: wool, other (wool of another colour), core, ghost (where it should be), line or metal. */
export type Stroke = ['wool' | 'other' | 'core' | 'ghost' | 'line' | 'metal', string]

const disc = (x: number, y: number, rx: number, ry = rx) =>
  `M${x - rx} ${y}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0z`
/** An arrow of a few pixels' head, to the right if it goes down or up as well. */
const arrow = (x: number, y: number, dx: number, dy: number) => {
  const length = Math.hypot(dx, dy)
  const [ux, uy] = [(dx / length) * 4, (dy / length) * 4]
  const [ex, ey] = [x + dx, y + dy]
  return `M${x} ${y}L${ex} ${ey}M${ex - ux - uy} ${ey - uy + ux}L${ex} ${ey}L${ex - ux + uy} ${ey - uy - ux}`
}
const ball = disc(24, 25, 17)
const hairs = Array.from({ length: 14 }, (_, k) => {
  const a = (k * Math.PI) / 7
  const bend = a + (k % 3 ? 0.18 : -0.18)
  return `M${24 + 14 * Math.cos(a)} ${25 + 14 * Math.sin(a)}L${24 + 22 * Math.cos(bend)} ${25 + 22 * Math.sin(bend)}`
}).join('')

/** Every sign of the mend desk as it looks, on 48 by 48. */
export const signPictures: Record<string, Stroke[]> = {
  dent: [
    ['ghost', ball],
    ['wool', 'M7 25a17 17 0 0 0 34 0a17 17 0 0 0 -6 -13q-9 10 -16 -3.300a17 17 0 0 0 -12 16.300z'],
  ],
  lumps: [
    ['wool', 'M8 24q-1 -10 8 -11q4 -8 12 -4q9 -1 10 8q7 5 2 12q1 9 -8 10q-5 6 -12 1q-9 0 -9 -8q-6 -3 -3 -8z'],
    ['line', 'M14 22q6 3 10 0M25 31q5 -3 9 0M20 15q4 2 7 0'],
  ],
  'core-shows': [
    ['wool', ball],
    ['core', 'M18 17q7 -4 12 1q5 5 1 11q-7 5 -13 0q-5 -6 0 -12z'],
  ],
  soft: [
    ['wool', 'M7 25a17 17 0 0 0 34 0q0 -4 -2 -8q-10 6 -13 -8.700q-19 0 -19 16.700z'],
    ['line', arrow(45, 3, -10, 10)],
  ],
  wobbles: [
    ['wool', disc(24, 35, 12, 9)],
    ['ghost', disc(24, 17, 11)],
    ['wool', disc(29, 18, 11)],
    ['line', `${arrow(12, 8, -8, 4)}${arrow(38, 6, 7, 5)}`],
  ],
  'seam-shows': [
    ['wool', disc(24, 34, 13, 10)],
    ['wool', disc(24, 16, 12)],
    ['line', 'M15 25q9 4 18 0M15 27.500q9 4 18 0'],
  ],
  foreign: [
    ['wool', ball],
    [
      'other',
      'M13 20q6 -4 10 3l-1.500 1.500q-3 -5 -8 -2.500zM25 32q5 -6 11 -1l-1.500 2q-4 -4 -8 1zM28 13q5 2 5 8l-2 0q-1 -4 -4 -6z',
    ],
  ],
  fuzz: [
    ['line', hairs],
    ['wool', disc(24, 25, 15)],
  ],
  twin: [
    ['wool', disc(14, 26, 9, 15)],
    ['wool', disc(35, 29, 7, 12)],
    ['line', 'M4 10.500H44M29 16.500H44'],
  ],
  through: [
    ['wool', 'M8 12q16 -6 32 0v26q-16 6 -32 0z'],
    ['other', 'M19 22q2 -3 5 -1q4 -2 5 2q2 3 -1 5q-3 3 -6 1q-5 0 -3 -7z'],
    ['line', 'M14 33l3 -3M33 17l3 -3M33 33l3 -3'],
  ],
  'too-big': [
    ['wool', ball],
    ['other', disc(24, 25, 10)],
    ['ghost', disc(24, 25, 6)],
  ],
  'too-small': [
    ['wool', ball],
    ['ghost', disc(24, 25, 10)],
    ['other', disc(24, 25, 6)],
  ],
  lopsided: [
    ['wool', ball],
    ['ghost', disc(24, 25, 9)],
    ['other', 'M24 16a9 9 0 0 0 0 18q4 -9 0 -18z'],
  ],
  'wrong-place': [
    ['wool', ball],
    ['ghost', disc(19, 30, 5)],
    ['other', disc(29, 19, 5)],
    ['line', arrow(25, 23, -3, 4)],
  ],
  'came-off': [
    ['wool', disc(21, 21, 15)],
    ['ghost', disc(26, 20, 5)],
    ['other', disc(37, 39, 5)],
    ['line', arrow(33, 27, 3, 6)],
  ],
  tips: [
    ['ghost', disc(20, 30, 9, 12)],
    ['wool', 'M18 41a12 9 35 0 0 17 -14a12 9 35 0 0 -17 14zM32 27a7 7 0 1 0 2 -13a7 7 0 0 0 -2 13z'],
    ['line', `M4 43H44${arrow(20, 12, 9, -2)}`],
  ],
  'needle-broke': [
    ['wool', ball],
    ['metal', 'M24 25L30 17M33 12L44 2M41 2h3v3'],
    ['line', 'M30.500 14.500l2 1.500M33 16l0 -2'],
  ],
  'wire-shows': [
    ['wool', 'M6 30q-1 -8 7 -8h20q6 1 6 7q0 7 -7 7h-19q-7 0 -7 -6z'],
    ['metal', 'M22 29H43q3 0 3 -3v-4'],
  ],
}
