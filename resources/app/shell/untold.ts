import { ref } from 'vue'
import type { App } from 'vue'
import { Refusal } from '../api/client'

/** A refusal that no page tells by itself; empty once it was read. Whatever is pressed, its refusal is read somewhere. */
export const untold = ref('')

/** Takes what nobody caught; true where it was a refusal, which is told in its own words. */
export function tellUntold(error: unknown): boolean {
  if (!(error instanceof Refusal)) return false
  untold.value = error.message
  return true
}

/** From handlers of components, and from promises that nobody waits for. What is no refusal goes on to the browser's console. */
export function listen(app: App): void {
  app.config.errorHandler = (error) => {
    if (!tellUntold(error)) console.error(error)
  }
  window.addEventListener('unhandledrejection', (event) => {
    if (tellUntold(event.reason)) event.preventDefault()
  })
}
