/**
 * What this device keeps is closed by a key of its own, and that key by the passphrase of whoever signed in.
 *
 * The key is made at the first sign-in here, wrapped by the passphrase (PBKDF2) and kept so. Open it stands in the memory of
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
  salt: Uint8Array
  iv: Uint8Array
  wrapped: ArrayBuffer
  /** Closes without the key what the key opens. */
  outside: CryptoKey
  inside: Sealed
}

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

  /** Open what is kept here; false where that is not the passphrase it was closed by. */
  async open(passphrase: string): Promise<boolean> {
    const kept = await this.#kept()
    if (!kept) return false
    try {
      const by = await derived(passphrase, kept.salt)
      const iv = kept.iv as Uint8Array<ArrayBuffer>
      const key = await crypto.subtle.unwrapKey('raw', kept.wrapped, by, { name: 'AES-GCM', iv }, AES, true, USES)
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

  /** Close what is kept here by this passphrase from now on; a new key where none is open. */
  async close(account: string, name: string, passphrase: string): Promise<void> {
    const before = this.#by ? null : this.#key
    const key = before ?? (await crypto.subtle.generateKey(AES, true, USES))
    const kept = before ? await this.#kept() : undefined
    const { outside, inside } = kept ?? (await pair(key))
    const salt = crypto.getRandomValues(new Uint8Array(16))
    const iv = crypto.getRandomValues(new Uint8Array(12))
    const by = await derived(passphrase, salt)
    const wrapped = await crypto.subtle.wrapKey('raw', key, by, { name: 'AES-GCM', iv })
    try {
      await this.#doors.keys.put({ id: 'key', account, name, salt, iv, wrapped, outside, inside })
    } catch {
      // A device that forbids storage keeps nothing: there is nothing to be closed.
    }
    this.name = name
    this.#account = account
    await this.#openedWhole(key, { inside })
  }

  /** Throw the key away: whatever was closed by it is lost for good. */
  async destroy(): Promise<void> {
    this.#key = this.#by = this.#inside = null
    this.name = this.#account = ''
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

async function derived(passphrase: string, salt: Uint8Array): Promise<CryptoKey> {
  const said = await crypto.subtle.importKey('raw', words.encode(passphrase.normalize('NFC')), 'PBKDF2', false, [
    'deriveKey'
  ])
  const by = { name: 'PBKDF2', hash: 'SHA-256', salt: salt as Uint8Array<ArrayBuffer>, iterations: ROUNDS }
  return crypto.subtle.deriveKey(by, said, AES, false, ['wrapKey', 'unwrapKey'])
}

export const vault = new Vault()
