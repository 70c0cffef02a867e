/** Without a network what was answered last stands, and never in place of something newer on the page. */
import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { asking, heldOf, holdFor } from './asking'
import { kept } from './kept'
import { net } from './net.svelte'
import { vault } from './vault.svelte'

let away = false
let status = 200
let n = 0
beforeEach(async () => {
  away = false
  status = 200
  await vault.heard(false)
  await kept.clear()
  vi.stubGlobal('fetch', async (request: Request) => {
    if (away) throw new TypeError('no network')
    const said = JSON.stringify({ of: new URL(request.url).pathname, n: (n += 1) })
    return new Response(said, { status, headers: { 'content-type': 'application/json' } })
  })
})
const get = (path: string, shown = true) => asking(new Request(`http://here${path}`), shown)
const post = (path: string, body: unknown) =>
  asking(new Request(`http://here${path}`, { method: 'POST', body: JSON.stringify(body) }))
/** Keeping is nobody's to wait for. */
const once = (address: string) => vi.waitFor(async () => expect(await heldOf({ address })).toBeTruthy())

describe('asking', () => {
  it('gives without a network what was fetched before, however it is put', async () => {
    await get('/api/taken?hand=left&units=metric', false)
    await once('/api/taken?hand=left&units=metric')
    away = true
    const answer = await get('/api/taken?q=&units=metric&hand=left')
    expect(await answer.json()).toMatchObject({ of: '/api/taken' })
    expect(net.gone).toBe(true)
    expect(net.asOf).toBeInstanceOf(Date)
  })

  it('keeps nothing on a device where nobody came in, not even for later', async () => {
    const { Vault } = await import('./vault.svelte')
    const nobody = new Vault('nobody came in')
    await nobody.heard(true)
    expect([nobody.state, nobody.keeps]).toEqual(['none', false])
    const keeps = vi.spyOn(vault, 'keeps', 'get').mockReturnValue(false)
    await get('/api/wall')
    keeps.mockRestore()
    await get('/api/after')
    await once('/api/after')
    expect(await heldOf({ address: '/api/wall' })).toBeFalsy()
  })

  it('says that nobody answers where nothing is kept', async () => {
    away = true
    await expect(get('/api/never-asked')).rejects.toThrow('no network')
  })

  it('never puts what is kept in place of what the page holds', async () => {
    await get('/api/shown')
    await once('/api/shown')
    away = true
    await expect(get('/api/shown')).rejects.toThrow('no network')
  })

  it('shows what was begun without a network in place of what the page holds', async () => {
    await get('/api/list')
    away = true
    await holdFor({ address: '/api/list' }, { of: 'begun here' })
    expect(await (await get('/api/list')).json()).toEqual({ of: 'begun here' })
  })

  it('takes a server that has gone from behind its front for no network', async () => {
    await get('/api/front', false)
    await once('/api/front')
    status = 502
    expect((await get('/api/front')).status).toBe(200)
  })

  it('knows again that there is a network', async () => {
    away = true
    await get('/api/gone').catch(() => undefined)
    expect(net.gone).toBe(true)
    away = false
    await get('/api/gone')
    expect(net.gone).toBe(false)
  })

  it('draws the same plan of another lesson', async () => {
    const plan = { distance_m: 2.5, aids: [], hand: 'right' }
    await post('/api/stations/preview?units=metric', { ...plan, lesson_id: 'one', level: 'club' })
    await vi.waitFor(async () =>
      expect(await heldOf({ address: '/api/stations/preview?units=metric', body: plan })).toBeTruthy()
    )
    away = true
    const drawn = post('/api/stations/preview?units=metric', { ...plan, lesson_id: 'two', level: 'tour', read: null })
    expect((await drawn).status).toBe(200)
    await expect(post('/api/stations/preview?units=metric', { ...plan, distance_m: 3 })).rejects.toThrow()
  })

  it('keeps nothing of ways in', async () => {
    await get('/api/accounts')
    await get('/api/session/secret')
    expect(await kept.count()).toBe(0)
  })
})
