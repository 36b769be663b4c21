import busboy from '@fastify/busboy'
import { Readable } from 'node:stream'
import type { ReadableStream as NodeStream } from 'node:stream/web'
import { LIMITS } from '@/core/card'
import type { ImportFile } from '@/core/deck'

/** A body that is longer, or has more parts, than is taken. */
export class TooLarge extends Error {}

/**
 * Reads a body and counts while it reads, so that a body that doesn't say its length is cut off too.
 * @param most bytes
 * @throws TooLarge
 */
export async function readBytes(request: Request, most: number): Promise<Buffer> {
  const parts: Uint8Array[] = []
  let length = 0
  const reader = request.body?.getReader()
  if (!reader) return Buffer.alloc(0)
  for (;;) {
    const { done, value } = await reader.read()
    if (done) return Buffer.concat(parts)
    length += value.length
    if (length > most) {
      void reader.cancel().catch(() => undefined)
      throw new TooLarge(`The request is larger than ${most / 1024 / 1024} MB.`)
    }
    parts.push(value)
  }
}

/** Files and fields of a form with files. */
export interface UploadForm {
  files: ImportFile[]
  fields: { name: string; value: string }[]
}

const MOST_FIELDS = LIMITS.files

/**
 * Reads a form with files, counting bytes and parts while it reads.
 * @returns null when the body is no such form
 * @throws TooLarge
 */
export async function readForm(request: Request): Promise<UploadForm | null> {
  const type = request.headers.get('content-type') ?? ''
  if (!/^multipart\/form-data\s*;/i.test(type) || !request.body) return null
  const form: UploadForm = { files: [], fields: [] }
  let length = 0
  const tooLong = () =>
    new TooLarge(`The files are larger than ${LIMITS.uploadBytes / 1024 / 1024} MB together.`)
  const tooMany = () =>
    new TooLarge(`More than ${LIMITS.files} files at once; take them in by parts.`)
  const source = Readable.fromWeb(request.body as NodeStream)
  return new Promise((resolve, reject) => {
    let parser: ReturnType<typeof busboy>
    try {
      parser = busboy({
        headers: { 'content-type': type },
        limits: {
          // Past it a file is cut off in silence: so that is told as well.
          fileSize: LIMITS.uploadBytes,
          files: LIMITS.files,
          fields: MOST_FIELDS,
          fieldSize: 10_000,
          fieldNameSize: 100,
          headerPairs: 20,
        },
      })
    } catch {
      source.destroy()
      return resolve(null)
    }
    const fail = (error: unknown) => {
      source.unpipe(parser)
      source.destroy()
      reject(error)
    }
    parser.on('file', (_field, stream, name) => {
      const parts: Buffer[] = []
      stream.on('data', (part: Buffer) => {
        length += part.length
        if (length > LIMITS.uploadBytes) return fail(tooLong())
        parts.push(part)
      })
      stream.on('limit', () => fail(tooLong()))
      stream.on('end', () => {
        form.files.push({ name: name ?? '', bytes: new Uint8Array(Buffer.concat(parts)) })
      })
    })
    parser.on('field', (name, value) => form.fields.push({ name, value }))
    for (const limit of ['filesLimit', 'fieldsLimit', 'partsLimit'] as const)
      parser.on(limit, () => fail(tooMany()))
    parser.on('finish', () => resolve(form))
    // A form that is broken off.
    parser.on('error', () => {
      source.destroy()
      resolve(null)
    })
    source.on('error', () => resolve(null))
    source.pipe(parser)
  })
}
