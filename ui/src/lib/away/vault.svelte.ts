/**
 * What this device keeps is closed by a key of its own, and that key by the passphrase or a passkey of whoever signed in.
 *
 * The key is made at the first sign-in here, wrapped by the passphrase (PBKDF2), by what a passkey tells (HKDF), or by
 * either, and kept so. Open it stands in the memory of
 * the page and of the service worker alone: a page that is loaded again asks the worker for it, a browser that was closed
 * has forgotten it and the passphrase is asked. Where there is no worker to hold it, whoever is signed in still goes on:
 * what is written is closed by a public key, and needs the passphrase only to be read again. Where nobody signs in,
 * nothing is closed.
 */
import Dexie, { type EntityTable } from 'dexie'
import { keep as remember, kept as remembered } from '$lib/base/settings.svelte'
import { askWorker, tellWorker } from './worker'

/** The key as it is kept. */
interface Wrapped {
  id: 'key'
  /** Whose it is. */
  account: string
  name: string
  doors: Door[]
  /** Closes without the key what the key opens. */
  outside: CryptoKey
  inside: Sealed
}

/** The key, wrapped by one thing that opens it. */
interface Door {
  /** Which passkey opens it; empty where a passphrase does. */
  passkey: string
  salt: Uint8Array
  iv: Uint8Array
  wrapped: ArrayBuffer
}

/** What a passkey tells whoever may use it, and nobody else: the same bytes each time. */
export interface Secret {
  passkey: string
  secret: Uint8Array<ArrayBuffer>
}

/** What opens a device: a passphrase, or what a passkey tells. */
export type Opener = string | Secret

/** Something closed; `by`: the key it was closed by, itself closed from outside. */
export interface Sealed {
  iv: Uint8Array
  closed: ArrayBuffer
  by?: ArrayBuffer
}

type Doors = Dexie & { keys: EntityTable<Wrapped, 'id'> }

/** A worker that nobody tells anything is ended by its browser after half a minute. */
const HELD_MS = 20_000
/** As OWASP asks of PBKDF2 with SHA-256. */
const ROUNDS = 600_000
const AES = { name: 'AES-GCM', length: 256 } as const
const RSA = { name: 'RSA-OAEP', hash: 'SHA-256' } as const
const MUST = 'signed'
const words = new TextEncoder()

/** `unknown`: whether anybody has to sign in has not been heard; `none`: nothing was kept here by anybody yet. */
type State = 'unknown' | 'plain' | 'none' | 'closed' | 'open'

export class Vault {
  state = $state<State>('unknown')
  /** Whose it is, as far as it is known. */
  name = $state('')
  /** Which passkeys open it, beside the passphrase or in its place. */
  passkeys = $state<string[]>([])
  #account = ''
  #key: CryptoKey | null = null
  /** What the key in use is told by where it was made from outside. */
  #by: ArrayBuffer | null = null
  #inside: CryptoKey | null = null
  #ready!: Promise<void>
  #isReady: () => void = () => undefined
  readonly #doors: Doors

  constructor(name = 'libella doors') {
    this.#doors = new Dexie(name) as Doors
    this.#doors.version(1).stores({ keys: 'id' })
    // A passphrase alone opened it before.
    this.#doors.version(2).upgrade((all) =>
      all
        .table('keys')
        .toCollection()
        .modify((it) => {
          const { salt, iv, wrapped } = it
          it.doors = [{ passkey: '', salt, iv, wrapped }]
          for (const name of ['salt', 'iv', 'wrapped']) delete it[name]
        })
    )
    this.#wait()
    const last = remembered(MUST, 'unknown')
    if (last !== 'unknown') void this.heard(last === 'must')
    const hold = () => this.#key && !this.#by && tellWorker('hold', this.#key)
    setInterval(hold, HELD_MS)
    globalThis.addEventListener?.('pagehide', hold)
  }

  /** Whether everybody has to sign in here: told by the server, or as it was last. */
  async heard(must: boolean): Promise<void> {
    remember(MUST, must ? 'must' : '')
    if (!must) {
      this.#opened(null)
      return
    }
    if (this.state === 'open' || this.state === 'closed' || this.state === 'none') return
    const kept = await this.#kept()
    this.name = kept?.name ?? ''
    this.#account = kept?.account ?? ''
    this.passkeys = passkeysIn(kept?.doors)
    const held = kept ? await askWorker<CryptoKey>('key') : null
    if (held && kept) await this.#openedWhole(held, kept)
    else if (!this.#key) this.state = kept ? 'closed' : 'none'
  }

  /** Whether anything that comes may be kept here, now or as soon as that is known. */
  get keeps(): boolean {
    return this.state !== 'none' && this.state !== 'closed'
  }

  isOf(account: string): boolean {
    return this.#account === account
  }

  /** Open what is kept here; false where it was not closed by that. */
  async open(by: Opener): Promise<boolean> {
    const kept = await this.#kept()
    const door = kept?.doors.find((it) => it.passkey === passkeyOf(by))
    if (!kept || !door) return false
    try {
      const [lock, iv] = [await derived(by, door.salt), door.iv as Uint8Array<ArrayBuffer>]
      const key = await crypto.subtle.unwrapKey('raw', door.wrapped, lock, { name: 'AES-GCM', iv }, AES, true, USES)
      await this.#openedWhole(key, kept)
      return true
    } catch {
      return false
    }
  }

  /** Go on without opening what is kept: what is written from now on is closed with it. False where nothing was. */
  async goOn(): Promise<boolean> {
    const kept = await this.#kept()
    if (!kept || this.state !== 'closed') return false
    const key = await crypto.subtle.generateKey(AES, true, USES)
    this.#by = await crypto.subtle.encrypt(RSA, kept.outside, await crypto.subtle.exportKey('raw', key))
    this.#opened(key)
    return true
  }

  /** Close what is kept here by this from now on, too; a new key, closed by this alone, where none is open. */
  async close(account: string, name: string, by: Opener): Promise<void> {
    const before = this.#by ? null : this.#key
    const key = before ?? (await crypto.subtle.generateKey(AES, true, USES))
    const kept = before ? await this.#kept() : undefined
    const { outside, inside } = kept ?? (await pair(key))
    const others = kept?.doors.filter((it) => it.passkey !== passkeyOf(by)) ?? []
    const doors = [...others, await doorOf(key, by)]
    try {
      await this.#doors.keys.put({ id: 'key', account, name, doors, outside, inside })
    } catch {
      // A device that forbids storage keeps nothing: there is nothing to be closed.
    }
    this.name = name
    this.#account = account
    this.passkeys = passkeysIn(doors)
    await this.#openedWhole(key, { inside })
  }

  /** Have what is open opened by a passkey, too. */
  async letOpen(by: Secret): Promise<void> {
    if (this.state === 'open' && !this.#by) await this.close(this.#account, this.name, by)
  }

  /** A passkey that was taken away opens nothing here any more; the last thing that opens it stays. */
  async forget(passkey: string): Promise<void> {
    const kept = await this.#kept()
    const doors = kept?.doors.filter((it) => it.passkey !== passkey)
    if (!kept || !doors?.length) return
    await this.#doors.keys.put({ ...kept, doors })
    this.passkeys = passkeysIn(doors)
  }

  /** Throw the key away: whatever was closed by it is lost for good. */
  async destroy(): Promise<void> {
    this.#key = this.#by = this.#inside = null
    this.name = this.#account = ''
    this.passkeys = []
    tellWorker('forget')
    try {
      await this.#doors.keys.clear()
    } catch {
      // Nothing was kept.
    }
    if (this.state === 'plain') return
    // Who waits already waits for the next one.
    if (this.state === 'open') this.#wait()
    this.state = 'none'
  }

  /** Close something; where nobody signs in it stays as it is. */
  async seal(told: unknown): Promise<Sealed | string> {
    const text = JSON.stringify(told)
    await this.#ready
    if (!this.#key) return text
    const sealed = await closedBy(this.#key, words.encode(text))
    return this.#by ? { ...sealed, by: this.#by } : sealed
  }

  /** What was closed; undefined where it can't be opened by the key there is. */
  async unseal(kept: Sealed | string): Promise<unknown> {
    if (typeof kept === 'string') return JSON.parse(kept)
    await this.#ready
    try {
      const key = await this.#keyTo(kept)
      return key ? JSON.parse(new TextDecoder().decode(await openedBy(key, kept))) : undefined
    } catch {
      return undefined
    }
  }

  async #keyTo({ by }: Sealed): Promise<CryptoKey | null> {
    if (!by) return this.#by ? null : this.#key
    if (this.#by && same(by, this.#by)) return this.#key
    if (!this.#inside) return null
    return crypto.subtle.importKey('raw', await crypto.subtle.decrypt(RSA, this.#inside, by), AES, true, USES)
  }

  async #openedWhole(key: CryptoKey, { inside }: Pick<Wrapped, 'inside'>): Promise<void> {
    this.#by = null
    this.#inside = await crypto.subtle.importKey('pkcs8', await openedBy(key, inside), RSA, true, ['decrypt'])
    this.#opened(key)
  }

  #opened(key: CryptoKey | null): void {
    this.#key = key
    this.state = key ? 'open' : 'plain'
    if (key && !this.#by) tellWorker('hold', key)
    this.#isReady()
  }
  #wait(): void {
    this.#ready = new Promise((ready) => (this.#isReady = ready))
  }
  async #kept(): Promise<Wrapped | undefined> {
    try {
      return await this.#doors.keys.get('key')
    } catch {
      return undefined
    }
  }
}

const USES: KeyUsage[] = ['encrypt', 'decrypt']

async function closedBy(key: CryptoKey, open: BufferSource): Promise<Sealed> {
  const iv = crypto.getRandomValues(new Uint8Array(12))
  return { iv, closed: await crypto.subtle.encrypt({ name: 'AES-GCM', iv }, key, open) }
}

const openedBy = (key: CryptoKey, { iv, closed }: Sealed): Promise<ArrayBuffer> =>
  crypto.subtle.decrypt({ name: 'AES-GCM', iv: iv as Uint8Array<ArrayBuffer> }, key, closed)

/** What closes from outside, and what opens that, closed by the key. */
async function pair(key: CryptoKey): Promise<Pick<Wrapped, 'outside' | 'inside'>> {
  const made = { ...RSA, modulusLength: 2048, publicExponent: new Uint8Array([1, 0, 1]) }
  const { publicKey, privateKey } = await crypto.subtle.generateKey(made, true, ['encrypt', 'decrypt'])
  return { outside: publicKey, inside: await closedBy(key, await crypto.subtle.exportKey('pkcs8', privateKey)) }
}

function same(one: ArrayBuffer, other: ArrayBuffer): boolean {
  const [a, b] = [new Uint8Array(one), new Uint8Array(other)]
  return a.length === b.length && a.every((it, n) => it === b[n])
}

const passkeyOf = (by: Opener): string => (typeof by === 'string' ? '' : by.passkey)

const passkeysIn = (doors: Door[] | undefined): string[] => doors?.map((it) => it.passkey).filter(Boolean) ?? []

async function doorOf(key: CryptoKey, by: Opener): Promise<Door> {
  const salt = crypto.getRandomValues(new Uint8Array(16))
  const iv = crypto.getRandomValues(new Uint8Array(12))
  const wrapped = await crypto.subtle.wrapKey('raw', key, await derived(by, salt), { name: 'AES-GCM', iv })
  return { passkey: passkeyOf(by), salt, iv, wrapped }
}

/** What somebody might guess is stretched; what a passkey tells nobody can. */
async function derived(by: Opener, kept: Uint8Array): Promise<CryptoKey> {
  const salt = kept as Uint8Array<ArrayBuffer>
  const uses: KeyUsage[] = ['wrapKey', 'unwrapKey']
  if (typeof by !== 'string') {
    const told = await crypto.subtle.importKey('raw', by.secret, 'HKDF', false, ['deriveKey'])
    return crypto.subtle.deriveKey(
      { name: 'HKDF', hash: 'SHA-256', salt, info: words.encode('libella doors') },
      told,
      AES,
      false,
      uses
    )
  }
  const said = await crypto.subtle.importKey('raw', words.encode(by.normalize('NFC')), 'PBKDF2', false, ['deriveKey'])
  const stretched = { name: 'PBKDF2', hash: 'SHA-256', salt, iterations: ROUNDS }
  return crypto.subtle.deriveKey(stretched, said, AES, false, uses)
}

export const vault = new Vault()
