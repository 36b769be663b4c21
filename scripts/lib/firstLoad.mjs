import { gunzipSync, gzipSync } from 'node:zlib'

/** The most that the scripts of a bench may take at its first load, in gzipped bytes. */
export const FIRST_LOAD = 235_000

/** The scripts that a page loads first, gzipped. */
export async function firstLoad(address, path) {
  const html = await (await fetch(address + path)).text()
  // A script marked noModule is for browsers that know no modules; the others never load it.
  const tags = [...html.matchAll(/<script[^>]+src="([^"]+)"[^>]*>/g)]
  const files = [...new Set(tags.filter(([tag]) => !/nomodule/i.test(tag)).map(([, src]) => src))]
  let bytes = 0
  for (const file of files) {
    const body = Buffer.from(await (await fetch(address + file)).arrayBuffer())
    const plain = body[0] === 0x1f && body[1] === 0x8b ? gunzipSync(body) : body
    bytes += gzipSync(plain, { level: 6 }).length
  }
  return { bytes, count: files.length }
}
