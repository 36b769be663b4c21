import { unzipSync, zipSync } from 'fflate'
import { LIMITS } from '@/core/card'
import type { ImportFile } from '@/core/deck'

/** Something about an upload as a whole that cannot be used, in plain words. */
export class UploadError extends Error {}

const isZip = (bytes: Uint8Array) => bytes[0] === 0x50 && bytes[1] === 0x4b
const isCard = (name: string) => /\.(?:md|markdown|json)$/i.test(name)
const isHidden = (name: string) =>
  name.split('/').some((part) => part.startsWith('.') || part === '__MACOSX')

/**
 * Unpacks an archive in memory.
 * @throws UploadError for names that lead out of it, for too much, and for a broken archive
 */
export function unpack(name: string, bytes: Uint8Array): ImportFile[] {
  let total = 0
  let count = 0
  let stray = ''
  let much = ''
  let twice = ''
  const seen = new Set<string>()
  try {
    const files = unzipSync(bytes, {
      filter(file) {
        const parts = file.name.split(/[\\/]/)
        if (parts.includes('..') || /^(?:[\\/]|[A-Za-z]:)/.test(file.name)) stray ||= file.name
        if (file.name.endsWith('/') || isHidden(file.name)) return false
        if (seen.has(file.name)) twice ||= file.name
        seen.add(file.name)
        count += 1
        total += file.originalSize
        if (count > LIMITS.files) much ||= `more than ${LIMITS.files} files`
        if (total > LIMITS.unpackedBytes) much ||= 'more than 128 MB when unpacked'
        return (
          !stray && !much && !twice && isCard(file.name) && file.originalSize <= LIMITS.fileBytes
        )
      },
    })
    if (stray)
      throw new UploadError(
        `${name}: it holds a file “${stray}” that leads out of the archive; nothing of it was read`
      )
    if (twice)
      throw new UploadError(
        `${name}: it holds two files “${twice}”; which of the two is meant cannot be told`
      )
    if (much) throw new UploadError(`${name}: it holds ${much}; split it`)
    return Object.entries(files).map(([inside, data]) => ({
      name: `${name}/${inside}`,
      bytes: data,
    }))
  } catch (error) {
    if (error instanceof UploadError) throw error
    throw new UploadError(
      `${name}: the archive cannot be unpacked; it is broken, or not a ZIP file`
    )
  }
}

/**
 * The card files of an upload, archives unpacked.
 * @throws UploadError when the upload as a whole cannot be used
 */
export function filesOf(uploads: readonly ImportFile[]): ImportFile[] {
  const files: ImportFile[] = []
  for (const { name, bytes } of uploads) {
    if (isZip(bytes) || /\.zip$/i.test(name)) files.push(...unpack(name, bytes))
    else files.push({ name, bytes })
    if (files.length > LIMITS.files)
      throw new UploadError(`More than ${LIMITS.files} files at once; take them in by parts.`)
  }
  if (files.length === 0)
    throw new UploadError('There is no card file in it: a card is a .md or a .json file.')
  return files
}

/** Packs files into a ZIP; the same files give the same bytes. */
export function pack(files: { name: string; text: string }[]): Uint8Array {
  const encoder = new TextEncoder()
  const mtime = new Date('2020-01-01T00:00:00')
  return zipSync(
    Object.fromEntries(files.map(({ name, text }) => [name, [encoder.encode(text), { mtime }]]))
  )
}
