import { randomBytes } from 'node:crypto'
import http, { type IncomingMessage, type ServerResponse } from 'node:http'
import type { Socket } from 'node:net'
import { NONCE_HEADER } from './nonce'
import { type Doors, type Refusal, refusalOf, securityHeaders } from './guard'

export type Handler = (request: IncomingMessage, response: ServerResponse) => unknown

function refuse(response: ServerResponse, { status, title, detail, headers = {} }: Refusal) {
  for (const [name, value] of Object.entries(headers)) response.setHeader(name, value)
  response.statusCode = status
  response.setHeader('content-type', 'application/problem+json; charset=utf-8')
  response.setHeader('cache-control', 'no-store')
  response.end(JSON.stringify({ type: 'about:blank', title, status, detail }))
}

/** A server that guards each request before `handle` hears of it. */
export function guarded(handle: Handler, doors: Doors): http.Server {
  const server = http.createServer((request, response) => {
    const nonce = randomBytes(16).toString('base64')
    const headers = securityHeaders(nonce)
    for (const [name, value] of Object.entries(headers)) response.setHeader(name, value)
    const refusal = refusalOf(
      { method: request.method ?? '', url: request.url ?? '', headers: request.headers },
      doors
    )
    if (refusal) {
      request.resume()
      return refuse(response, refusal)
    }
    // The pages mark their scripts with what they read here; a browser has no say in it.
    request.headers['content-security-policy'] = headers['content-security-policy']
    request.headers[NONCE_HEADER] = nonce
    handle(request, response)
  })
  server.headersTimeout = 20_000
  // Longer than programs keep a quiet connection: a request never meets one that is just closing.
  server.keepAliveTimeout = 65_000
  server.requestTimeout = 120_000
  server.on('clientError', (_error, socket) => {
    // A browser opens connections ahead of need. Who asked nothing is told nothing: the answer
    // would be taken for that to its first request.
    if (!socket.writable || (socket as Socket).bytesRead === 0) return void socket.destroy()
    const fixed = Object.entries(securityHeaders('none'))
      .map(([name, value]) => `${name}: ${value}\r\n`)
      .join('')
    socket.end(`HTTP/1.1 400 Bad Request\r\nconnection: close\r\n${fixed}\r\n`)
  })
  return server
}
