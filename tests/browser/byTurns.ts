import { test } from './test'

/** One of so many runs asks it. */
const IN_ALL = 12

/**
 * Declares one of the longest tests. Where all suites are asked for (bin/test) they go by turns, and the seed says which; elsewhere they
 * always run. What is passed over has no page, no store and no server made for it.
 */
export function byTurns(title: string, body: Parameters<typeof test>[2]): void {
  const { IMPA_TEST_TURN: turn } = process.env
  const sum = [...title].reduce((n, letter) => n + letter.charCodeAt(0), Number(turn))
  const declare = turn === undefined || sum % IN_ALL === 0 ? test : test.skip
  declare(title, body)
}
