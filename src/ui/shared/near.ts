'use client'

import { createContext, type RefObject, useEffect, useState } from 'react'

/** Whether the section that one stands in is near the window; where nobody says, it is. */
export const NearContext = createContext(true)

/** Whether a place is in the window, or less than a screen away: who scrolls there does not wait. */
export function useNear(place: RefObject<Element | null>): boolean {
  const [near, setNear] = useState(false)
  useEffect(() => {
    const observer = new IntersectionObserver((seen) => setNear(seen.at(-1)!.isIntersecting), {
      rootMargin: '100% 0px',
    })
    observer.observe(place.current!)
    return () => observer.disconnect()
  }, [place])
  return near
}
