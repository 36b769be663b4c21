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
    // Each page when it is first asked for: the server answers sooner after a start.
    preloadEntriesOnStart: false,
    optimizePackageImports: ['@mantine/core', '@mantine/hooks', '@tabler/icons-react'],
  },
}

export default config
