/** Who is signed in, and how somebody comes in and goes: asked at once, and never kept for later. */
import { createQuery } from '@tanstack/svelte-query'
import { cache, renew } from '$lib/data/cache'
import { api, ask, whenStranger, type Shapes } from '$lib/data/client'
import { key } from '$lib/data/key'

export type Session = Shapes['WhoOut']
export type Begun = Shapes['BegunOut']

whenStranger(() => void renew(key.session()))

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

/** Begin where one stands: what was shown to one is not shown to the next, nor what was refused to nobody. */
export async function goIn(): Promise<void> {
  cache.removeQueries({ type: 'inactive' })
  await cache.resetQueries()
}

export async function signIn(name: string, passphrase: string): Promise<void> {
  await ask(api.PUT('/api/session', { body: { name, passphrase } }))
  await goIn()
}

export const recover = (name: string, code: string, passphrase: string): Promise<Begun> =>
  ask(api.POST('/api/session/recover', { body: { name, code, passphrase } }))

export const lookAtLink = (token: string) => ask(api.POST('/api/links/look', { body: { token } }))

export const takeLink = (token: string, passphrase: string): Promise<Begun> =>
  ask(api.POST('/api/links/take', { body: { token, passphrase } }))

export const changePassphrase = (now: string, passphrase: string): Promise<Begun> =>
  ask(api.PUT('/api/session/passphrase', { body: { now, passphrase } }))

/** Leave, here or everywhere; whoever comes next sees nothing of what was shown. */
export async function signOut(everywhere = false): Promise<void> {
  const gone = everywhere ? api.DELETE('/api/session/everywhere') : api.DELETE('/api/session')
  await gone
  location.assign('/')
}

export async function endSignIn(id: string): Promise<void> {
  await api.DELETE('/api/sign-ins/{id}', { params: { path: { id } } })
  await renew(key.signIns())
}

/** What somebody likes, kept with his account; without an answer it stays on this device until he changes it again. */
export async function prefer(preferences: Record<string, string>): Promise<void> {
  await api.PUT('/api/session/preferences', { body: { preferences } }).catch(() => undefined)
}
