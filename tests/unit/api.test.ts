import { z } from 'zod'
import { DELETE as emptyBin, GET as listBin } from '@/app/api/bin/route'
import { POST as unbin } from '@/app/api/bin/[id]/route'
import { DELETE, GET, PATCH, PUT } from '@/app/api/cards/[id]/route'
import { GET as file } from '@/app/api/cards/[id]/file/route'
import { GET as figure } from '@/app/api/cards/[id]/figure/route'
import { GET as pdf } from '@/app/api/cards/[id]/pdf/route'
import { POST as presence } from '@/app/api/cards/[id]/presence/route'
import { GET as versions } from '@/app/api/cards/[id]/versions/route'
import { GET as version, POST as bringBack } from '@/app/api/cards/[id]/versions/[version]/route'
import { POST as create } from '@/app/api/cards/route'
import { GET as deck } from '@/app/api/deck/route'
import { GET as exported } from '@/app/api/export/route'
import { GET as health } from '@/app/api/health/route'
import { POST as taken } from '@/app/api/import/route'
import { POST as mend } from '@/app/api/mend/route'
import { GET as verdicts, POST as planVerdicts } from '@/app/api/cautions/csv/route'
import { GET as wall } from '@/app/api/cautions/pdf/route'
import { DELETE as forgetRoom } from '@/app/api/rooms/[id]/route'
import { GET as rooms, POST as keepRoom } from '@/app/api/rooms/route'
import { GET as school, PUT as saveSchool } from '@/app/api/school/route'
import { GET as schoolVersions } from '@/app/api/school/versions/route'
import { GET as search } from '@/app/api/search/route'
import { GET as shelf } from '@/app/api/shelf/route'
import { BASES, Card, SECTIONS, School, STATUSES } from '@/core/card'
import { DEFAULT_POLICY, policyFrom, Room } from '@/core/cautions'
import { writeMarkdown } from '@/core/formats'
import { closeDb, db } from '@/server/db'
import { endJobs } from '@/server/jobs/pool'

// Jobs start their workers first.
jest.setTimeout(60_000)

/** What each address answers, told as shapes: a page that reads one relies on nothing else. */

const Problem = z.strictObject({
  type: z.literal('about:blank'),
  title: z.string().min(3).max(60),
  status: z.int().min(400).max(599),
  detail: z.string().regex(/\.$/),
  errors: z.array(z.strictObject({ path: z.array(z.string()), message: z.string() })).optional(),
  current: z.unknown().optional(),
  yours: z.unknown().optional(),
  stale: z.array(z.string()).optional(),
})
const Stored = z.strictObject({
  card: Card,
  version: z.int().min(1),
  status: z.enum(STATUSES),
  savedAt: z.string(),
  author: z.string(),
})
const Shelf = z.strictObject({
  revision: z.union([z.int(), z.string()]),
  cards: z.array(
    z.strictObject({
      id: z.string(),
      number: z.string(),
      title: z.string(),
      sanskrit: z.string(),
      aliases: z.string(),
      base: z.enum(BASES),
      spine: z.string(),
      manner: z.string(),
      sides: z.enum(['even', 'sided']),
      status: z.enum(STATUSES),
      unwritten: z.array(z.enum(SECTIONS.map(({ id }) => id) as [string, ...string[]])),
      drawn: z.boolean(),
      version: z.int().min(1),
      picture: z.string().regex(/^[0-9a-f]{16}$/),
    })
  ),
})

const ORIGIN = 'http://127.0.0.1:3000'
const at = (path = '/') => new Request(ORIGIN + path)
const saying = (body: unknown, method = 'POST') =>
  new Request(ORIGIN, {
    method,
    headers: { 'content-type': 'application/json' },
    body: typeof body === 'string' ? body : JSON.stringify(body),
  })
const of = <P extends object>(params: P) => ({ params: Promise.resolve(params) })
const id = (name = 'tree') => of({ id: name })

async function ok<T>(answer: Response, shape: z.ZodType<T>, status = 200): Promise<T> {
  const told = await answer.json()
  expect([answer.status, told]).toEqual([status, told])
  expect(answer.headers.get('content-type')).toMatch(/^application\/json/)
  return shape.parse(told)
}

async function refused(answer: Response, status: number) {
  expect(answer.status).toBe(status)
  expect(answer.headers.get('content-type')).toBe('application/problem+json; charset=utf-8')
  const told = Problem.parse(await answer.json())
  expect(told.status).toBe(status)
  // Words for a trainer: no trace of what it runs on.
  expect(JSON.stringify(told)).not.toMatch(/\bat .*\.ts|select |insert |password|knex|postgres/i)
  return told
}

const NEW = {
  name: 'Tree',
  base: 'standing',
  spine: 'lengthen',
  manner: 'held',
  sides: 'sided',
}
const made = (more: object = {}) => create(saying({ ...NEW, ...more }))
const stored = async (name = 'tree') => ok(await GET(at(), id(name)), Stored)
const Made = z.strictObject({ id: z.string(), version: z.literal(1) })

const steps = [{ id: 's1', text: 'Stand tall.', breath: 'in' }]

/** What makes each section written, and leaves the others as they are. */
const WRITTEN: Record<string, object> = {
  name: {
    names: { sanskrit: 'vṛkṣāsana', common: ['Tree'], aliases: [], meaning: '' },
    sideNamedBy: 'lifted leg',
  },
  when: { when: { timeOfDay: 'morning' } },
  setup: { setUp: { place: 'Stand.', props: [], note: '' } },
  enter: { enter: steps },
  alignment: { alignment: [{ id: 'c1', region: 'feet', text: 'Press.', on: 'both' }] },
  stay: { stay: { breaths: 5, repeats: 1 } },
  mistakes: { mistakes: [{ seen: 'The hip drops.', why: 'It tires.', say: 'Press.', on: 'both' }] },
  cautions: { cautions: [{ condition: 'vertigo', verdict: 'change', say: 'Use the wall.' }] },
  ladder: {
    ladder: [
      { id: 'r1', name: 'Toes down' },
      { id: 'r2', name: 'Foot on the thigh', reference: true },
    ],
  },
  exit: { exit: steps.map((step) => ({ ...step, id: 'x1' })) },
  rest: { counter: ['mountain'], betweenSides: { breaths: 1, text: 'Stand.' } },
}

beforeEach(async () => {
  await db().raw('TRUNCATE cards CASCADE')
})
afterAll(async () => {
  await endJobs()
  await closeDb()
})

describe('cards', () => {
  test('are made, with a number when the name is taken, and read whole', async () => {
    expect(await ok(await made({ author: 'Ada' }), Made, 201)).toEqual({ id: 'tree', version: 1 })
    expect(await ok(await made(), Made, 201)).toEqual({ id: 'tree-2', version: 1 })
    expect(await stored()).toMatchObject({ version: 1, status: 'draft', author: 'Ada' })
    const told = await refused(await made({ id: 'tree' }), 409)
    expect(told.detail).toContain('“tree”')
  })

  test.each([
    ['no name', { ...NEW, name: ' ' }, ['name']],
    ['no base', { ...NEW, base: undefined }, ['base']],
    ['a base that there is not', { ...NEW, base: 'flying' }, ['base']],
    ['an id that is no id', { ...NEW, id: '../x' }, ['id']],
    ['a field too many', { ...NEW, sub: 1 }, []],
    ['a name of 301 letters', { ...NEW, name: 'a'.repeat(301) }, ['name']],
  ])('are not made from %s, and the place is told', async (_what, body, path) => {
    const { errors } = await refused(await create(saying(body)), 400)
    expect(errors!.map((each) => each.path)).toContainEqual(path)
    expect(await db()('cards')).toHaveLength(0)
  })

  test.each([
    ['no JSON', '{"name":'],
    ['nothing', ''],
    ['a list', []],
    ['a word', '"tree"'],
  ])('are not made from %s', async (_what, body) => {
    await refused(await create(saying(body)), 400)
  })

  test('are saved by version; a stale save brings both texts', async () => {
    await made()
    const { card } = await stored()
    const noted = { ...card, notes: 'mine' }
    const Saved = z.strictObject({ version: z.int(), savedAt: z.iso.datetime() })
    const put = (body: object, name = 'tree') => PUT(saying(body, 'PUT'), id(name))
    expect((await ok(await put({ card: noted, from: 1 }), Saved)).version).toBe(2)
    const late = await refused(await put({ card: { ...card, notes: 'late' }, from: 1 }), 409)
    expect(late.current).toMatchObject({ version: 2, card: { notes: 'mine' } })
    expect(late.yours).toMatchObject({ notes: 'late' })
    await refused(await put({ card: { ...card, id: 'gone' }, from: 1 }, 'gone'), 404)
    await refused(await put({ card: noted, from: 1 }, 'other'), 400)
    await refused(await put({ card: noted, from: 0 }), 400)
    await refused(await put({ card: noted }), 400)
    const { errors } = await refused(
      await put({ card: { ...card, stay: { ...card.stay, breaths: -1 } }, from: 2 }),
      400
    )
    expect(errors![0]!.path).toEqual(['card', 'stay', 'breaths'])
    expect((await stored()).version).toBe(2)
  })

  test('change their status to one that there is', async () => {
    await made()
    const patch = (body: object, name = 'tree') => PATCH(saying(body, 'PATCH'), id(name))
    for (const status of STATUSES) {
      await ok(await patch({ status }), z.strictObject({ status: z.literal(status) }))
      expect((await stored()).status).toBe(status)
    }
    await refused(await patch({ status: 'lost' }), 400)
    await refused(await patch({ status: 'draft' }, 'gone'), 404)
  })

  test('go into the bin, come out of it, and are gone when it is emptied', async () => {
    const Id = z.strictObject({ id: z.literal('tree') })
    const Bin = z.strictObject({
      cards: z.array(
        z.strictObject({ id: z.string(), title: z.string(), deletedAt: z.iso.datetime() })
      ),
    })
    await made()
    await ok(await DELETE(at(), id()), Id)
    await refused(await GET(at(), id()), 404)
    await refused(await DELETE(at(), id()), 404)
    expect((await ok(await listBin(), Bin)).cards).toMatchObject([{ id: 'tree', title: 'Tree' }])
    await ok(await unbin(at(), id()), Id)
    await refused(await unbin(at(), id()), 404)
    expect((await stored()).card.id).toBe('tree')
    await DELETE(at(), id())
    expect(await ok(await emptyBin(), z.strictObject({ gone: z.int() }))).toEqual({ gone: 1 })
    await refused(await unbin(at(), id()), 404)
  })

  test('tell their versions and bring one back as a new one', async () => {
    await made({ author: 'Ada' })
    const { card } = await stored()
    await PUT(saying({ card: { ...card, notes: 'two' }, from: 1, author: 'Ben' }, 'PUT'), id())
    const Versions = z.strictObject({ versions: z.array(z.looseObject({ version: z.int() })) })
    expect((await ok(await versions(at(), id()), Versions)).versions).toHaveLength(2)
    const one = { id: 'tree', version: '1' }
    const First = z.strictObject({ card: Card })
    expect((await ok(await version(at(), of(one)), First)).card.notes).toBe('')
    const Back = z.strictObject({ version: z.literal(3) })
    await ok(await bringBack(saying({ author: 'Ada' }), of(one)), Back)
    expect((await stored()).card.notes).toBe('')
    for (const odd of ['9', '0', '-1', '1.5', 'x', '1e3', '99999999999'])
      await refused(await version(at(), of({ id: 'tree', version: odd })), 404)
  })

  test('go out as a file of each kind, named after them', async () => {
    await made()
    const text = await file(at(), id())
    expect(text.headers.get('content-type')).toBe('text/markdown; charset=utf-8')
    expect(text.headers.get('content-disposition')).toBe('attachment; filename="tree.md"')
    expect(await text.text()).toMatch(/^id: tree$/m)
    const json = await file(at('/?as=json'), id())
    expect(json.headers.get('content-type')).toBe('application/json; charset=utf-8')
    expect(JSON.parse(await json.text())).toMatchObject({ id: 'tree' })
    await refused(await file(at(), id('gone')), 404)
  })

  test('have no figure until one is drawn, and no third side', async () => {
    await made()
    await refused(await figure(at(), id()), 404)
    await refused(await figure(at('/?side=up'), id()), 400)
    await refused(await figure(at('/?as=bvh'), id()), 404)
  })

  test('tell who else has them open', async () => {
    await made()
    const here = (body: object) => presence(saying(body), id())
    const Others = z.strictObject({ others: z.array(z.string()) })
    await ok(await here({ tab: 'one', who: 'Ada' }), Others)
    expect(await ok(await here({ tab: 'two', who: 'Ben' }), Others)).toEqual({ others: ['Ada'] })
    await ok(await here({ tab: 'one', gone: true }), Others)
    expect(await ok(await here({ tab: 'two', who: 'Ben' }), Others)).toEqual({ others: [] })
    await refused(await here({ tab: '' }), 400)
  })
})

describe('the deck', () => {
  test('shelf: each card, and once more only when something changed', async () => {
    await made()
    const first = await shelf(at())
    const etag = first.headers.get('etag')!
    expect((await ok(first, Shelf)).cards).toHaveLength(1)
    const again = (tag: string) => shelf(new Request(ORIGIN, { headers: { 'if-none-match': tag } }))
    expect((await again(etag)).status).toBe(304)
    await made()
    expect((await again(etag)).status).toBe(200)
  })

  test.each(SECTIONS.map(({ id: section }) => section))(
    'shelf: “%s” is unwritten until it is written',
    async (section) => {
      await made()
      const { card } = await stored()
      const unwritten = async () => (await ok(await shelf(at()), Shelf)).cards[0]!.unwritten
      expect(await unwritten()).toContain(section)
      const full = { ...card, ...WRITTEN[section] }
      const answer = await PUT(saying({ card: full, from: 1 }, 'PUT'), id())
      expect([answer.status, await answer.text()]).toEqual([200, expect.any(String)])
      // That one, and no other.
      expect(await unwritten()).toEqual(
        SECTIONS.map((each) => each.id).filter((each) => each !== section)
      )
    }
  )

  test('whole, with the school’s rules', async () => {
    await made()
    const Deck = z.strictObject({
      school: School,
      cards: z.array(Stored.pick({ card: true, version: true, status: true })),
    })
    expect((await ok(await deck(), Deck)).cards).toHaveLength(1)
  })

  test('search: ids, and none for nothing', async () => {
    await made()
    const Ids = z.strictObject({ ids: z.array(z.string()) })
    expect(await ok(await search(at('/?q=tre')), Ids)).toEqual({ ids: ['tree'] })
    expect((await ok(await search(at('/?q=%00%27;drop')), Ids)).ids).toEqual([])
    await ok(await search(at('/')), Ids)
  })

  test('out as each form; another form is told', async () => {
    await made()
    for (const [as, type] of [
      ['md', 'application/zip'],
      ['json', 'application/zip'],
      ['cues', 'text/csv; charset=utf-8'],
      ['mistakes', 'text/csv; charset=utf-8'],
      ['cautions', 'text/csv; charset=utf-8'],
    ]) {
      const answer = await exported(at(`/?as=${as}`))
      expect([as, answer.status, answer.headers.get('content-type')]).toEqual([as, 200, type])
      expect(answer.headers.get('content-disposition')).toMatch(/^attachment; filename="notula-/)
    }
    expect((await refused(await exported(at('/?as=xls')), 400)).detail).toContain('cautions')
  })

  test('in: first what would happen, then line by line what did', async () => {
    const send = (name: string, text: string, query = '') => {
      const form = new FormData()
      form.append('file', new File([text], name))
      return taken(new Request(`${ORIGIN}/${query}`, { method: 'POST', body: form }))
    }
    await made()
    const text = await (await file(at(), id())).text()
    const Items = z.strictObject({ items: z.array(z.looseObject({ id: z.string().nullable() })) })
    await ok(await send('tree.md', text, '?preview=1'), Items)
    const done = await send('other.md', text.replace(/^id: tree$/m, 'id: other'))
    expect(done.headers.get('content-type')).toBe('application/x-ndjson; charset=utf-8')
    const lines = (await done.text()).trim().split('\n')
    expect(JSON.parse(lines.at(-1)!)).toMatchObject({ finished: true })
    await refused(await taken(saying({ not: 'files' })), 400)
    for (const query of ['', '?preview=1'])
      await refused(await send('broken.zip', 'PK no archive', query), 400)
  })

  test('mended: all cards or none', async () => {
    await made()
    await made()
    const [one, two] = [await stored(), await stored('tree-2')]
    const noted = ({ card, version: from }: typeof one) => ({
      card: { ...card, notes: 'mended' },
      from,
    })
    const Saved = z.strictObject({ saved: z.int() })
    const stale = { ...noted(two), from: 7 }
    const told = await refused(await mend(saying({ cards: [noted(one), stale] })), 409)
    expect(told.stale).toEqual(['tree-2'])
    expect((await stored()).version).toBe(1)
    const both = await mend(saying({ cards: [noted(one), noted(two)] }))
    expect(await ok(both, Saved)).toEqual({ saved: 2 })
    await refused(await mend(saying({ cards: 'all' })), 400)
  })
})

describe('a card that is stored and cannot be read', () => {
  beforeEach(async () => {
    await made()
    await made()
    await db()('card_versions').insert({
      card_id: 'tree',
      version: 2,
      format: 2,
      body: JSON.stringify({ id: 'tree', base: 'flying' }),
      author: '',
      note: '',
    })
    await db()('cards').where({ id: 'tree' }).update({ current_version: 2 })
  })

  test('says so itself', async () => {
    for (const answer of [
      await GET(at(), id()),
      await file(at(), id()),
      await figure(at(), id()),
      await pdf(at(), id()),
    ])
      expect((await refused(answer, 422)).title).toBe('This card cannot be read')
  })

  test('and the rest of the deck goes on', async () => {
    const told = await (await deck()).json()
    expect(told.cards.map((each: { card: { id: string } }) => each.card.id)).toEqual(['tree-2'])
    expect(told.unreadable).toEqual(['tree'])
    expect((await ok(await shelf(at()), Shelf)).cards).toHaveLength(2)
    for (const as of ['md', 'json', 'cues'])
      expect((await exported(at(`/?as=${as}`))).status).toBe(200)
    expect((await stored('tree-2')).version).toBe(1)
  })

  test('and a good file of it is taken in its place', async () => {
    const text = writeMarkdown((await stored('tree-2')).card).replace(/^id: tree-2$/m, 'id: tree')
    const form = new FormData()
    form.append('file', new File([text], 'tree.md'))
    const answer = await taken(new Request(ORIGIN, { method: 'POST', body: form }))
    const last = (await answer.text()).trim().split('\n').at(-1)!
    expect(JSON.parse(last)).toMatchObject({ finished: true, changed: 1 })
    expect((await stored()).version).toBe(3)
  })

  test('and an earlier version of it is brought back', async () => {
    const Back = z.strictObject({ version: z.literal(3) })
    await ok(await bringBack(saying({}), of({ id: 'tree', version: '1' })), Back)
    expect((await stored()).version).toBe(3)
  })
})

test('the school’s rules are read, set, and not set over other ones', async () => {
  const Rules = z.strictObject({ school: School })
  const { school: before } = await ok(await school(), Rules)
  const after = { ...before, speechRate: before.speechRate === 120 ? 125 : 120 }
  const put = (body: object) => saveSchool(saying(body, 'PUT'))
  expect((await ok(await put({ school: after, from: before }), Rules)).school).toEqual(after)
  const late = await refused(await put({ school: before, from: before }), 409)
  expect(late.current).toEqual(after)
  await refused(await put({ school: { ...after, speechRate: 1 }, from: after }), 400)
  await ok(await put({ school: before, from: after }), Rules)
})

test('each set of the school’s rules stays as a version, and none of them can be changed', async () => {
  const Rules = z.strictObject({ school: School })
  const Versions = z.strictObject({
    versions: z.array(
      z.strictObject({
        version: z.int(),
        school: School,
        author: z.string(),
        note: z.string(),
        savedAt: z.iso.datetime(),
      })
    ),
  })
  const { school: before } = await ok(await school(), Rules)
  const [rule] = DEFAULT_POLICY
  const after = { ...before, policy: policyFrom(DEFAULT_POLICY.slice(1)) }
  const put = (body: object) => saveSchool(saying(body, 'PUT'))
  await ok(await put({ school: after, from: before, author: 'Ada', note: 'policy' }), Rules)
  const { versions: all } = await ok(await schoolVersions(), Versions)
  expect(all[0]).toMatchObject({ author: 'Ada', note: 'policy', school: after })
  expect(all[0]!.school.policy.without).toEqual([rule!.id])
  await ok(await put({ school: before, from: after }), Rules)
  expect((await ok(await schoolVersions(), Versions)).versions.length).toBe(all.length + 1)
  await expect(db()('school_versions').update({ note: 'x' })).rejects.toThrow('append-only')
  await expect(db()('school_versions').delete()).rejects.toThrow('append-only')
  const odd = { ...before, policy: { rules: [{ ...rule, least: -1 }], without: [] } }
  await refused(await put({ school: odd, from: before }), 400)
  const fine = { ...before, policy: { rules: [{ ...rule, verdict: 'fine' }], without: [] } }
  await refused(await put({ school: fine, from: before }), 400)
})

test('a room is kept as counts, with no names, and is gone after its day', async () => {
  const Rooms = z.strictObject({
    rooms: z.array(z.strictObject({ id: z.uuid(), room: Room, until: z.iso.date() })),
  })
  const day = (days: number) => new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10)
  const room = { people: 9, counts: { wrist: 2 }, cards: ['tree'] }
  const keep = (body: object) => keepRoom(saying(body))
  expect((await ok(await rooms(), Rooms)).rooms).toEqual([])
  const made = await ok(await keep({ room, until: day(3) }), z.strictObject({ id: z.uuid() }), 201)
  expect((await ok(await rooms(), Rooms)).rooms).toEqual([{ id: made.id, room, until: day(3) }])
  // Nothing that could name anybody is taken.
  await refused(await keep({ room: { ...room, names: ['Ada'] }, until: day(3) }), 400)
  await refused(await keep({ room: { ...room, counts: { wrist: 'Ada' } }, until: day(3) }), 400)
  await refused(await keep({ room, until: day(400) }), 400)
  await refused(await keep({ room, until: day(-9) }), 400)
  await refused(await keep({ room, until: 'soon' }), 400)
  await refused(await keep({ room }), 400)
  await db()('room_checks').update({ until: day(-2) })
  expect((await ok(await rooms(), Rooms)).rooms).toEqual([])
  expect(await db()('room_checks').first()).toBeUndefined()
  const again = await ok(await keep({ room, until: day(0) }), z.strictObject({ id: z.uuid() }), 201)
  await ok(await forgetRoom(at(), of({ id: again.id })), z.strictObject({ id: z.uuid() }))
  await refused(await forgetRoom(at(), of({ id: again.id })), 404)
  await refused(await forgetRoom(at(), of({ id: 'x' })), 404)
})

test('the verdicts of the deck go out as a table and a sheet, and a table comes back as a plan', async () => {
  await create(saying({ ...NEW, name: 'Gate of the table' }))
  const table = await verdicts()
  expect(table.headers.get('content-type')).toBe('text/csv; charset=utf-8')
  const text = await table.text()
  expect(text).toMatch(/^card,title,rung,form,condition,verdict,usual,say,reason\r\n/)
  const sheet = await wall()
  expect(
    Buffer.from(await sheet.arrayBuffer())
      .subarray(0, 5)
      .toString()
  ).toBe('%PDF-')
  const Plan = z.strictObject({
    changed: z.array(
      z.strictObject({ card: Card, title: z.string(), lines: z.array(z.string()), from: z.int() })
    ),
    same: z.int(),
    problems: z.array(z.strictObject({ line: z.int(), message: z.string() })),
  })
  expect(await ok(await planVerdicts(saying({ text })), Plan)).toMatchObject({ changed: [] })
  await refused(await planVerdicts(saying({ text: 'hello' })), 400)
  await refused(await planVerdicts(saying({})), 400)
})

test('health says so, and nothing else', async () => {
  await ok(await health(), z.strictObject({ ok: z.literal(true) }))
})
