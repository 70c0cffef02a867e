/** The outbox: nothing written is lost, doubled or overtaken, whatever the network does. */
import 'fake-indexeddb/auto'
import Dexie from 'dexie'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { vault } from '$lib/away/vault.svelte'
import { cache } from './cache'
import type { Draft } from './letter'
import { Outbox } from './outbox.svelte'

type Served = { path: string; body: unknown }
let served: Served[] = []
/** What the server says to a path: a status, nothing at all, or an answer that is waited for. */
let say: (path: string) => number | null | Promise<number>
let n = 0
let name = ''

const draft = (thing: string, path: string, more: Partial<Draft> = {}): Draft => ({
  thing,
  words: path,
  answers: null,
  renews: [],
  whole: false,
  now: false,
  reading: null,
  stands: null,
  method: 'PUT',
  path,
  body: { path },
  ...more
})
const until = (holds: () => unknown) => vi.waitFor(() => expect(holds()).toBeTruthy(), { timeout: 4000, interval: 10 })
const paths = () => served.map((it) => it.path)

beforeEach(() => {
  void vault.heard(false)
  served = []
  say = () => 200
  name = `test ${(n += 1)}`
  vi.stubGlobal('fetch', async (path: string, init: { body?: string }) => {
    const status = await say(path)
    if (status === null) throw new TypeError('no network')
    served.push({ path, body: init.body ? JSON.parse(init.body) : null })
    const said = status < 300 ? { path } : { title: 'Not possible', detail: `no ${path}`, errors: [] }
    return new Response(JSON.stringify(said), { status })
  })
})
afterEach(() => {
  vi.unstubAllGlobals()
  cache.clear()
})

describe('the outbox', () => {
  it('gives the answer, and holds it where views read it', async () => {
    const box = new Outbox(name)
    await expect(box.post(draft('a', '/1', { answers: ['held'] }))).resolves.toEqual({ path: '/1' })
    expect(cache.getQueryData(['held'])).toEqual({ path: '/1' })
    expect(box.letters).toEqual([])
  })

  it('keeps the order of one thing, and lets other things pass', async () => {
    const box = new Outbox(name)
    let go: (status: number) => void = () => undefined
    say = (path) => (path === '/a1' ? new Promise((resolve) => (go = resolve)) : 200)
    void box.post(draft('a', '/a1'))
    const last = box.post(draft('a', '/a2'))
    await box.post(draft('b', '/b1'))
    expect(paths()).toEqual(['/b1'])
    go(200)
    await last
    expect(paths()).toEqual(['/b1', '/a1', '/a2'])
  })

  it('sends again what got no answer, in the order it was made', async () => {
    const box = new Outbox(name)
    say = () => null
    const both = Promise.all([box.post(draft('a', '/1')), box.post(draft('a', '/2'))])
    await until(() => !box.reached)
    expect(box.waiting.length).toBe(2)
    say = () => 200
    await both
    expect(paths()).toEqual(['/1', '/2'])
    expect(box.reached).toBe(true)
  })

  it('remembers what waits across a closed page', async () => {
    const closed = new Outbox(name)
    say = () => null
    void closed.post(draft('a', '/1'))
    void closed.post(draft('a', '/2'))
    await until(() => closed.keeping === 0 && !closed.reached)
    closed.letters = []
    say = () => 200
    const opened = new Outbox(name)
    await until(() => served.length === 2 && !opened.letters.length)
    expect(paths()).toEqual(['/1', '/2'])
    expect(await new Outbox(name).letters).toEqual([])
  })

  it('says of what is closed only what the server has not', async () => {
    const sealed = { iv: new Uint8Array(12), closed: new ArrayBuffer(8) }
    const book = new Dexie(name)
    book.version(3).stores({ letters: 'id' })
    await book.table('letters').bulkPut([
      { id: '1', told: sealed, taken: true },
      { id: '2', told: sealed, taken: false }
    ])
    book.close()
    const box = new Outbox(name)
    await until(() => box.closed === 1)
  })

  it('waits for a sign-in where the server does not know who writes', async () => {
    const box = new Outbox(name)
    say = () => 401
    const written = box.post(draft('a', '/1'))
    await until(() => box.stranger)
    expect(box.refused).toEqual([])
    say = () => 200
    await written
    expect(box.stranger).toBe(false)
  })

  it('tells a refusal to the view that stands, and keeps it in view where that has gone', async () => {
    const box = new Outbox(name)
    say = () => 422
    await expect(box.post(draft('a', '/1'), () => true)).rejects.toThrow('no /1')
    expect(box.letters).toEqual([])
    await expect(box.post(draft('a', '/2'), () => false)).rejects.toThrow('no /2')
    expect(box.refused.map((it) => it.refused?.detail)).toEqual(['no /2'])
    const opened = new Outbox(name)
    await until(() => opened.refused.length === 1)
    await opened.dismiss(opened.refused[0]!.id)
    expect(opened.letters).toEqual([])
  })

  it('goes on past a refusal', async () => {
    const box = new Outbox(name)
    say = (path) => (path === '/1' ? 409 : 200)
    void box.post(draft('a', '/1'))
    await box.post(draft('a', '/2'))
    expect(box.waiting).toEqual([])
  })

  it('sends of what says the whole only the newest that waits', async () => {
    const box = new Outbox(name)
    let go: (status: number) => void = () => undefined
    say = (path) => (path === '/set' && !served.length ? new Promise((resolve) => (go = resolve)) : 200)
    const set = (to: number) => box.post(draft('a', '/set', { whole: true, body: { to } }))
    const all = Promise.all([set(1), set(2), set(3)])
    expect(box.of('a').map((it) => it.body)).toEqual([{ to: 1 }, { to: 3 }])
    go(200)
    await all
    expect(served.map((it) => it.body)).toEqual([{ to: 1 }, { to: 3 }])
  })

  it('does not replace across another write of the thing', async () => {
    const box = new Outbox(name)
    say = () => null
    void box.post(draft('a', '/first'))
    void box.post(draft('a', '/set', { whole: true }))
    void box.post(draft('a', '/void'))
    void box.post(draft('a', '/set', { whole: true }))
    expect(box.of('a').map((it) => it.path)).toEqual(['/first', '/set', '/void', '/set'])
    say = () => 200
    await until(() => !box.waiting.length)
  })

  it('sends what waited for a network one after another, in the order it was made', async () => {
    const box = new Outbox(name)
    say = () => null
    const made = ['lesson', 'cautions', 'series', 'lesson']
    const all = made.map((thing, n) => box.post(draft(thing, `/${n}`)))
    await until(() => !box.reached)
    let under = 0
    say = async () => {
      // Nothing else is on its way meanwhile.
      expect((under += 1)).toBe(1)
      await new Promise((later) => setTimeout(later, 15))
      under -= 1
      return 200
    }
    // What is made meanwhile comes last.
    all.push(box.post(draft('later', '/4')))
    await Promise.all(all)
    expect(paths()).toEqual(['/0', '/1', '/2', '/3', '/4'])
  })

  it('sends what waited past something the server stumbles over, but not what is about that', async () => {
    const box = new Outbox(name)
    say = () => null
    const stands = { blank: { address: '/blank' }, marks: {}, of: 'abc' }
    void box.post(draft('golfer', '/golfers/abc', { stands }))
    void box.post(draft('lesson', '/lessons/1', { body: { golfer_id: 'abc' } }))
    const other = box.post(draft('other', '/other'))
    await until(() => !box.reached)
    say = (path) => (path.startsWith('/golfers') ? 500 : 200)
    await other
    expect(box.waiting.map((it) => it.path)).toEqual(['/golfers/abc', '/lessons/1'])
    say = () => 200
    await until(() => !box.waiting.length)
    expect(paths().slice(-2)).toEqual(['/golfers/abc', '/lessons/1'])
  })

  it('gives up what counts at this moment alone', async () => {
    const box = new Outbox(name)
    say = () => null
    await expect(box.post(draft('a', '/zero', { now: true }))).rejects.toThrow('does not answer')
    expect(box.letters).toEqual([])
    say = () => 200
    const opened = new Outbox(name)
    await opened.post(draft('a', '/1'))
    expect(paths()).toEqual(['/1'])
  })

  it('holds up one thing alone where the server stumbles over it', async () => {
    const box = new Outbox(name)
    say = (path) => (path === '/bad' ? 500 : 200)
    void box.post(draft('a', '/bad'))
    await until(() => served.length)
    await box.post(draft('b', '/good'))
    expect(box.waiting.map((it) => it.path)).toEqual(['/bad'])
    expect(box.reached).toBe(true)
  })

  it('lays a reading over its block until the view has asked again', async () => {
    const box = new Outbox(name)
    await box.post(draft('block', '/1', { reading: { block: 'block', id: 'r', shown: null } }))
    expect(box.over('block').map((it) => it.path)).toEqual(['/1'])
    box.forget(box.confirmed)
    expect(box.over('block')).toEqual([])
  })

  it('still sends from a device that forbids storage', async () => {
    const indexed = Dexie.dependencies.indexedDB
    Dexie.dependencies.indexedDB = undefined as unknown as IDBFactory
    try {
      await expect(new Outbox(name).post(draft('a', '/1'))).resolves.toEqual({ path: '/1' })
    } finally {
      Dexie.dependencies.indexedDB = indexed
    }
  })

  it('sends what an older version of itself had kept', async () => {
    const old = new Dexie(name)
    old.version(1).stores({ letters: 'id' })
    await old
      .table('letters')
      .add({ id: '1', method: 'PUT', path: '/old', body: {}, blockId: 'b', about: 'r', shown: null, refused: null })
    old.close()
    const box = new Outbox(name)
    await until(() => box.confirmed.length)
    expect(paths()).toEqual(['/old'])
    expect(box.confirmed[0]).toMatchObject({ thing: 'b', reading: { block: 'b', id: 'r' } })
  })
})
