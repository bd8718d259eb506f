import { createStore, del, entries, set } from 'idb-keyval'
import { ref } from 'vue'
import type { Diary, LogEntry, StepsDone } from '../api/types/answers'
import { isForGood } from '../api/forGood'
import { storeOf } from '../state/own'
import { keepAnswer, keptAnswer } from './kept'

/** What may be done without the network: every one of them, told twice, happens once. */
const HANDED_OVER = [
  /^(PUT|DELETE) figures\/\d+\/steps\/[^/]+$/,
  /^PUT figures\/\d+\/present$/,
  /^POST figures\/\d+\/log$/,
  /^DELETE figures\/\d+\/log\/[^/]+$/,
]

export interface Waiting {
  method: string
  path: string
  body: unknown
}

let opened: ReturnType<typeof createStore> | undefined
const store = () => (opened ??= createStore(storeOf('impa-outbox'), 'waiting'))

/** How much waits to be handed over, and what could not be, in words. */
export const waiting = ref(0)
export const refusedLater = ref<string[]>([])

export const canWait = (method: string, path: string) => HANDED_OVER.some((kind) => kind.test(`${method} ${path}`))

let last = 0
/** Keeps what was done until it can be handed over; the answer is what the server would have said. */
export async function wait(done: Waiting): Promise<unknown> {
  // In the order in which it was done, also within one millisecond, and after the page was opened anew.
  last = Math.max(last + 1, Date.now() * 1000)
  await set(String(last).padStart(20, '0'), done, store())
  waiting.value++
  return asIfDone(done)
}

/** The steps, or the diary, as they will be. */
async function asIfDone({ method, path, body }: Waiting): Promise<unknown> {
  const [, figure, what, which = ''] = path.split('/')
  const question = what === 'log' ? `figures/${figure}/log` : `figures/${figure}/steps`
  const now = await keptAnswer('GET', question)
  if (!now) return what === 'log' ? null : { done: [], present: '' }
  const then =
    what === 'log'
      ? noted(now as Diary, method, which, body as LogEntry)
      : ticked(now as StepsDone, method, what === 'present' ? (body as { step: string }) : decodeURIComponent(which))
  await keepAnswer('GET', question, undefined, then)
  return then
}

function ticked(now: StepsDone, method: string, what: string | { step: string }): StepsDone {
  if (typeof what === 'object') return { ...now, present: what.step }
  const others = now.done.filter((step) => step !== what)
  return { ...now, done: method === 'PUT' ? [...others, what] : others }
}

function noted(now: Diary, method: string, uuid: string, entry: LogEntry): Diary {
  const gone = method === 'POST' ? entry.uuid : uuid
  const sittings = now.sittings.map((s) => ({ ...s, entries: s.entries.filter((e) => e.uuid !== gone) }))
  if (method !== 'POST') return { ...now, sittings }
  // A tip that may be in the figure is warned of at once, not only when the server has heard of it.
  const tips = { broken: 1, found: -1 }[entry.kind as string] ?? 0
  return {
    ...now,
    tipsMissing: Math.max(0, now.tipsMissing + tips),
    sittings: [...sittings, { from: entry.at, to: entry.at, minutes: 0, steps: [], changed: [], entries: [entry] }],
  }
}

let handing: Promise<void> | null = null
/**
 * Hands over what waits, in order. It ends where nothing answers; what is refused for good is told, and lets the rest through.
 *
 * @param send gives the status, and the words of a refusal; 0 where nothing answered
 */
export function handOver(send: (one: Waiting) => Promise<{ status: number; detail: string }>): Promise<void> {
  handing ??= handAll(send).finally(() => (handing = null))
  return handing
}

async function handAll(send: (one: Waiting) => Promise<{ status: number; detail: string }>): Promise<void> {
  for (const [key, one] of await inOrder()) {
    const { status, detail } = await send(one)
    // Signed out, held up or broken: it waits on. Nothing is let go that the server has not answered for.
    if (status < 200 || (status >= 400 && !isForGood(status))) break
    if (status >= 400) refusedLater.value = [...refusedLater.value, detail]
    await del(key, store())
  }
  await count()
}

const inOrder = async () => (await entries<string, Waiting>(store())).sort((a, b) => (a[0] < b[0] ? -1 : 1))

/** After the page was opened anew: what waited before waits still. */
export async function count(): Promise<void> {
  waiting.value = (await inOrder().catch(() => [])).length
}
