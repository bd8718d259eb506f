/**
 * What this browser keeps for the felter who is signed in: nobody else who signs in here sees it, or hands it over as theirs. Where
 * there are no accounts it is kept for whoever sits at the machine.
 */
const felter = (): string => document.querySelector<HTMLMetaElement>('meta[name=felter]')?.content ?? ''

/** The number by which the server knows her; empty where nobody signs in. */
export const whose = felter

const PREFIX = 'impa:'
const named = (key: string) => (felter() ? `${PREFIX}of-${felter()}:${key}` : PREFIX + key)

/** The name of a store of hers. */
export const storeOf = (name: string) => (felter() ? `${name}-${felter()}` : name)

/** What is not on the server yet: it stays in the browser, whoever leaves. */
const UNSAVED = ['draft:', 'work:']

export const own = {
  read: (key: string): string | null => localStorage.getItem(named(key)),

  /** False where the browser has no room: nothing else may hang on it. */
  write(key: string, value: string): boolean {
    try {
      localStorage.setItem(named(key), value)
      return true
    } catch {
      return false
    }
  },

  remove: (key: string): void => localStorage.removeItem(named(key)),

  /** Everything of hers but what has not reached the server. */
  forget(): void {
    const mine = named('')
    for (const key of Object.keys(localStorage))
      if (key.startsWith(mine) && !UNSAVED.some((kind) => key.startsWith(mine + kind))) localStorage.removeItem(key)
  },
}
