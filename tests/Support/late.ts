/** An answer that comes when the test says so. */
export interface Late<T> {
  promise: Promise<T>
  come: (value: T) => void
  fail: (error: Error) => void
}
export function late<T>(): Late<T> {
  let come!: (value: T) => void
  let fail!: (error: Error) => void
  const promise = new Promise<T>((resolve, reject) => ([come, fail] = [resolve, reject]))
  return { promise, come, fail }
}
