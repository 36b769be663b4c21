import { spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { run } from '../../src/cli/run'
import { demoText } from '../support/cards'

/** The command as it is started by hand. */
const started = (args: string[], input = '') => {
  const { status, stdout, stderr } = spawnSync(process.execPath, ['bin/notula.mjs', ...args], {
    input,
    encoding: 'utf8',
  })
  return { code: status, out: stdout, err: stderr }
}

/** The same without a process of its own; with lines for its input it is started by hand. */
async function notula(args: string[], input?: string) {
  if (input !== undefined) return started(args, input)
  const told = { out: '', err: '' }
  const hear = (to: keyof typeof told) => (text: string | Uint8Array) => {
    told[to] += String(text)
    return true
  }
  const ears = [
    jest.spyOn(process.stdout, 'write').mockImplementation(hear('out')),
    jest.spyOn(process.stderr, 'write').mockImplementation(hear('err')),
  ]
  try {
    return { code: await run(args), ...told }
  } finally {
    for (const ear of ears) ear.mockRestore()
  }
}

let dir: string
beforeAll(() => {
  dir = mkdtempSync(path.join(tmpdir(), 'notula-cli-'))
})
afterAll(() => rmSync(dir, { recursive: true }))
const file = (name: string, text: string) => {
  const at = path.join(dir, name)
  writeFileSync(at, text)
  return at
}
const gate = demoText('gate')

jest.setTimeout(60_000)

test('mirror writes each line for the other side', async () => {
  expect(await notula(['mirror'], 'Left foot.\n\nTurn clockwise.\n')).toEqual({
    code: 0,
    out: 'Right foot.\n\nTurn counterclockwise.\n',
    err: '',
  })
  expect((await notula(['mirror', '--spelling', 'anticlockwise'], 'clockwise')).out).toBe(
    'anticlockwise\n'
  )
})

test('check tells what is to be mended, with 0 for good cards and 1 for a stop', async () => {
  expect(await notula(['check', 'demo/gate.md'])).toMatchObject({ code: 0, err: '' })
  const bad = file('bad.md', gate.replace('Cue: a3', 'Cue: a99'))
  const told = await notula(['check', bad])
  expect(told.code).toBe(1)
  expect(told.out).toMatch(/bad\.md:\d+: stop: There is no cue “a99”/)
  const json = await notula(['check', bad, '--json'])
  expect(JSON.parse(json.out)).toEqual([
    {
      rule: 'card/links-lead-somewhere',
      severity: 'stop',
      where: 'mistakes[2].cue',
      message: 'There is no cue “a99” on this card.',
    },
  ])
})

test('convert goes to JSON and back without a change', async () => {
  const json = await notula(['convert', 'demo/gate.md', '--to', 'json'])
  expect(json.code).toBe(0)
  expect((await notula(['convert', file('gate.json', json.out), '--to', 'md'])).out).toBe(gate)
})

test('a file that cannot be read ends with 2 and file:line: message', async () => {
  const broken = file('broken.md', gate.replace('base: kneeling', 'base: floating'))
  const told = await notula(['check', broken, path.join(dir, 'none.md')])
  expect(told.code).toBe(2)
  expect(told.err).toContain(
    `${broken}:${gate.split('\n').indexOf('base: kneeling') + 1}: “base” should be one of: standing`
  )
  expect(told.err).toContain('none.md:1: there is no such file')
  expect(await notula(['convert', broken, '--to', 'json'])).toMatchObject({ code: 2, out: '' })
})

test('a bad call ends with 2', async () => {
  expect(await notula(['convert', 'demo/gate.md', '--to', 'docx'])).toMatchObject({
    code: 2,
    out: '',
  })
  expect(await notula(['fly'])).toMatchObject({ code: 2 })
  expect(
    (await notula(['print', 'demo/gate.md', '--out', path.join(dir, 'no/such/dir.pdf')])).code
  ).toBe(2)
})

test('print writes a PDF of the wanted paper', () => {
  const pdf = path.join(dir, 'cards.pdf')
  expect(
    started(['print', 'demo/gate.md', 'demo/low-cobra.md', '--stock', 'A6', '--out', pdf])
  ).toMatchObject({ code: 0, err: '' })
  expect(readFileSync(pdf).subarray(0, 5).toString()).toBe('%PDF-')
})

test('time tells each side, between them and in all, in seconds', async () => {
  const time = async (...args: string[]) => JSON.parse((await notula(['time', ...args])).out)
  expect(await time('demo/gate.md')).toEqual({
    left: 90,
    right: 90,
    between: 20,
    total: 200,
    breaths: 20,
  })
  expect(await time('demo/cat-and-cow.md')).toMatchObject({ left: null, right: 76, between: 0 })
  expect((await time('demo/gate.md', '--rung', 'chair')).right).toBe(85)
  const none = await notula(['time', 'demo/gate.md', '--rung', 'none'])
  expect(none).toMatchObject({ code: 2, out: '' })
  expect(none.err).toContain('There is no rung “none” on this card')
})

test('figure draws a form, or tells it in numbers, for each side', async () => {
  const svg = await notula(['figure', 'demo/gate.md', '--side', 'left'])
  expect(svg).toMatchObject({ code: 0, err: '' })
  expect(svg.out).toMatch(/^<svg [\s\S]*<title id="title">Gate<\/title>[\s\S]*<\/svg>\n$/)

  const told = async (...args: string[]) =>
    JSON.parse((await notula(['figure', 'demo/gate.md', '--to', 'json', ...args])).out)
  const [right, left] = [await told('--side', 'right'), await told('--side', 'left')]
  expect(right.unmet).toEqual([])
  for (const { gap } of right.contacts) expect(gap).toBeLessThan(0.5)
  for (const [name, [x, y, z]] of Object.entries<number[]>(right.joints)) {
    const across = name.startsWith('left')
      ? name.replace('left', 'right')
      : name.replace('right', 'left')
    const [mx, my, mz] = left.joints[across]
    expect([x! + mx, y! - my, z! - mz].every((value) => Math.abs(value) < 1e-3)).toBe(true)
  }
  const shares = Object.values<number>(right.loadShare)
  expect(shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 2)
  expect(right.measures['right knee angle']).toEqual(left.measures['left knee angle'])
  expect((await told('--stature', '190')).joints.head[1] / right.joints.head[1]).toBeCloseTo(
    190 / 170,
    2
  )

  const rung = await notula([
    'figure',
    file('undrawn.md', gate.replace(/```json rung block\n.*\n```\n/, '')),
    '--rung',
    'block',
    '--to',
    'json',
  ])
  expect(rung.code).toBe(0)
  expect(rung.err).toContain('has no figure of its own')
  expect((await notula(['figure', 'demo/gate.md', '--rung', 'none'])).code).toBe(2)
  expect(await notula(['figure', 'demo/gate.md', '--stature', '20'])).toMatchObject({
    code: 2,
    out: '',
  })
  const bare = demoText('gate').replace(/\n## Figures[\s\S]*/, '\n')
  const far = `${bare}\n## Figures\n\n\`\`\`json start\n${JSON.stringify({
    contacts: [
      { part: 'left palm', on: 'floor', at: [0, 0] },
      { part: 'right palm', on: 'floor', at: [3, 0] },
    ],
  })}\n\`\`\`\n`
  const apart = await notula(['figure', file('far.md', far)])
  expect(apart.code).toBe(0)
  expect(apart.err).toMatch(/far\.md:1: The \w+ palm stays \d+\.\d cm away from the floor\./)
  const none = await notula(['figure', file('bare.md', bare)])
  expect(none).toMatchObject({ code: 2, out: '' })
  expect(none.err).toContain('no figure is drawn on this card')
})

test('BVH out with every drawn form as a frame, and one frame back in', async () => {
  const bvh = await notula(['figure', 'demo/gate.md', '--to', 'bvh'])
  expect(bvh.out).toContain('Frames: 5')
  const read = await notula(['pose', file('gate.bvh', bvh.out), '--frame', '2'])
  expect(read.code).toBe(0)
  expect(JSON.parse(read.out).angles.leftKnee.flexion).toBeGreaterThan(60)
  expect(await notula(['pose', file('odd.bvh', 'HIERARCHY\nROOT a\n(')])).toMatchObject({ code: 2 })
  expect((await notula(['pose', file('odd.bvh', 'HIERARCHY\nROOT a\n(')])).err).toMatch(
    /odd\.bvh:3: “{” is missing/
  )
})

test('read tells what lines ask for, which characters that is, and what was not understood', async () => {
  const lines = ['Step the left foot back.', 'Bend the right knee like a bow.', 'Frobnicate.']
  const { out, code } = await notula(['read', '--json'], `${lines.join('\n')}\n`)
  expect(code).toBe(0)
  const [step, bend, none] = JSON.parse(out)
  expect(step).toEqual({
    line: lines[0],
    instructions: [
      { action: 'step', part: 'foot', side: 'left', to: 'back', amount: null, from: 0, until: 23 },
    ],
    notUnderstood: [],
  })
  expect(
    bend.notUnderstood.map(([from, until]: [number, number]) => lines[1]!.slice(from, until))
  ).toEqual(['like a bow'])
  expect(none).toEqual({ line: 'Frobnicate.', instructions: [], notUnderstood: [[0, 10]] })
  expect((await notula(['read'], 'Lift both arms.\n')).out).toBe(
    'Lift both arms.\n  lift both arm → up\n'
  )
  expect(JSON.parse((await notula(['read', 'demo/gate.md', '--json'])).out).length).toBeGreaterThan(
    12
  )
  expect((await notula(['read', '--language', 'pt'], 'Plie.')).code).toBe(2)
})

test('read --place tells base, contacts and props of set-up lines', async () => {
  const { out } = await notula(
    ['read', '--place', '--json'],
    'Sit on a folded blanket, legs long.\nHm.\n'
  )
  expect(JSON.parse(out)).toEqual([
    {
      line: 'Sit on a folded blanket, legs long.',
      base: 'seated',
      contacts: [
        { part: 'sit bones', on: 'blanket' },
        { part: 'left heel', on: 'floor' },
        { part: 'right heel', on: 'floor' },
      ],
      props: ['blanket'],
    },
    { line: 'Hm.', base: null, contacts: [], props: [] },
  ])
})

test('figure --from words draws a form that is not kept, and says when it is not sure', async () => {
  const words = await notula([
    'figure',
    'demo/gate.md',
    '--of',
    'step s1',
    '--from',
    'words',
    '--to',
    'json',
  ])
  const { contacts } = JSON.parse(words.out)
  expect(contacts.map(({ part, on }: { part: string; on: string }) => `${part} on ${on}`)).toEqual([
    'left shin on floor',
    'right sole on floor',
  ])
  expect((await notula(['figure', 'demo/gate.md', '--of', 'step s1'])).code).toBe(2)
  const unsure = await notula([
    'figure',
    'demo/final-rest.md',
    '--of',
    'step s3',
    '--from',
    'words',
  ])
  expect(unsure.code).toBe(0)
  expect(unsure.err).toContain('not all understood')
})

test('ladder tells what each rung asks, their order, and for whom they are open', async () => {
  const told = await notula(['ladder', 'demo/tree.md', '--json'])
  expect(told).toMatchObject({ code: 0, err: '' })
  const { rungs, order, findings } = JSON.parse(told.out)
  expect(order).toEqual(['toes', 'wall', 'shin', 'thigh'])
  expect(findings).toEqual([])
  expect(Object.keys(rungs[0].demand)).toEqual([
    'range',
    'strength',
    'balance',
    'hands',
    'head',
    'time',
    'total',
  ])
  expect(rungs[0]).not.toHaveProperty('open')
  const body = file('body.json', '{"hip opening": 20, "weight on hands": false}')
  const opened = JSON.parse(
    (await notula(['ladder', 'demo/tree.md', '--json', '--body', body])).out
  )
  expect(opened.rungs.map(({ open }: { open: boolean }) => open)).toEqual([
    true,
    false,
    false,
    false,
  ])
  expect(opened.firstOpen).toBe('toes')
  expect(opened.rungs[1].missing[0]).toMatchObject({ need: 'hipOpening', can: 20 })
  const words = (await notula(['ladder', 'demo/tree.md', '--why', '--body', body])).out
  expect(words).toContain('4 Foot on the thigh')
  expect(words).toMatch(/balance: weight .* from tipping/)
  expect(words).toContain('hip opening')
})

test('ladder says what is wrong with a body, and that a form is not known', async () => {
  const wrong = file('wrong.json', '{"stature": 20}')
  expect(await notula(['ladder', 'demo/tree.md', '--body', wrong])).toMatchObject({
    code: 2,
    err: expect.stringContaining('wrong.json:1: stature: should not be less than 100 cm'),
  })
  expect((await notula(['ladder', 'demo/tree.md', '--body', file('half.json', '{"')])).code).toBe(2)
  expect(
    (await notula(['ladder', 'demo/tree.md', '--body', path.join(dir, 'none.json')])).code
  ).toBe(2)
  const bare = file('bare.md', gate.slice(0, gate.indexOf('## Figures')))
  expect((await notula(['ladder', bare])).out).toContain('not sure: the rung is not drawn')
})

test('check lays several files side by side: the same mistake in other words is told', async () => {
  const other = file(
    'other.md',
    gate
      .replace('id: gate', 'id: other-gate')
      .replace('The chest turns to the floor.', 'The chest turns far to the floor.')
  )
  const rules = async (...files: string[]) =>
    (
      JSON.parse((await notula(['check', ...files, '--json'])).out) as {
        rule: string
        file: string
      }[]
    )
      .filter(({ rule }) => rule === 'mistakes/one-wording')
      .map((finding) => path.basename(finding.file))
  expect(await rules('demo/gate.md', other)).toEqual(['other.md'])
  expect(await rules('demo/gate.md', 'demo/low-cobra.md')).toEqual([])
})

test('verdicts tells each rung for people with some conditions; conditions lists the names', async () => {
  const told = await notula([
    'verdicts',
    'demo/standing-fold.md',
    '--has',
    'Glaucoma, wrist pain',
    '--json',
  ])
  expect(told).toMatchObject({ code: 0, err: '' })
  const { conditions, open } = JSON.parse(told.out)
  expect(open).toBe('chair')
  expect(conditions.map(({ asked }: { asked: string }) => asked)).toEqual([
    'Glaucoma',
    'wrist pain',
  ])
  expect(conditions[0].rungs.at(-1)).toMatchObject({
    rung: 'long',
    verdict: 'avoid',
    reason: expect.stringMatching(/head below heart \d+ cm/),
  })
  expect(conditions[1].rungs[0]).toMatchObject({
    verdict: 'change',
    change: expect.stringContaining('fists'),
  })
  const words = (await notula(['verdicts', 'demo/low-cobra.md', '--has', 'late pregnancy'])).out
  expect(words).toContain('no rung is open')
  expect(words).toContain('clinician and local rules come first')
  expect(await notula(['verdicts', 'demo/gate.md', '--has', 'glaucomo'])).toMatchObject({
    code: 2,
    err: expect.stringContaining('the nearest are eye pressure (glaucoma)'),
  })
  expect(await notula(['verdicts', 'demo/gate.md', '--has', ' , '])).toMatchObject({ code: 2 })
  // The policy of a school, as its page gives it; what the card says itself is told as such.
  const policy = file(
    'school.json',
    JSON.stringify({
      school: {
        conditions: [{ id: 'jet-lag', group: 'our own', name: 'jet lag' }],
        policy: { rules: [], without: ['eye-pressure/head-below-heart-8'] },
      },
    })
  )
  const ours = ['--school', policy, '--json']
  const has = async (names: string, card = 'standing-fold') =>
    JSON.parse((await notula(['verdicts', `demo/${card}.md`, '--has', names, ...ours])).out)
  expect((await has('glaucoma')).conditions[0].rungs.at(-1)).toMatchObject({ verdict: 'ask-first' })
  expect((await has('jet lag')).open).toBeNull()
  expect((await has('glaucoma', 'legs-up-the-wall')).conditions[0].rungs[0]).toMatchObject({
    verdict: 'avoid',
    usual: 'fine',
    by: 'reason',
  })
  expect(
    await notula(['verdicts', 'demo/gate.md', '--has', 'reflux', '--school', 'demo/gate.md'])
  ).toMatchObject({ code: 2, err: expect.stringContaining('no valid JSON') })
  const list = await notula(['conditions'])
  expect(list.out).toContain('eye pressure (glaucoma): glaucoma')
  expect(JSON.parse((await notula(['conditions', '--json'])).out).length).toBeGreaterThanOrEqual(30)
})

test('call writes what is said in its time, for a side and a rung', async () => {
  const told = await notula(['call', 'demo/tree.md', '--side', 'left', '--rung', 'thigh'])
  expect(told).toMatchObject({ code: 0, err: '' })
  expect(told.out.split('\n')[0]).toBe('  0:00  in        Shift the weight onto the right foot.')
  expect(told.out).toContain('Set the left foot on the right thigh.')
  const vtt = (await notula(['call', 'demo/gate.md', '--to', 'vtt'])).out
  expect(vtt).toMatch(/^WEBVTT\n\n00:00:00\.000 --> 00:00:05\.000\nStep the right leg out/)
  const both = JSON.parse((await notula(['call', 'demo/gate.md', '--to', 'json'])).out)
  expect(new Set(both.map(({ side }: { side: string }) => side))).toEqual(
    new Set(['right', 'left', null])
  )
  expect((await notula(['call', 'demo/gate.md', '--rung', 'none'])).code).toBe(2)
  expect((await notula(['call', 'demo/gate.md', '--side', 'up'])).code).toBe(2)
})
