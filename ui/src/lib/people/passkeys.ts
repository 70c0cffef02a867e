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
  // It is kept all the same where the device, asked once more for what it tells, is stopped.
  const more = (said as Told).prf?.enabled ? () => secretHere([made.id]).catch(() => null) : () => null
  const secret = secretOf(made.id, said) ?? (await more())
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

/** Open what this device keeps by one of the passkeys that open it, with or without a network. */
export async function openHere(): Promise<void> {
  const secret = await secretHere(vault.passkeys)
  if (!secret || !(await vault.open(secret)))
    throw refused('Not opened', 'The passkey told nothing that opens it.', 'Try once more, or use your passphrase.')
}

/** What one of these passkeys tells here, whether or not there is a network; null where it tells nothing. */
async function secretHere(passkeys: string[]): Promise<Secret | null> {
  const challenge = bufferToBase64URLString(crypto.getRandomValues(new Uint8Array(32)).buffer)
  const allowCredentials = passkeys.map((id) => ({ id, type: 'public-key' as const }))
  const options = { challenge, rpId: location.hostname, allowCredentials, userVerification: 'required' as const }
  return (await signedFor(options)).secret
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
    if (why instanceof Error && why.name === 'InvalidStateError')
      throw refused('There is one already', 'This device has a passkey of your account.', 'Sign in by it.')
    throw refused(
      'No passkey was used',
      'It was stopped, it took too long, or this device has none for this address.',
      'Try once more, or use your passphrase.'
    )
  }
}

const refused = (title: string, detail: string, remedy: string): Refusal =>
  new Refusal({ type: 'urn:libella:problem:passkey-stopped', title, status: 0, detail, remedy, errors: [] })
