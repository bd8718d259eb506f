import { expect, it } from 'vitest'
import { isForGood } from './forGood'

it('holds a refusal for good where asking again changes nothing, and waits everywhere else', () => {
  const statuses = [0, 200, 204, 400, 401, 403, 404, 405, 408, 409, 410, 413, 419, 421, 422, 425, 429, 500, 503, 507]
  expect(statuses.filter(isForGood)).toEqual([400, 403, 404, 405, 409, 410, 413, 422])
})
