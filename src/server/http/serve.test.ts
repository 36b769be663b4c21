import { once } from 'node:events'
import http from 'node:http'
import net, { type AddressInfo } from 'node:net'
import { doorsOf, securityHeaders } from './guard'
import { NONCE_HEADER } from './nonce'
import { guarded } from './serve'

/** The guard before a server that answers everything. */

let server: http.Server
let port: number
let heard: http.IncomingMessage[]

beforeEach(async () => {
  heard = []
  server = guarded((request, response) => {
    heard.push(request)
    response.end('in')
  }, doorsOf('127.0.0.1'))
  server.listen(0, '127.0.0.1')
  await once(server, 'listening')
  port = (server.address() as AddressInfo).port
})
afterEach(() => new Promise((resolve) => server.close(resolve)))

/** Sends bytes as they are. */
function raw(text: string): Promise<string> {
  return new Promise((resolve) => {
    const socket = net.connect(port, '127.0.0.1', () => socket.write(text))
    let answer = ''
    socket.on('data', (part) => (answer += part))
    socket.on('error', () => undefined)
    socket.on('close', () => resolve(answer))
  })
}
const lines = (...all: string[]) => [...all, 'Connection: close', '', ''].join('\r\n')
const NAMES = Object.keys(securityHeaders(''))

/** A connection that has sent some bytes, when the server's patience with it ends. */
async function outOfTime(text: string): Promise<string> {
  const arrived = once(server, 'connection')
  const answer = raw(text)
  const [socket] = (await arrived) as [net.Socket]
  while (socket.bytesRead < text.length) await new Promise((resolve) => setImmediate(resolve))
  const error = Object.assign(new Error('too late'), { code: 'ERR_HTTP_REQUEST_TIMEOUT' })
  server.emit('clientError', error, socket)
  return answer
}

test('a connection that asked nothing is closed without a word; half a request is answered', async () => {
  expect(await outOfTime('')).toBe('')
  expect(await outOfTime('GET / HTTP/1.1\r\nHost: local')).toMatch(/^HTTP\/1\.1 400 /)
  expect(heard).toHaveLength(0)
})

test.each([
  ['a page', 'GET / HTTP/1.1', 'Host: localhost', 200],
  ['data', 'GET /api/shelf HTTP/1.1', 'Host: localhost', 200],
  ['another name', 'GET / HTTP/1.1', 'Host: evil.example', 421],
  ['TRACE', 'TRACE / HTTP/1.1', 'Host: localhost', 405],
  ['a method that there is not', 'BREW / HTTP/1.1', 'Host: localhost', 400],
  ['an address that names another', 'GET http://evil.example/ HTTP/1.1', 'Host: localhost', 400],
  ['no name', 'GET / HTTP/1.0', 'X: y', 400],
  ['no HTTP', 'hello', 'Host: localhost', 400],
])('%s: %s', async (_what, first, host, status) => {
  const answer = await raw(lines(first, host))
  expect(answer).toMatch(new RegExp(`^HTTP/1.1 ${status}`))
  const headers = answer.split('\r\n\r\n')[0]!.toLowerCase()
  for (const name of NAMES) expect(headers).toContain(`\r\n${name}: `)
  expect(heard).toHaveLength(status === 200 ? 1 : 0)
})

test('each answer has a nonce of its own, which the page is told', async () => {
  await raw(lines('GET / HTTP/1.1', 'Host: localhost', `${NONCE_HEADER}: mine`))
  await raw(
    lines('GET / HTTP/1.1', 'Host: localhost', "Content-Security-Policy: script-src 'nonce-mine'")
  )
  const nonces = heard.map(({ headers }) => headers[NONCE_HEADER])
  expect(new Set(nonces).size).toBe(2)
  heard.forEach(({ headers }, i) => {
    expect(nonces[i]).toMatch(/^[A-Za-z0-9+/]{22}==$/)
    expect(headers['content-security-policy']).toContain(`'nonce-${nonces[i]}'`)
    expect(headers['content-security-policy']).not.toContain('mine')
  })
})

test('a quiet connection is kept for longer than a minute', async () => {
  const { headers } = await fetch(`http://localhost:${port}/`)
  expect(Number(/timeout=(\d+)/.exec(headers.get('keep-alive') ?? '')?.[1])).toBeGreaterThan(60)
})

test('a refusal is told as problem details', async () => {
  const answer = await raw(lines('GET / HTTP/1.1', 'Host: evil.example'))
  expect(answer).toContain('application/problem+json')
  expect(JSON.parse(answer.slice(answer.indexOf('{'), answer.lastIndexOf('}') + 1))).toMatchObject({
    status: 421,
    title: 'Another name',
  })
})
