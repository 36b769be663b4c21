import type { NextConfig } from 'next'

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  // Types are checked by npm test, on their own.
  typescript: { ignoreBuildErrors: true },
  serverExternalPackages: [
    'piscina',
    '@fastify/busboy',
    'knex',
    'pg',
    '@react-pdf/renderer',
    'pdf-lib',
    '@indic-transliteration/sanscript',
  ],
  experimental: {
    optimizePackageImports: ['@mantine/core', '@mantine/hooks', '@tabler/icons-react'],
  },
}

export default config
