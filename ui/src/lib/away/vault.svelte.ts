/**
 * What this device keeps is closed by a key of its own, and that key by the passphrase of whoever signed in.
 *
 * The key is made at the first sign-in here, wrapped by the passphrase (PBKDF2) and kept so. Open it stands in the memory of
 * the page and of the service worker alone: a page that is loaded again asks the worker for it, a browser that was closed
 * has forgotten it and the passphrase is asked. Where nobody signs in, nothing is closed.
 */
import Dexie, { type EntityTable } from 'dexie'
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
}

/** Something closed. */
export interface Sealed {
  iv: Uint8Array
  closed: ArrayBuffer
}

type Doors = Dexie & { keys: EntityTable<Wrapped, 'id'> }

/** A worker that nobody tells anything is ended by its browser after half a minute. */
const HELD_MS = 20_000
/** As OWASP asks of PBKDF2 with SHA-256. */
const ROUNDS = 600_000
const AES = { name: 'AES-GCM', length: 256 } as const
const MUST = 'libella.signed'
const words = new TextEncoder()

/** `unknown`: whether anybody has to sign in has not been heard; `none`: nothing was kept here by anybody yet. */
type State = 'unknown' | 'plain' | 'none' | 'closed' | 'open'

export class Vault {
  state = $state<State>('unknown')
  /** Whose it is, as far as it is known. */
  name = $state('')
  #account = ''
  #key: CryptoKey | null = null
  #ready!: Promise<void>
  #isReady: () => void = () => undefined
  readonly #doors: Doors

  constructor(name = 'libella doors') {
    this.#doors = new Dexie(name) as Doors
    this.#doors.version(1).stores({ keys: 'id' })
    this.#wait()
    const last = remembered()
    if (last !== null) void this.heard(last === 'must')
    const hold = () => this.#key && tellWorker('hold', this.#key)
    setInterval(hold, HELD_MS)
    globalThis.addEventListener?.('pagehide', hold)
  }

  /** Whether everybody has to sign in here: told by the server, or as it was last. */
  async heard(must: boolean): Promise<void> {
    remember(must ? 'must' : '')
    if (!must) {
      this.#opened(null)
      return
    }
    if (this.state === 'open' || this.state === 'closed' || this.state === 'none') return
    const kept = await this.#kept()
    this.name = kept?.name ?? ''
    this.#account = kept?.account ?? ''
    const held = kept ? await askWorker<CryptoKey>('key') : null
    if (held) this.#opened(held)
    else if (!this.#key) this.state = kept ? 'closed' : 'none'
  }

  /** Once it can be read and written. */
  get ready(): Promise<void> {
    return this.#ready
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
      this.#opened(key)
      return true
    } catch {
      return false
    }
  }

  /** Close what is kept here by this passphrase from now on; a new key where none is open. */
  async close(account: string, name: string, passphrase: string): Promise<void> {
    const key = this.#key ?? (await crypto.subtle.generateKey(AES, true, USES))
    const salt = crypto.getRandomValues(new Uint8Array(16))
    const iv = crypto.getRandomValues(new Uint8Array(12))
    const by = await derived(passphrase, salt)
    const wrapped = await crypto.subtle.wrapKey('raw', key, by, { name: 'AES-GCM', iv })
    try {
      await this.#doors.keys.put({ id: 'key', account, name, salt, iv, wrapped })
    } catch {
      // A device that forbids storage keeps nothing: there is nothing to be closed.
    }
    this.name = name
    this.#account = account
    this.#opened(key)
  }

  /** Throw the key away: whatever was closed by it is lost for good. */
  async destroy(): Promise<void> {
    this.#key = null
    this.name = this.#account = ''
    tellWorker('forget')
    try {
      await this.#doors.keys.clear()
    } catch {
      // Nothing was kept.
    }
    if (this.state !== 'plain') {
      this.state = 'none'
      this.#wait()
    }
  }

  /** Close something; where nobody signs in it stays as it is. */
  async seal(told: unknown): Promise<Sealed | string> {
    const text = JSON.stringify(told)
    await this.#ready
    if (!this.#key) return text
    const iv = crypto.getRandomValues(new Uint8Array(12))
    return { iv, closed: await crypto.subtle.encrypt({ name: 'AES-GCM', iv }, this.#key, words.encode(text)) }
  }

  /** What was closed; undefined where it can't be opened by the key there is. */
  async unseal(kept: Sealed | string): Promise<unknown> {
    if (typeof kept === 'string') return JSON.parse(kept)
    await this.#ready
    if (!this.#key) return undefined
    try {
      const iv = kept.iv as Uint8Array<ArrayBuffer>
      const open = await crypto.subtle.decrypt({ name: 'AES-GCM', iv }, this.#key, kept.closed)
      return JSON.parse(new TextDecoder().decode(open))
    } catch {
      return undefined
    }
  }

  #opened(key: CryptoKey | null): void {
    this.#key = key
    this.state = key ? 'open' : 'plain'
    if (key) tellWorker('hold', key)
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

async function derived(passphrase: string, salt: Uint8Array): Promise<CryptoKey> {
  const said = await crypto.subtle.importKey('raw', words.encode(passphrase.normalize('NFC')), 'PBKDF2', false, [
    'deriveKey'
  ])
  const by = { name: 'PBKDF2', hash: 'SHA-256', salt: salt as Uint8Array<ArrayBuffer>, iterations: ROUNDS }
  return crypto.subtle.deriveKey(by, said, AES, false, ['wrapKey', 'unwrapKey'])
}

function remembered(): string | null {
  try {
    return localStorage.getItem(MUST)
  } catch {
    return null
  }
}

function remember(must: string): void {
  try {
    localStorage.setItem(MUST, must)
  } catch {
    // Asked each time.
  }
}

export const vault = new Vault()
