import { forgetAnswers } from '../../away/kept'
import { own } from '../../state/own'

/** Where somebody wanted to go, if it is a page of this Impa; the shelf otherwise. */
export function within(to: unknown): string {
  const { origin } = window.location
  const page = typeof to === 'string' && to.startsWith('/') && URL.canParse(to, origin) ? new URL(to, origin) : null
  if (page?.origin !== origin) return '/'
  // Resolved, a path may begin with two strokes, as "/..//elsewhere" does: gone to, it would be another server.
  const path = page.pathname + page.search
  return URL.canParse(path, origin) && new URL(path, origin).origin === origin ? path : '/'
}

/** Loads the page anew: what each felter sees is asked for from the beginning. */
export function enter(to: unknown): void {
  window.location.assign(within(to))
}

/** Nothing of one felter stays in this browser for the next one, but what has not reached the server: that waits for her. */
export async function forget(): Promise<void> {
  own.forget()
  sessionStorage.clear()
  await forgetAnswers()
  if ('caches' in window) for (const name of await caches.keys()) await caches.delete(name)
}
