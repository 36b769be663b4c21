'use client'

import { useEffect, useState } from 'react'

/** The topmost of the sections that stand in the window. */
export function useSectionInView<T extends string>(ids: readonly T[]): T {
  const [here, setHere] = useState<T>(ids[0]!)
  const all = ids.join(' ')
  useEffect(() => {
    const seen = new Set<string>()
    const observer = new IntersectionObserver(
      (entries) => {
        for (const { target, isIntersecting } of entries)
          if (isIntersecting) seen.add(target.id)
          else seen.delete(target.id)
        const first = all.split(' ').find((id) => seen.has(id))
        if (first) setHere(first as T)
      },
      { rootMargin: '-124px 0px -55% 0px' }
    )
    for (const id of all.split(' ')) {
      const section = document.getElementById(id)
      if (section) observer.observe(section)
    }
    return () => observer.disconnect()
  }, [all])
  return here
}
