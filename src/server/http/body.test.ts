import { LIMITS } from '@/core/card'
import { readBytes, readForm, TooLarge } from './body'

const ADDRESS = 'http://127.0.0.1/api/import'

/** A body that goes on for so many parts and doesn't say its length; counts what was asked of it. */
function endless(part: Uint8Array, many: number) {
  let sent = 0
  const body = new ReadableStream<Uint8Array>({
    pull(controller) {
      if (sent === many) return controller.close()
      sent += 1
      controller.enqueue(part)
    },
  })
  return { body, sent: () => sent }
}
const request = (body: BodyInit, type?: string) =>
  new Request(ADDRESS, {
    method: 'POST',
    body,
    duplex: 'half',
    ...(type ? { headers: { 'content-type': type } } : {}),
  } as RequestInit)

test('a body comes whole', async () => {
  expect((await readBytes(request('{"a": "ś"}'), 100)).toString('utf8')).toBe('{"a": "ś"}')
  expect(await readBytes(new Request(ADDRESS), 100)).toHaveLength(0)
})

test('of a body without end no more is read than is taken', async () => {
  const { body, sent } = endless(new Uint8Array(1024), 300_000)
  await expect(readBytes(request(body), 64 * 1024)).rejects.toThrow(TooLarge)
  expect(sent()).toBeLessThan(80)
})

test('a body of just as much is taken', async () => {
  expect(await readBytes(request(endless(new Uint8Array(1024), 64).body), 64 * 1024)).toHaveLength(
    64 * 1024
  )
})

const form = (...parts: [string, File | string][]) => {
  const data = new FormData()
  for (const [name, value] of parts) data.append(name, value)
  return request(data)
}

test('a form comes with its files and fields, names and bytes as they were', async () => {
  const read = await readForm(
    form(
      ['file', new File(['one'], 'vṛkṣāsana.md')],
      ['file', new File([Uint8Array.of(0, 255, 10)], 'b.zip')],
      ['author', 'Ada'],
      ['leaveOut', 'x.md'],
      ['leaveOut', 'y.md']
    )
  )
  expect(read!.files.map(({ name, bytes }) => [name, [...bytes]])).toEqual([
    ['vṛkṣāsana.md', [...new TextEncoder().encode('one')]],
    ['b.zip', [0, 255, 10]],
  ])
  expect(read!.fields).toEqual([
    { name: 'author', value: 'Ada' },
    { name: 'leaveOut', value: 'x.md' },
    { name: 'leaveOut', value: 'y.md' },
  ])
})

test('more files than are taken', async () => {
  const many = Array.from(
    { length: LIMITS.files + 1 },
    (_, i) => ['file', new File(['x'], `${i}.md`)] as [string, File]
  )
  await expect(readForm(form(...many))).rejects.toThrow(/More than 2000 files/)
})

test('files without end', async () => {
  const head = new TextEncoder().encode(
    '--x\r\nContent-Disposition: form-data; name="file"; filename="a.md"\r\n\r\n'
  )
  let first = true
  let sent = 0
  const part = new Uint8Array(1024 * 1024)
  const body = new ReadableStream<Uint8Array>({
    pull(controller) {
      sent += 1
      controller.enqueue(first ? head : part)
      first = false
    },
  })
  const reading = readForm(request(body, 'multipart/form-data; boundary=x'))
  await expect(reading).rejects.toThrow(/larger than 64 MB/)
  expect(sent).toBeLessThan(100)
}, 30_000)

test.each([
  ['no type', 'x', undefined],
  ['another type', '{}', 'application/json'],
  ['no boundary', 'x', 'multipart/form-data'],
  ['a form that breaks off', '--x\r\nContent-Disp', 'multipart/form-data; boundary=x'],
])('%s is no form', async (_what, body, type) => {
  expect(await readForm(request(body, type))).toBeNull()
})
