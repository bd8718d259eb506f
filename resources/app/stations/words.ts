import type { Detail, Figure, Part } from '../api/figure'

/** The words of the trade for what a document says in keys. */
type Choice<T> = { title: string; value: T }

const same = <T extends string>(...values: T[]): Choice<T>[] => values.map((value) => ({ title: value, value }))

export const kinds = same<Part['shape']['kind']>('ball', 'egg', 'sausage', 'drum', 'drumstick', 'cone', 'drop', 'dome', 'ring', 'arc', 'plate', 'cord', 'strip', 'sheet')
export type OutlineName = 'disc' | 'triangle' | 'leaf' | 'heart' | 'rectangle'
export const namedOutlines = same<OutlineName>('disc', 'triangle', 'leaf', 'heart', 'rectangle')
export const firmnesses = same<NonNullable<Figure['firmness']>>('squishy', 'soft', 'springy', 'firm', 'hard')
export const cores: Choice<NonNullable<Figure['core']>>[] = [
  { title: 'core wool', value: 'core-wool' },
  { title: 'scrap wool', value: 'scrap' },
  { title: 'stuffing', value: 'stuffing' },
  { title: 'foam', value: 'foam' },
  { title: 'solid colour', value: 'none' },
]
export const joins = same<NonNullable<NonNullable<Part['join']>['by']>>('fluff', 'slit', 'neck', 'wrap', 'sandwich', 'sew', 'glue', 'wire')
export type CoveringWay = NonNullable<NonNullable<Part['covering']>['way']>
export const coverings: Choice<CoveringWay>[] = [
  { title: 'felt', value: 'felt' }, { title: 'loops of yarn', value: 'loops' }, { title: 'tufts', value: 'tufts' }, { title: 'locks', value: 'locks' }, { title: 'hair from tops', value: 'hair' },
  { title: 'a sheet with film fibres', value: 'film' }, { title: 'cut from pre-felt', value: 'pre-felt' }, { title: 'ribbon round a wire', value: 'wrap' }, { title: 'a plait', value: 'plait' },
]
/** Which numbers each way has, and what the house takes where none is given (core/src/Wool/Covering.php). */
export const coveringFields: Record<CoveringWay, ('lengthMm' | 'perCm2' | 'mgEach' | 'ribbonMm' | 'overlap')[]> = {
  felt: [], loops: ['lengthMm', 'perCm2'], tufts: ['lengthMm', 'perCm2', 'mgEach'], locks: ['lengthMm', 'perCm2', 'mgEach'], hair: ['lengthMm', 'ribbonMm'], film: [], 'pre-felt': [], wrap: ['ribbonMm', 'overlap'], plait: ['ribbonMm'],
}
export const methods = same<NonNullable<Detail['method']>>('felt', 'bead', 'ready-made', 'stitch', 'paint', 'pin')
/** What is meant so where a piece of advice was set aside, by its code. */
export const meant: Record<string, string> = {
  uneven: 'not level with the other', aside: 'beside the middle line', sparks: 'sparks to either side', 'as-light': 'as light as its ground', 'low-contrast': 'close to its ground in colour', 'too-small': 'so small', 'not-sold': 'in a size that is not sold',
}
export const schools: Choice<'loose-head' | 'face-first' | 'limbs-first'>[] = [
  { title: 'face on the loose head', value: 'loose-head' },
  { title: 'face first', value: 'face-first' },
  { title: 'limbs first', value: 'limbs-first' },
]
export const schoolReasons: Record<string, string> = {
  'loose-head': 'Best reach: the head turns freely in the hand, and is joined when the face is right.',
  'face-first': 'The face shows where limbs can go.',
  'limbs-first': 'The face is placed on the finished body.',
}
export const materialWord = (material: string) => cores.find((c) => c.value === material)?.title ?? material
