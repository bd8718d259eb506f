import { clear, createStore, del, entries, get, set } from 'idb-keyval'
import { storeOf } from '../state/own'
import { voice } from '../state/units'

/** What Build, and every page before it, asks for; asked again without the network, the last answer stands. */
const KEPT = [
  /^GET trade$/,
  /^GET figures\/\d+(\/steps|\/log|\/wool)?$/,
  /^GET (needles|session|devices|place)$/,
  /^POST (board|build|build\/picture)$/,
]
/** So many answers are kept, the latest: every drawing of several figures. */
const MOST = 900

interface Answer {
  at: number
  answer: unknown
}

let opened: ReturnType<typeof createStore> | undefined
const store = () => (opened ??= createStore(storeOf('impa-kept'), 'answers'))

export const isKept = (method: string, path: string) => KEPT.some((kind) => kind.test(`${method} ${path}`))

/** What was answered in other words or units is another answer. */
async function nameOf(method: string, path: string, body: unknown): Promise<string> {
  const asked = `${voice()} ${method} ${path}`
  if (body === undefined) return asked
  const digest = await crypto.subtle.digest('SHA-256', new TextEncoder().encode(JSON.stringify(body)))
  return `${asked} ${Array.from(new Uint8Array(digest), (byte) => byte.toString(16).padStart(2, '0')).join('')}`
}

let since = 0
export async function keepAnswer(method: string, path: string, body: unknown, answer: unknown): Promise<void> {
  try {
    await set(await nameOf(method, path, body), { at: Date.now(), answer } satisfies Answer, store())
    if (++since % 100 === 0) await letGo()
  } catch {
    // A browser without room, or in private: then there is nothing without the network.
  }
}

async function letGo(): Promise<void> {
  const all = await entries<string, Answer>(store())
  const old = all.sort((a, b) => b[1].at - a[1].at).slice(MOST)
  for (const [name] of old) await del(name, store())
}

/** The last answer to the same question; undefined where there is none. */
export async function keptAnswer(method: string, path: string, body?: unknown): Promise<unknown> {
  try {
    return (await get<Answer>(await nameOf(method, path, body), store()))?.answer
  } catch {
    return undefined
  }
}

/** Nothing that was answered stays. */
export const forgetAnswers = (): Promise<void> => clear(store()).catch(() => undefined)
