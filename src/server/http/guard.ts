import { LIMITS } from '@/core/card'

/** What a guard sees of a request, before anything of it is read. */
export interface Asked {
  method: string
  /** As it stands in the first line. */
  url: string
  headers: Readonly<Record<string, string | string[] | undefined>>
}

/** Who may talk to this server. */
export interface Doors {
  /** Names that a browser may call it by, small letters, without a port. */
  hosts: ReadonlySet<string>
  /** Origins that may write although a proxy gives another Host, such as https://cards.school.example. */
  origins: ReadonlySet<string>
}

/** Why a request is not let in, in plain words. */
export interface Refusal {
  status: number
  title: string
  detail: string
  headers?: Record<string, string>
}

const LOOPBACK = ['localhost', '127.0.0.1', '[::1]']
const ANY_ADDRESS = new Set(['0.0.0.0', '::', '[::]'])
const READS = new Set(['GET', 'HEAD', 'OPTIONS'])
const METHODS = [...READS, 'POST', 'PUT', 'PATCH', 'DELETE']

/**
 * The doors that settings open.
 * @param host what the server listens on (HOST)
 * @param origin ORIGIN: the addresses that browsers use, with commas between
 * @throws RangeError for an ORIGIN that is no address
 */
export function doorsOf(host: string, origin = ''): Doors {
  const origins = origin
    .split(',')
    .map((each) => each.trim())
    .filter(Boolean)
    .map((each) => {
      const url = URL.canParse(each) ? new URL(each) : null
      if (!url || !/^https?:$/.test(url.protocol) || url.pathname !== '/' || url.search)
        throw new RangeError(
          `ORIGIN holds “${each}”; it should be the address that browsers use, such as https://cards.school.example`
        )
      return url
    })
  const own = ANY_ADDRESS.has(host) ? [] : [host.includes(':') ? `[${host}]` : host]
  return {
    hosts: new Set(
      [...LOOPBACK, ...own, ...origins.map(({ hostname }) => hostname)].map((each) =>
        each.toLowerCase().replace('[[', '[').replace(']]', ']')
      )
    ),
    origins: new Set(origins.map((each) => each.origin)),
  }
}

const one = (value: string | string[] | undefined) => (Array.isArray(value) ? value[0] : value)

/** A Host header in its parts; null when it is none. */
function hostOf(header: string | undefined): { name: string; all: string } | null {
  const found = /^((?:\[[0-9a-f:.]+\])|[a-z0-9._-]+)(?::\d{1,5})?$/i.exec(header ?? '')
  return found ? { name: found[1]!.toLowerCase().replace(/\.$/, ''), all: header! } : null
}

function mayWrite(headers: Asked['headers'], host: string, { origins }: Doors): boolean {
  const site = one(headers['sec-fetch-site'])
  if (site !== undefined && site !== 'same-origin' && site !== 'none') return false
  const origin = one(headers.origin)
  // No browser sends a write from another page without one of the two.
  if (origin === undefined) return true
  if (origins.has(origin)) return true
  return URL.canParse(origin) && /^https?:\/\//.test(origin) && new URL(origin).host === host
}

const bodyLength = (headers: Asked['headers']): number | null => {
  const length = one(headers['content-length'])
  return length === undefined ? null : Number(length)
}

/**
 * Decides whether a request is let in: a known Host, a known method, a write only from a page of
 * its own, a body only in the form that its address takes and not longer than any may be.
 * @returns null when it is let in
 */
export function refusalOf({ method, url, headers }: Asked, doors: Doors): Refusal | null {
  if (!METHODS.includes(method))
    return {
      status: 405,
      title: 'No such method',
      detail: `${method} is not answered here. Nothing was changed.`,
      headers: { allow: METHODS.join(', ') },
    }
  const host = hostOf(one(headers.host))
  if (!host || !url.startsWith('/') || url.startsWith('//'))
    return {
      status: 400,
      title: 'No such address',
      detail: 'The request does not say in the usual way whom it asks. Nothing was changed.',
    }
  if (!doors.hosts.has(host.name))
    return {
      status: 421,
      title: 'Another name',
      detail: `Notula is not known here as “${host.name.slice(0, 80)}”. Start it with ORIGIN set to the address that browsers use; nothing was changed.`,
    }
  if (READS.has(method)) return crossSiteRead(url, headers)
  if (!mayWrite(headers, host.all.toLowerCase(), doors))
    return {
      status: 403,
      title: 'From another page',
      detail: 'Only Notula’s own pages may write to the deck. Nothing was changed.',
    }
  return bodyRefusal(url, headers)
}

/** A page elsewhere may link here; it may not have the data worked out and sent to it. */
function crossSiteRead(url: string, headers: Asked['headers']): Refusal | null {
  const from = one(headers['sec-fetch-site'])
  const opened = one(headers['sec-fetch-mode']) === 'navigate'
  if ((from !== 'cross-site' && from !== 'same-site') || opened || !url.startsWith('/api/'))
    return null
  return {
    status: 403,
    title: 'From another page',
    detail: 'Only Notula’s own pages may read the deck’s data.',
  }
}

function bodyRefusal(url: string, headers: Asked['headers']): Refusal | null {
  const length = bodyLength(headers)
  const chunked = headers['transfer-encoding'] !== undefined
  if (!chunked && !length) return null
  const type = (one(headers['content-type']) ?? '').split(';')[0]!.trim().toLowerCase()
  const takesFiles = url.split('?')[0] === '/api/import'
  const wanted = takesFiles ? 'multipart/form-data' : 'application/json'
  if (type !== wanted)
    return {
      status: 415,
      title: 'Not in this form',
      detail: `This address takes ${wanted}. Nothing was changed.`,
    }
  const most = takesFiles ? LIMITS.uploadBytes : LIMITS.bodyBytes
  if (length === null || length <= most) return null
  return {
    status: 413,
    title: 'Too large',
    detail: `The request is larger than ${most / 1024 / 1024} MB. Nothing was changed.`,
    headers: { connection: 'close' },
  }
}

/**
 * Headers that go with every answer, page or data.
 * @param nonce marks the scripts of this one answer
 */
export function securityHeaders(nonce: string): Record<string, string> {
  return {
    'content-security-policy': [
      "default-src 'self'",
      `script-src 'self' 'nonce-${nonce}'`,
      "style-src 'self' 'unsafe-inline'",
      "img-src 'self' data: blob:",
      "worker-src 'self' blob:",
      "object-src 'none'",
      "base-uri 'none'",
      "form-action 'self'",
      "frame-ancestors 'none'",
    ].join('; '),
    'x-content-type-options': 'nosniff',
    'x-frame-options': 'DENY',
    'referrer-policy': 'same-origin',
    'permissions-policy':
      'camera=(), microphone=(), geolocation=(), payment=(), usb=(), browsing-topics=()',
    'cross-origin-opener-policy': 'same-origin',
    'cross-origin-resource-policy': 'same-origin',
  }
}
