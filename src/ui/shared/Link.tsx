'use client'

import NextLink from 'next/link'
import type { ComponentProps } from 'react'

/** A link inside the app. No page is made in advance, so none is fetched before it is wanted. */
export function Link(props: ComponentProps<typeof NextLink>) {
  return <NextLink prefetch={false} {...props} />
}
