import { readFileSync } from 'node:fs'
import process from 'node:process'
import { pathToFileURL } from 'node:url'

/** The words of each page of a PDF, read by an independent library. @param {Uint8Array} bytes */
export async function pdfPages(bytes) {
  const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs')
  const document = await getDocument({
    data: new Uint8Array(bytes),
    useSystemFonts: true,
    verbosity: 0,
  }).promise
  const pages = []
  for (let n = 1; n <= document.numPages; n += 1) {
    const { items } = await (await document.getPage(n)).getTextContent()
    pages.push(items.map((item) => ('str' in item ? item.str : '')).join(' '))
  }
  return pages
}

// As a program: the words of the PDF on the standard input.
if (import.meta.url === pathToFileURL(process.argv[1]).href)
  console.log((await pdfPages(readFileSync(0))).join('\n'))
