'use client'

import { type ComponentType, type ReactNode, useEffect, useState } from 'react'

/**
 * A component whose code comes after the page has been drawn: no import starts while it draws.
 * @param meanwhile what stands in its place until then
 */
export function later<Props extends object>(
  load: () => Promise<ComponentType<Props>>,
  meanwhile: ReactNode = null
): ComponentType<Props> {
  let known: ComponentType<Props> | null = null
  return function Later(props: Props) {
    const [Part, setPart] = useState<ComponentType<Props> | null>(() => known)
    useEffect(() => {
      if (Part) return
      let here = true
      load()
        .then((loaded) => {
          known = loaded
          if (here) setPart(() => loaded)
        })
        // Out of reach: it is asked for again when the part is shown again.
        .catch(() => undefined)
      return () => {
        here = false
      }
    }, [Part])
    return Part ? <Part {...props} /> : meanwhile
  }
}

/** Whether the page has had a quiet moment since it was drawn. */
export function useQuiet(): boolean {
  const [quiet, setQuiet] = useState(false)
  useEffect(() => {
    if (typeof requestIdleCallback !== 'function') {
      const timer = setTimeout(() => setQuiet(true), 300)
      return () => clearTimeout(timer)
    }
    const asked = requestIdleCallback(() => setQuiet(true), { timeout: 2000 })
    return () => cancelIdleCallback(asked)
  }, [])
  return quiet
}
