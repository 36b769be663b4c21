import { type Asked, doorsOf, refusalOf, securityHeaders } from './guard'

const local = doorsOf('127.0.0.1')
const school = doorsOf('0.0.0.0', 'https://cards.school.example, http://box.lan:3000')

const ask = (more: Partial<Asked> = {}, headers: Asked['headers'] = {}): Asked => ({
  method: 'GET',
  url: '/',
  ...more,
  headers: { host: '127.0.0.1:3000', ...headers },
})
const put = (headers: Asked['headers'] = {}, url = '/api/cards/tree') =>
  ask(
    { method: 'PUT', url },
    { 'content-type': 'application/json', 'content-length': '20', ...headers }
  )
const status = (asked: Asked, doors = local) => refusalOf(asked, doors)?.status ?? 200

describe('the name it is called by', () => {
  test.each([
    ['127.0.0.1:3000', 200],
    ['localhost', 200],
    ['LOCALHOST:99', 200],
    ['localhost.', 200],
    ['[::1]:3000', 200],
    ['evil.example', 421],
    ['evil.example:3000', 421],
    ['127.0.0.1.evil.example', 421],
    ['localhost.evil.example', 421],
    ['cards.school.example', 421],
    ['localhost@evil.example', 400],
    ['evil.example/localhost', 400],
    ['localhost, evil.example', 400],
    ['', 400],
    [undefined, 400],
  ])('%s: %d', (host, wanted) => {
    expect(status(ask({}, { host }))).toBe(wanted)
  })

  test.each([
    ['cards.school.example', 200],
    ['CARDS.school.example:443', 200],
    ['box.lan:3000', 200],
    ['localhost:3000', 200],
    ['0.0.0.0:3000', 421],
    ['school.example', 421],
  ])('with ORIGIN, %s: %d', (host, wanted) => {
    expect(status(ask({}, { host }), school)).toBe(wanted)
  })

  test('what it listens on is its name too', () => {
    expect(status(ask({}, { host: '192.168.0.7:3000' }), doorsOf('192.168.0.7'))).toBe(200)
    expect(status(ask({}, { host: '[fe80::7]:3000' }), doorsOf('fe80::7'))).toBe(200)
  })

  test.each(['cards', 'ftp://x.example', 'https://x.example/deck', 'https://x.example/?a', '*'])(
    'ORIGIN “%s” is told',
    (origin) => expect(() => doorsOf('127.0.0.1', origin)).toThrow(/ORIGIN holds/)
  )
})

describe('writes', () => {
  test.each<[string, Asked['headers'], number]>([
    [
      'from its own page',
      { origin: 'http://127.0.0.1:3000', 'sec-fetch-site': 'same-origin' },
      200,
    ],
    ['from a program, which says neither', {}, 200],
    ['from another page', { origin: 'http://evil.example', 'sec-fetch-site': 'cross-site' }, 403],
    ['from another page that hides its origin', { origin: 'null' }, 403],
    ['from another port of this machine', { origin: 'http://127.0.0.1:8080' }, 403],
    ['from another name of this machine', { origin: 'http://localhost:3000' }, 403],
    ['from the same site only', { 'sec-fetch-site': 'same-site' }, 403],
    [
      'from elsewhere, with its own origin',
      { 'sec-fetch-site': 'cross-site', origin: 'http://127.0.0.1:3000' },
      403,
    ],
    ['with an origin that is none', { origin: 'file://' }, 403],
    ['with an empty origin', { origin: '' }, 403],
  ])('%s: %d', (_what, headers, wanted) => {
    expect(status(put(headers))).toBe(wanted)
    for (const method of ['POST', 'PATCH', 'DELETE'])
      expect(status({ ...put(headers), method })).toBe(wanted)
  })

  test('behind a proxy from the address that ORIGIN says', () => {
    const from = (origin: string) => put({ host: 'box.lan:3000', origin })
    expect(status(from('https://cards.school.example'), school)).toBe(200)
    expect(status(from('http://cards.school.example'), school)).toBe(403)
    expect(status(from('https://cards.school.example.evil.example'), school)).toBe(403)
  })

  test.each<[string, Asked['headers'], string, number]>([
    ['a form', { 'content-type': 'application/x-www-form-urlencoded' }, '/api/cards', 415],
    ['plain text', { 'content-type': 'text/plain' }, '/api/cards', 415],
    ['JSON in disguise', { 'content-type': 'text/plain; application/json' }, '/api/cards', 415],
    ['no type', { 'content-type': undefined }, '/api/cards', 415],
    [
      'JSON with its letters told',
      { 'content-type': 'application/JSON; charset=utf-8' },
      '/api/cards',
      200,
    ],
    [
      'files for an import',
      { 'content-type': 'multipart/form-data; boundary=x' },
      '/api/import?preview=1',
      200,
    ],
    ['files elsewhere', { 'content-type': 'multipart/form-data; boundary=x' }, '/api/cards', 415],
    ['JSON for an import', {}, '/api/import', 415],
    ['no body at all', { 'content-type': undefined, 'content-length': '0' }, '/api/bin/tree', 200],
    [
      'a body of unknown length',
      { 'content-length': undefined, 'transfer-encoding': 'chunked' },
      '/api/cards',
      200,
    ],
    [
      'a form of unknown length',
      { 'content-length': undefined, 'transfer-encoding': 'chunked', 'content-type': 'text/plain' },
      '/api/cards',
      415,
    ],
    ['9 MB', { 'content-length': String(9 * 1024 * 1024) }, '/api/cards', 413],
    [
      '65 MB of files',
      {
        'content-length': String(65 * 1024 * 1024),
        'content-type': 'multipart/form-data; boundary=x',
      },
      '/api/import',
      413,
    ],
    [
      '60 MB of files',
      {
        'content-length': String(60 * 1024 * 1024),
        'content-type': 'multipart/form-data; boundary=x',
      },
      '/api/import',
      200,
    ],
  ])('%s', (_what, headers, url, wanted) => {
    expect(status({ ...put(headers, url), method: 'POST' })).toBe(wanted)
  })
})

describe('reads', () => {
  test.each(['TRACE', 'CONNECT', 'PROPFIND', 'LOCK', 'BREW', ''])('“%s” is no method', (method) => {
    expect(refusalOf(ask({ method }), local)).toMatchObject({
      status: 405,
      headers: { allow: expect.stringContaining('GET') },
    })
  })

  test.each(['http://evil.example/', '//evil.example/', '*', ''])('“%s” is no address', (url) => {
    expect(status(ask({ url }))).toBe(400)
  })

  test('a page elsewhere may link here, and not have data worked out', () => {
    const cross = { 'sec-fetch-site': 'cross-site' }
    expect(status(ask({ url: '/cards/tree' }, { ...cross, 'sec-fetch-mode': 'navigate' }))).toBe(
      200
    )
    expect(
      status(ask({ url: '/api/cards/tree/pdf' }, { ...cross, 'sec-fetch-mode': 'navigate' }))
    ).toBe(200)
    expect(
      status(ask({ url: '/api/cards/tree/pdf' }, { ...cross, 'sec-fetch-mode': 'no-cors' }))
    ).toBe(403)
    expect(status(ask({ url: '/api/shelf' }, { 'sec-fetch-site': 'same-origin' }))).toBe(200)
  })
})

test('the headers let no other script in and no page around it', () => {
  const headers = securityHeaders('abc')
  const policy = Object.fromEntries(
    headers['content-security-policy']!.split('; ').map((part) => {
      const [name, ...values] = part.split(' ')
      return [name, values]
    })
  )
  expect(policy['script-src']).toEqual(["'self'", "'nonce-abc'"])
  expect(policy['default-src']).toEqual(["'self'"])
  expect(policy['frame-ancestors']).toEqual(["'none'"])
  expect(policy['object-src']).toEqual(["'none'"])
  expect(policy['base-uri']).toEqual(["'none'"])
  expect(headers['x-content-type-options']).toBe('nosniff')
  expect(headers['referrer-policy']).toBe('same-origin')
  expect(headers['permissions-policy']).toContain('camera=()')
})
