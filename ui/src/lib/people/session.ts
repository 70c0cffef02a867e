/** Who is signed in, and how somebody comes in and goes: asked at once, and never kept for later. */
import { createQuery } from '@tanstack/svelte-query'
import { kept } from '$lib/away/kept'
import { vault, type Opener, type Secret } from '$lib/away/vault.svelte'
import { beginAnew, renew } from '$lib/data/cache'
import { api, ask, whenStranger, type Shapes } from '$lib/data/client'
import { key } from '$lib/data/key'
import { outbox } from '$lib/data/outbox.svelte'
import type { Signed } from './passkeys'

export type Session = Shapes['WhoOut']
export type Begun = Shapes['BegunOut']

whenStranger(() => void renew(key.session()))

/** Whoever is signed in sees what was released of a golfer, and nothing else. */
export const isGolfers = (it: Session | undefined): boolean => it?.account?.role === 'golfer'

export function sessionQuery() {
  return createQuery(() => ({
    queryKey: key.session(),
    queryFn: () => ask(api.GET('/api/session')),
    staleTime: Infinity
  }))
}

export function signInsQuery() {
  return createQuery(() => ({ queryKey: key.signIns(), queryFn: () => ask(api.GET('/api/sign-ins')), retry: false }))
}

/** By which addresses other devices open it, and whose word they take for it. */
export function frontQuery() {
  return createQuery(() => ({
    queryKey: key.front(),
    queryFn: () => ask(api.GET('/api/front')),
    staleTime: Infinity
  }))
}

/** Begin where one stands: what was shown to one is not shown to the next, nor what was refused to nobody. */
export const goIn = beginAnew

export async function signIn(name: string, passphrase: string): Promise<void> {
  await ask(api.PUT('/api/session', { body: { name, passphrase } }))
  await takeDevice(passphrase)
  await goIn()
}

/** Come in by what a passkey signed; where it told no secret, the passphrase is asked for what this device keeps. */
export async function signInBy(signed: Signed): Promise<void> {
  await ask(api.PUT('/api/session/by-passkey', { body: { credential: signed.told } }))
  await takeDevice(signed.secret)
  await goIn()
}

/** What a passkey told at the sign-in, before what this device keeps was opened by the passphrase. */
let toldBefore: Secret | null = null

/** Open what this device keeps, by the passphrase; a passkey somebody came in by opens it, too, from then on. */
export async function openDevice(passphrase: string): Promise<boolean> {
  const opened = await vault.open(passphrase)
  if (opened && toldBefore) await vault.letOpen(toldBefore)
  toldBefore = null
  return opened
}

/**
 * What this device keeps is closed by this from now on; by nothing yet where a passkey told no secret. What another kept here
 * goes; what the same person kept under a passphrase that has changed meanwhile, or before there was this passkey, stays
 * closed, until it is opened or thrown away.
 */
export async function takeDevice(by: Opener | null): Promise<void> {
  const { account } = await ask(api.GET('/api/session'))
  if (!account) return
  if (vault.state === 'unknown') await vault.heard(true)
  if (vault.isOf(account.id)) {
    const opened = vault.state === 'open' || (by !== null && (await vault.open(by)))
    toldBefore = opened || typeof by === 'string' ? null : by
    return
  }
  await throwAway()
  if (by) await vault.close(account.id, account.name, by)
}

/**
 * How many entries this device has not sent yet and loses when this one comes in; `anew`: under a new passphrase, so that what
 * the same person closed by the last one goes, too.
 */
export function lostTo(name: string, anew: boolean): number {
  const own = vault.name.toLowerCase() === name.trim().toLowerCase()
  return vault.name && (anew || !own) ? outbox.unsent : 0
}

/** The same where a passkey said whose it is. */
export const lostToAccount = (account: string): number => (vault.name && !vault.isOf(account) ? outbox.unsent : 0)

/** Whatever this device keeps is gone for good. */
export async function throwAway(): Promise<void> {
  await vault.destroy()
  await Promise.all([kept.clear(), outbox.clear()])
}

/** What was closed by the passphrase that is forgotten stays closed for good: this device begins anew. */
export async function recover(name: string, code: string, passphrase: string): Promise<Begun> {
  return beginHere(await ask(api.POST('/api/session/recover', { body: { name, code, passphrase } })), passphrase)
}

export const lookAtLink = (token: string) => ask(api.POST('/api/links/look', { body: { token } }))

/** `named`: by whoever begins the studio. */
export async function takeLink(token: string, passphrase: string, named: Shapes['NamedIn'] | null): Promise<Begun> {
  return beginHere(await ask(api.POST('/api/links/take', { body: { token, passphrase, named } })), passphrase)
}

async function beginHere(begun: Begun, passphrase: string): Promise<Begun> {
  await throwAway()
  await takeDevice(passphrase)
  return begun
}

export async function changePassphrase(now: string, passphrase: string): Promise<Begun> {
  const begun = await ask(api.PUT('/api/session/passphrase', { body: { now, passphrase } }))
  const { account } = await ask(api.GET('/api/session'))
  if (account && vault.state === 'open') await vault.close(account.id, account.name, passphrase)
  return begun
}

/** Leave, here or everywhere; whoever comes next sees nothing of what was shown. */
export async function signOut(everywhere = false): Promise<void> {
  // First what can be done without a network: whoever takes this device up finds nothing on it.
  await throwAway()
  await (everywhere ? api.DELETE('/api/session/everywhere') : api.DELETE('/api/session'))
  location.assign('/')
}

/** `lost`: in other hands. It throws away what it keeps as soon as it has a network, and what it had not sent is refused. */
export async function endSignIn(id: string, lost: boolean): Promise<void> {
  await ask(api.DELETE('/api/sign-ins/{id}', { params: { path: { id }, query: { lost } } }))
  await renew(key.signIns())
}

/** What somebody likes, kept with his account; without an answer it stays on this device until he changes it again. */
export async function prefer(preferences: Record<string, string>): Promise<void> {
  await api.PUT('/api/session/preferences', { body: { preferences } }).catch(() => undefined)
}
