/** What a device keeps is closed by the passphrase, and by nothing else. */
import 'fake-indexeddb/auto'
import Dexie from 'dexie'
import { describe, expect, it, vi } from 'vitest'
import { Vault, type Sealed } from './vault.svelte'

// Stretching a passphrase takes its time, on purpose: here it is asked for in full and done a hundredth of it.
vi.setConfig({ testTimeout: 60_000 })
const stretch = crypto.subtle.deriveKey.bind(crypto.subtle)
vi.spyOn(crypto.subtle, 'deriveKey').mockImplementation((how, ...rest) => {
  const by = how as Pbkdf2Params
  if (by.name !== 'PBKDF2') return stretch(how, ...rest)
  expect(by.iterations).toBeGreaterThanOrEqual(600_000)
  return stretch({ ...by, iterations: by.iterations / 100 }, ...rest)
})
const held = new Map<string, unknown>()
vi.mock('./worker', () => ({
  askWorker: async (what: string) => held.get(what) ?? null,
  tellWorker: (what: string, it: unknown) => (what === 'hold' ? held.set('key', it) : held.clear())
}))
vi.stubGlobal('localStorage', {
  items: new Map<string, string>(),
  getItem: () => null,
  setItem: () => undefined
})

let n = 0
const doors = () => `doors ${(n += 1)}`
const passkey = (name: string, fill: number) => ({ passkey: name, secret: new Uint8Array(32).fill(fill) })
const WORDS = 'kettle harbour willow-9 plinth'

async function closedBy(name: string): Promise<Vault> {
  const vault = new Vault(name)
  await vault.heard(true)
  await vault.close('a', 'Ada', WORDS)
  return vault
}
/** The browser was closed: what only it remembered is gone. */
async function started(name: string): Promise<Vault> {
  held.clear()
  const vault = new Vault(name)
  await vault.heard(true)
  return vault
}

describe('the vault', () => {
  it('closes nothing where nobody signs in', async () => {
    const vault = new Vault(doors())
    await vault.heard(false)
    expect(await vault.seal({ name: 'Ada' })).toBe('{"name":"Ada"}')
  })

  it('keeps nothing that can be read, and no passphrase', async () => {
    const name = doors()
    const vault = await closedBy(name)
    const sealed = (await vault.seal({ name: 'Greta' })) as Sealed
    expect(new TextDecoder().decode(sealed.closed)).not.toContain('Greta')
    const kept = await new Dexie(name).open().then((book) => book.table('keys').toArray())
    expect(JSON.stringify(kept)).not.toContain('kettle')
    expect(kept[0].doors[0].wrapped.byteLength).toBe(48)
    expect(await vault.unseal(sealed)).toEqual({ name: 'Greta' })
  })

  it('opens by the passphrase after the browser was closed, and by no other', async () => {
    const name = doors()
    const sealed = await (await closedBy(name)).seal('kept')
    const again = await started(name)
    expect(again.state).toBe('closed')
    expect(again.name).toBe('Ada')
    expect(await again.open('another passphrase altogether')).toBe(false)
    expect(again.state).toBe('closed')
    expect(await again.open(WORDS)).toBe(true)
    expect(await again.unseal(sealed)).toBe('kept')
  })

  it('stays open while the browser does, however often the page is loaded', async () => {
    const name = doors()
    const sealed = await (await closedBy(name)).seal('kept')
    const reloaded = new Vault(name)
    await reloaded.heard(true)
    expect(reloaded.state).toBe('open')
    expect(await reloaded.unseal(sealed)).toBe('kept')
  })

  it('opens by a new passphrase what was closed by the old one', async () => {
    const name = doors()
    const vault = await closedBy(name)
    const sealed = await vault.seal('kept')
    await vault.close('a', 'Ada', 'another passphrase altogether')
    const again = await started(name)
    expect(await again.open(WORDS)).toBe(false)
    expect(await again.open('another passphrase altogether')).toBe(true)
    expect(await again.unseal(sealed)).toBe('kept')
  })

  it('lets whoever is signed in go on without it: what is written meanwhile needs the passphrase to be read', async () => {
    const name = doors()
    const before = await (await closedBy(name)).seal('before')
    const again = await started(name)
    expect(await again.goOn()).toBe(true)
    const written = (await again.seal('written')) as Sealed
    expect(await again.unseal(written)).toBe('written')
    expect(await again.unseal(before)).toBeUndefined()
    expect(held.size).toBe(0)
    const later = await started(name)
    expect(await later.goOn()).toBe(true)
    expect(await later.unseal(written)).toBeUndefined()
    const opened = await started(name)
    await opened.open(WORDS)
    expect(await opened.unseal(written)).toBe('written')
    expect(await opened.unseal(before)).toBe('before')
  })

  it('keeps who waits for it waiting until somebody signs in, whoever was there before', async () => {
    const vault = await started(doors())
    const waiting = vault.seal('heard before anybody was known')
    await vault.destroy()
    await vault.close('a', 'Ada', WORDS)
    expect(await vault.unseal(await waiting)).toBe('heard before anybody was known')
  })

  it('opens by a passkey that was let, beside the passphrase and after it has changed, and by no other', async () => {
    const name = doors()
    const vault = await closedBy(name)
    const sealed = await vault.seal('kept')
    await vault.letOpen(passkey('mine', 1))
    await vault.close('a', 'Ada', 'another passphrase altogether')
    for (const by of [passkey('mine', 1), 'another passphrase altogether']) {
      const again = await started(name)
      expect(again.passkeys).toEqual(['mine'])
      expect(await again.open(WORDS)).toBe(false)
      expect(await again.open(passkey('mine', 2))).toBe(false)
      expect(await again.open(passkey('other', 1))).toBe(false)
      expect(await again.open(by)).toBe(true)
      expect(await again.unseal(sealed)).toBe('kept')
    }
  })

  it('is closed by a passkey alone where somebody came in by it, and keeps what it was closed by last', async () => {
    const name = doors()
    const vault = await started(name)
    await vault.close('a', 'Ada', passkey('mine', 1))
    const sealed = await vault.seal('kept')
    await vault.forget('mine')
    const again = await started(name)
    expect(await again.open(WORDS)).toBe(false)
    expect(await again.open(passkey('mine', 1))).toBe(true)
    await again.close('a', 'Ada', WORDS)
    await again.forget('mine')
    const later = await started(name)
    expect(later.passkeys).toEqual([])
    expect(await later.open(passkey('mine', 1))).toBe(false)
    expect(await later.open(WORDS)).toBe(true)
    expect(await later.unseal(sealed)).toBe('kept')
  })

  it('opens what was closed before there were passkeys', async () => {
    const [name, other] = [doors(), doors()]
    const sealed = await (await closedBy(name)).seal('kept')
    const [{ doors: ways, ...rest }] = await new Dexie(name).open().then((book) => book.table('keys').toArray())
    const before = new Dexie(other)
    before.version(1).stores({ keys: 'id' })
    const { salt, iv, wrapped } = ways[0]
    await before.table('keys').put({ ...rest, salt, iv, wrapped })
    before.close()
    const again = await started(other)
    expect(await again.open(WORDS)).toBe(true)
    expect(await again.unseal(sealed)).toBe('kept')
  })

  it('is lost for good once it is thrown away', async () => {
    const name = doors()
    const vault = await closedBy(name)
    const sealed = await vault.seal('kept')
    await vault.destroy()
    expect(vault.state).toBe('none')
    expect(held.size).toBe(0)
    await vault.close('a', 'Ada', WORDS)
    expect(await vault.unseal(sealed)).toBeUndefined()
  })
})
