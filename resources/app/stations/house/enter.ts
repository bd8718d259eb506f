/** Where somebody wanted to go, if it is a page of this Impa; the shelf otherwise. */
export function within(to: unknown): string {
  const page = typeof to === 'string' && to.startsWith('/') ? new URL(to, window.location.origin) : null
  return page?.origin === window.location.origin ? page.pathname + page.search : '/'
}

/** Loads the page anew: what each felter sees is asked for from the beginning. */
export function enter(to: unknown): void {
  window.location.assign(within(to))
}

/** Nothing of one felter stays in this browser for the next one. */
export function forget(): void {
  localStorage.clear()
  sessionStorage.clear()
}
