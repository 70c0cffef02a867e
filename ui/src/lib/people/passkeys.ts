/**
 * Passkeys: what a device signs with in place of a passphrase, and tells a secret by that opens what it keeps (WebAuthn with
 * its prf extension). Where a device tells no secret, the passphrase opens what it keeps.
 */
import {
  base64URLStringToBuffer,
  browserSupportsWebAuthn,
  bufferToBase64URLString,
  startAuthentication,
  startRegistration,
  type AuthenticationResponseJSON,
  type PublicKeyCredentialCreationOptionsJSON,
  type PublicKeyCredentialRequestOptionsJSON
} from '@simplewebauthn/browser'
import { createQuery } from '@tanstack/svelte-query'
import { v7 } from 'uuid'
import { vault, type Secret } from '$lib/away/vault.svelte'
import { renew } from '$lib/data/cache'
import { api, ask, Refusal, type Shapes } from '$lib/data/client'
import { key } from '$lib/data/key'
import { proof } from './proof.svelte'

export type Passkey = Shapes['PasskeyOut']

/** What a passkey signed, whose it is, and what it told. */
export interface Signed {
  /** As the server takes it: what the device told for this page alone is not in it. */
  told: Record<string, unknown>
  /** The account; empty where the device does not say. */
  account: string
  secret: Secret | null
}

const FOR = new TextEncoder().encode('what a device of Libella keeps')
const TELLS = { prf: { eval: { first: FOR } } } as AuthenticationExtensionsClientInputs
/** What a device tells of the secret: whether it can, and the secret itself. */
interface Told {
  prf?: { enabled?: boolean; results?: { first?: ArrayBuffer } }
}

/** Whether there can be passkeys here: of a name, opened as browsers trust it. */
export function passkeysHere(): boolean {
  return globalThis.isSecureContext && browserSupportsWebAuthn() && !/^[\d.]+$|:/.test(location.hostname)
}

export function passkeysQuery() {
  return createQuery(() => ({ queryKey: key.passkeys(), queryFn: () => ask(api.GET('/api/passkeys')), retry: false }))
}

/** Have this device make one of whoever is signed in, and let it open what the device keeps. */
export async function makePasskey(): Promise<Passkey> {
  const { options } = await proof.before(() => api.POST('/api/passkeys/making'))
  const optionsJSON = { ...(options as unknown as PublicKeyCredentialCreationOptionsJSON), extensions: TELLS }
  const made = await byDevice(() => startRegistration({ optionsJSON }))
  const { clientExtensionResults: said, ...credential } = made
  const passkey = await ask(api.PUT('/api/passkeys/{id}', { params: { path: { id: v7() } }, body: { credential } }))
  const secret = secretOf(made.id, said) ?? ((said as Told).prf?.enabled ? await secretHere([made.id]) : null)
  if (secret) await vault.letOpen(secret)
  await renew(key.passkeys(), key.deeds(''))
  return passkey
}

export async function dropPasskey(it: Passkey): Promise<void> {
  await ask(api.DELETE('/api/passkeys/{id}', { params: { path: { id: it.id } } }))
  await vault.forget(it.credential)
  await renew(key.passkeys(), key.deeds(''))
}

/** Have this device sign what the server asks, with whichever passkey of it is chosen. */
export async function signed(): Promise<Signed> {
  const { options } = await ask(api.POST('/api/passkeys/asking'))
  return signedFor(options as unknown as PublicKeyCredentialRequestOptionsJSON)
}

/** What one of these passkeys tells here, with or without a network; null where it tells nothing. */
export async function secretHere(passkeys: string[]): Promise<Secret | null> {
  const challenge = bufferToBase64URLString(crypto.getRandomValues(new Uint8Array(32)).buffer)
  const allowCredentials = passkeys.map((id) => ({ id, type: 'public-key' as const }))
  const options = { challenge, rpId: location.hostname, allowCredentials, userVerification: 'required' as const }
  try {
    return (await signedFor(options)).secret
  } catch {
    return null
  }
}

/** Whoever is signed in shows a passkey once more. */
export async function proveBy(): Promise<void> {
  const { told } = await signed()
  await ask(api.PUT('/api/session/proof-by-passkey', { body: { credential: told } }))
  proof.end(true)
}

async function signedFor(options: PublicKeyCredentialRequestOptionsJSON): Promise<Signed> {
  const optionsJSON = { ...options, extensions: TELLS }
  const { clientExtensionResults, ...told } = await byDevice(() => startAuthentication({ optionsJSON }))
  return { told: { ...told }, account: accountOf(told.response), secret: secretOf(told.id, clientExtensionResults) }
}

function secretOf(passkey: string, told: unknown): Secret | null {
  const first = (told as Told).prf?.results?.first
  return first ? { passkey, secret: new Uint8Array(first) } : null
}

const accountOf = ({ userHandle }: AuthenticationResponseJSON['response']): string =>
  userHandle ? new TextDecoder().decode(base64URLStringToBuffer(userHandle)) : ''

/** What a device says where it was stopped, or has none, is told as every other refusal is. */
async function byDevice<T>(asked: () => Promise<T>): Promise<T> {
  try {
    return await asked()
  } catch (why) {
    const twice = why instanceof Error && why.name === 'InvalidStateError'
    throw new Refusal({
      type: 'urn:libella:problem:passkey-stopped',
      title: twice ? 'There is one already' : 'No passkey was used',
      status: 0,
      detail: twice
        ? 'This device has a passkey of your account.'
        : 'It was stopped, it took too long, or this device has none for this address.',
      remedy: twice ? 'Sign in by it.' : 'Try once more, or use your passphrase.',
      errors: []
    })
  }
}
