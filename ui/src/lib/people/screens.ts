/** Walls and golfers' screens: let in by a link, sent something to show. */
import { createQuery } from '@tanstack/svelte-query'
import { renew } from '$lib/data/cache'
import { api, ask, type Shapes } from '$lib/data/client'
import { key } from '$lib/data/key'
import { proof } from './proof.svelte'

export type Screen = Shapes['ScreenOut']
export type View = Screen['view']
export const VIEWS: readonly { value: View | ''; words: string }[] = [
  { value: '', words: 'Nothing' },
  { value: 'putts', words: 'The last putt' },
  { value: 'finding', words: 'What it comes to' },
  { value: 'question', words: 'The question' }
]
const ASKED_EVERY_MS = 2000

export function screensQuery(wanted: () => boolean = () => true) {
  return createQuery(() => ({
    queryKey: key.screens(),
    queryFn: () => ask(api.GET('/api/screens')),
    enabled: wanted()
  }))
}

/** What this device is to show, where it is a screen. */
export function hereQuery() {
  return createQuery(() => ({
    queryKey: key.here(),
    queryFn: () => ask(api.GET('/api/screens/here')),
    refetchInterval: ASKED_EVERY_MS,
    refetchIntervalInBackground: true
  }))
}

/** A link that makes a device this screen; it is opened where this page is. */
export async function linkForScreen(id: string, name: string) {
  const body = { name, address: `${location.origin}/screen` }
  const made = await proof.before(() => api.PUT('/api/screens/{id}/link', { params: { path: { id } }, body }))
  await renew(key.screens())
  return made
}

export async function takeAway(id: string): Promise<void> {
  await proof.before(() => api.PUT('/api/screens/{id}/ended', { params: { path: { id } } }))
  await renew(key.screens())
}

export async function send(id: string, lesson_id: string | null, view: View): Promise<void> {
  await ask(api.PUT('/api/screens/{id}/shows', { params: { path: { id } }, body: { lesson_id, view } }))
  await renew(key.screens())
}

export const become = (token: string) => ask(api.POST('/api/screens/take', { body: { token } }))
