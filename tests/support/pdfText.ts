import { execFileSync } from 'node:child_process'

/** All words of a PDF; read in a process of its own, as the library is a module. */
export const pdfText = (bytes: Uint8Array): string =>
  execFileSync(process.execPath, ['tests/support/pdfPages.mjs'], { input: bytes, encoding: 'utf8' })
