import { onBeforeUnmount, onMounted } from 'vue'
import { isTyping } from './typing'

/** What a key does; false where it is not meant here, and another may take it. */
type Act = (event: KeyboardEvent) => unknown
/** By the key in small letters, `ctrl+` before it where Ctrl or Cmd is held. */
export type Hotkeys = Record<string, Act>
/** Who is asked first: a board on a station before the station, the station before the app. */
export type Level = 'app' | 'station' | 'board'

interface Scope {
  level: number
  down: Hotkeys
  up: Hotkeys
}
const LEVELS: Level[] = ['app', 'station', 'board']
let scopes: Scope[] = []

const nameOf = (event: KeyboardEvent) =>
  (event.ctrlKey || event.metaKey ? 'ctrl+' : '') + (event.key === ' ' ? 'space' : event.key.toLowerCase())

function pressed(event: KeyboardEvent): void {
  if (isTyping(event) || event.altKey) return
  for (const scope of scopes) {
    const act = scope.down[nameOf(event)]
    if (act && act(event) !== false) return event.preventDefault()
  }
}
function released(event: KeyboardEvent): void {
  for (const scope of scopes) scope.up[nameOf(event)]?.(event)
}

/** Keys while a component is there, through the one listener of the window. Typing in a field is never taken for one. */
export function useHotkeys(down: Hotkeys, level: Level = 'station', up: Hotkeys = {}): void {
  const scope: Scope = { level: LEVELS.indexOf(level), down, up }
  onMounted(() => {
    if (!scopes.length) {
      window.addEventListener('keydown', pressed)
      window.addEventListener('keyup', released)
    }
    // Of one level, who came last is asked first.
    scopes = [scope, ...scopes].sort((a, b) => b.level - a.level)
  })
  onBeforeUnmount(() => {
    scopes = scopes.filter((s) => s !== scope)
    if (!scopes.length) {
      window.removeEventListener('keydown', pressed)
      window.removeEventListener('keyup', released)
    }
  })
}
