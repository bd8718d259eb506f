import { test } from './test'

/** One of so many runs asks it. */
const IN_ALL = 12

/**
 * Said first by the longest tests: where all suites are asked for (bin/test) they go by turns, and the seed says which; elsewhere they
 * always run.
 */
export function byTurns(): void {
  const { IMPA_TEST_TURN: turn } = process.env
  const sum = [...test.info().title].reduce((n, letter) => n + letter.charCodeAt(0), Number(turn))
  test.skip(turn !== undefined && sum % IN_ALL !== 0, 'It is not its turn; bin/test all asks everything.')
}
