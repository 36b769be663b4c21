/** Name of a field on the bench: the path in the card, and the half. */
export const fieldName = (path: string, half: 'left' | 'right') => `${path}@${half}`

/** Puts the cursor in a field after the next drawing. */
export function focusField(name: string): void {
  requestAnimationFrame(() =>
    requestAnimationFrame(() => {
      const field = document.querySelector<HTMLTextAreaElement>(
        `[data-field="${CSS.escape(name)}"]`
      )
      field?.focus()
      const end = field?.value.length ?? 0
      field?.setSelectionRange?.(end, end)
    })
  )
}
