/** Whether a key belongs to what has the focus, a field or an open dialog, and is none of the station's. */
export function isTyping(event: KeyboardEvent): boolean {
  // A dialog that is on its way out still has the focus for a moment, and asks for no key any more.
  return (
    (event.target as HTMLElement).closest(
      'input, textarea, select, [role=combobox], [role=listbox], [role=slider], .v-overlay--active',
    ) !== null
  )
}
