import { z } from 'zod'
import { LIMITS } from '@/core/card'
import { UploadError } from './archive'
import { TooLarge } from './http/body'
import { JobError } from './jobs/pool'
import { answering, badInput, problemOf, readBody } from './problem'

/** Whatever goes wrong is told plainly, and nothing of the inside with it. */

const told = async (answer: Response) => ({
  status: answer.status,
  ...((await answer.json()) as { title: string; detail: string }),
})
const secret = 'select * from cards where password = hunter2 at /srv/app/cards.ts:12'
const ofDatabase = (code: string) => Object.assign(new Error(secret), { code })

let logged: jest.SpyInstance
beforeEach(() => {
  logged = jest.spyOn(console, 'error').mockImplementation(() => undefined)
})
afterEach(() => logged.mockRestore())

/** By SQLSTATE: PostgreSQL, appendix A. */
test.each<[string, number, RegExp]>([
  ['53300', 503, /no more connections/],
  ['53100', 507, /no room left/],
  ['58030', 507, /no room left/],
  ['53400', 507, /no room left/],
  ['40001', 503, /try again/],
  ['40P01', 503, /try again/],
  ['55P03', 503, /try again/],
  ['57P01', 503, /what you typed is kept/],
  ['57P03', 503, /what you typed is kept/],
  ['08006', 503, /what you typed is kept/],
  ['08P01', 503, /what you typed is kept/],
  ['22P05', 400, /nothing that the database can hold/],
  ['22021', 400, /nothing that the database can hold/],
  ['XX000', 500, /Nothing was saved/],
  ['23505', 500, /Nothing was saved/],
  ['', 500, /Nothing was saved/],
])('the database says %s: %s', async (code, status, detail) => {
  const answer = await told(problemOf(ofDatabase(code)))
  expect(answer.status).toBe(status)
  expect(answer.detail).toMatch(detail)
  expect(JSON.stringify(answer)).not.toMatch(/select|hunter2|\.ts|password/)
})

test.each([
  'connect ECONNREFUSED 127.0.0.1:5432',
  'read ECONNRESET',
  'Connection terminated unexpectedly',
  'Knex: Timeout acquiring a connection. The pool is probably full.',
  'the database system is starting up',
  'the database system is shutting down',
])('out of reach: %s', async (message) => {
  const answer = await told(problemOf(new Error(message)))
  expect(answer).toMatchObject({ status: 503, title: 'The database is out of reach' })
  expect(answer.detail).not.toContain('127.0.0.1')
})

test('what was not thrown as an error is no riddle either', async () => {
  expect((await told(problemOf('a word'))).status).toBe(500)
  expect((await told(problemOf({}))).status).toBe(500)
})

test('work that is too much, and a queue that is full, are told apart', async () => {
  expect(await told(problemOf(new JobError('time', 'plan', 40)))).toMatchObject({
    status: 422,
    detail: 'This could not be done: it took more than 40 seconds of work. The deck is as it was.',
  })
  expect((await told(problemOf(new JobError('queue', 'plan', 0)))).status).toBe(503)
})

test('files and bodies: what was wrong, and that nothing was taken in', async () => {
  expect(await told(problemOf(new UploadError('The archive is damaged.')))).toMatchObject({
    status: 400,
    detail: 'The archive is damaged. Nothing was taken in.',
  })
  expect((await told(problemOf(new TooLarge('It is too large.')))).status).toBe(413)
})

test('each value that does not fit is named, up to the limit', async () => {
  const many = z.object(
    Object.fromEntries(Array.from({ length: LIMITS.problems + 5 }, (_, i) => [`f${i}`, z.string()]))
  )
  const answer = (await badInput(many.safeParse({}).error!, {}).json()) as {
    detail: string
    errors: { path: string[]; message: string }[]
  }
  expect(answer.errors).toHaveLength(LIMITS.problems)
  expect(answer.errors[0]!.path).toEqual(['f0'])
  expect(answer.detail).toMatch(/Nothing was saved\.$/)
})

describe('a body', () => {
  const post = (body: string) => new Request('http://x/', { method: 'POST', body })
  const schema = z.object({ n: z.int() })

  test('that fits is given', async () => {
    expect(await readBody(post('{"n": 3}'), schema)).toEqual({ n: 3 })
  })
  test.each(['', '{', 'null', '[]', '{"n": "3"}', '{"n": 1.5}'])('%j is refused', async (body) => {
    const answer = (await readBody(post(body), schema)) as Response
    expect(answer.status).toBe(400)
    expect(answer.headers.get('content-type')).toContain('application/problem+json')
  })
  test('longer than is taken', async () => {
    const long = post(JSON.stringify({ n: 'x'.repeat(LIMITS.bodyBytes) }))
    expect(((await readBody(long, schema)) as Response).status).toBe(413)
  })
})

test('a handler’s answer goes out as it is, and what it throws is told', async () => {
  expect((await answering(async () => new Response('good'))).status).toBe(200)
  expect((await answering(() => Promise.reject(ofDatabase('53300')))).status).toBe(503)
})
