import { readFileSync } from 'node:fs'
import http from 'node:http'
import { expect } from '@playwright/test'
import { test } from './helpers'

/** Every address of the app, behind its guard. */

const manifest = JSON.parse(readFileSync('.next/app-path-routes-manifest.json', 'utf8'))
const ADDRESSES = [...new Set(Object.values(manifest) as string[])]
  .filter((address) => !address.startsWith('/_'))
  .map((address) => address.replace('[id]', 'gate').replace('[version]', '1'))

interface Answer {
  status: number
  headers: http.IncomingHttpHeaders
  body: string
}

/** A script in a tag, which no nonce marks. */
const handlers = /<[a-z][^<>]*\son[a-z]+\s*=/i

/** A request with any headers at all. */
function ask(base: string, path: string, method: string, headers: Record<string, string> = {}) {
  return new Promise<Answer>((resolve, reject) => {
    const body = method === 'GET' || method === 'TRACE' ? '' : '{}'
    const all = body ? { ...headers, 'content-length': String(body.length) } : headers
    const request = http.request(new URL(path, base), { method, headers: all }, (response) => {
      let text = ''
      response.setEncoding('utf8')
      response.on('data', (part: string) => (text += part))
      response.on('end', () =>
        resolve({ status: response.statusCode!, headers: response.headers, body: text })
      )
    })
    request.on('error', reject)
    request.end(body)
  })
}

test('each address has the headers, marked scripts, and is closed to other names and pages', async ({
  baseURL,
}) => {
  test.setTimeout(120_000)
  expect(ADDRESSES.length).toBeGreaterThan(25)
  for (const address of ADDRESSES) {
    const { status, headers, body } = await ask(baseURL!, address, 'GET')
    expect([address, status < 500]).toEqual([address, true])
    const policy = String(headers['content-security-policy'])
    const nonce = /'nonce-([^']+)'/.exec(policy)?.[1]
    expect([address, nonce]).toEqual([address, expect.stringMatching(/^[A-Za-z0-9+/]{22}==$/)])
    expect(/script-src ([^;]*)/.exec(policy)![1]).not.toMatch(/unsafe|\*|https?:/)
    expect(policy).toContain("frame-ancestors 'none'")
    expect(headers['x-content-type-options']).toBe('nosniff')
    expect(headers['referrer-policy']).toBe('same-origin')
    expect(headers['permissions-policy']).toContain('camera=()')
    const page = /text\/html/.test(String(headers['content-type'])) ? body : ''
    for (const [tag] of page.matchAll(/<script\b[^>]*>/g))
      expect([address, tag.includes(`nonce="${nonce}"`)]).toEqual([address, true])
    expect([address, handlers.test(page.replace(/<script[\s\S]*?<\/script>/g, ''))]).toEqual([
      address,
      false,
    ])

    const other = await ask(baseURL!, address, 'GET', { host: 'evil.example' })
    expect([address, other.status]).toEqual([address, 421])
    expect(other.headers['content-security-policy']).toContain("frame-ancestors 'none'")
    for (const method of ['POST', 'PUT', 'PATCH', 'DELETE']) {
      const cross = await ask(baseURL!, address, method, {
        'content-type': 'application/json',
        origin: 'http://evil.example',
        'sec-fetch-site': 'cross-site',
      })
      expect([address, method, cross.status]).toEqual([address, method, 403])
    }
    expect((await ask(baseURL!, address, 'TRACE')).status).toBe(405)
  }
})

test('a page that runs against its policy is seen', async ({ page, refusals }) => {
  await page.goto('/cards/none')
  await page.evaluate(() => {
    const script = document.createElement('script')
    script.textContent = 'document.title = "run"'
    document.body.append(script)
  })
  await expect.poll(() => refusals.length).toBeGreaterThan(0)
  expect(await page.title()).not.toBe('run')
  refusals.length = 0
})

test('a page elsewhere cannot write, whatever it tries', async ({ page, baseURL }) => {
  const before = await (await fetch(`${baseURL}/api/cards/gate`)).text()
  // A page of another origin: the same server by another name of this machine.
  const elsewhere = http.createServer((_request, response) => {
    response.setHeader('content-type', 'text/html')
    response.end('<!doctype html><form method="post" enctype="text/plain"><input name="a"></form>')
  })
  await new Promise<void>((resolve) => elsewhere.listen(0, '127.0.0.1', resolve))
  const { port } = elsewhere.address() as { port: number }
  await page.goto(`http://127.0.0.1:${port}/`)
  const answers = await page.evaluate(async (base) => {
    const tries: [string, RequestInit][] = [
      [
        '/api/cards/gate',
        {
          method: 'PATCH',
          headers: { 'content-type': 'application/json' },
          body: '{"status":"draft"}',
        },
      ],
      ['/api/cards', { method: 'POST', mode: 'no-cors', body: '{"name":"x"}' }],
      ['/api/bin', { method: 'DELETE', mode: 'no-cors' }],
      ['/api/bin/gate', { method: 'POST', mode: 'no-cors' }],
      ['/api/import', { method: 'POST', mode: 'no-cors', body: new FormData() }],
    ]
    return Promise.all(
      tries.map(([path, init]) =>
        fetch(base + path, init).then(
          (answer) => answer.type,
          () => 'failed'
        )
      )
    )
  }, baseURL!)
  expect(answers.filter((each) => each !== 'opaque' && each !== 'failed')).toEqual([])
  await page.evaluate((base) => {
    const form = document.forms[0]!
    form.action = `${base}/api/cards`
    form.submit()
  }, baseURL!)
  await page.waitForLoadState()
  elsewhere.close()
  expect(await (await fetch(`${baseURL}/api/cards/gate`)).text()).toBe(before)
  const shelf = (await (await fetch(`${baseURL}/api/shelf`)).json()) as {
    cards: { title: string }[]
  }
  expect(shelf.cards.filter(({ title }) => title === 'x')).toEqual([])
})

test.describe.serial('what a page keeps in the browser', () => {
  const kept = async () => ({
    words: localStorage.length,
    cookies: document.cookie,
    databases: (await indexedDB.databases()).length,
    caches: (await caches.keys()).length,
  })

  test('is there as long as the test goes on', async ({ page }) => {
    await page.goto('/about')
    await page.evaluate(async () => {
      localStorage.setItem('draft', 'A step.')
      document.cookie = 'seen=yes'
      await caches.open('pages')
      await new Promise((resolve) => (indexedDB.open('drafts').onsuccess = resolve))
    })
    await page.reload()
    const { words, ...rest } = await page.evaluate(kept)
    expect(rest).toEqual({ cookies: 'seen=yes', databases: 1, caches: 1 })
    expect(words).toBeGreaterThan(0)
    expect(await page.evaluate(() => localStorage.getItem('draft'))).toBe('A step.')
  })

  test('is gone in the next test', async ({ page }) => {
    // Before a page of the app keeps something of its own.
    await page.goto('/icon.svg')
    expect(await page.evaluate(kept)).toEqual({ words: 0, cookies: '', databases: 0, caches: 0 })
  })
})
