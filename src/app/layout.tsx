import '@mantine/core/styles.css'
import '@/ui/theme.css'
import { ColorSchemeScript, mantineHtmlProps } from '@mantine/core'
import type { Metadata, Viewport } from 'next'
import { headers } from 'next/headers'
import type { ReactNode } from 'react'
import { NONCE_HEADER } from '@/server/http/nonce'
import { Providers } from '@/ui/chrome/Providers'
import { devanagari, text, title } from './fonts'

export const metadata: Metadata = {
  title: { default: 'Notula', template: '%s · Notula' },
  description: 'Pose cards with both sides, the breath, the ladder and the cautions.',
}

export const viewport: Viewport = { width: 'device-width', initialScale: 1 }

export default async function RootLayout({ children }: { children: ReactNode }) {
  // Read from the answer itself, so that no page is one for all.
  const nonce = (await headers()).get(NONCE_HEADER) ?? undefined
  return (
    <html
      lang="en"
      {...mantineHtmlProps}
      className={`${text.variable} ${title.variable} ${devanagari.variable}`}
    >
      <head>
        <ColorSchemeScript nonce={nonce} defaultColorScheme="auto" />
      </head>
      <body>
        <Providers>{children}</Providers>
      </body>
    </html>
  )
}
