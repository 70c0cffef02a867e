/** Who may come in, and who did what: the owner's. */
import { createInfiniteQuery, createQuery } from '@tanstack/svelte-query'
import { renew } from '$lib/data/cache'
import { api, ask, type Shapes } from '$lib/data/client'
import { key } from '$lib/data/key'
import { proof } from './proof.svelte'

export type Account = Shapes['AccountRowOut']
type Role = Shapes['RoleOut']['role']

export function accountsQuery() {
  return createQuery(() => ({ queryKey: key.accounts(), queryFn: () => ask(api.GET('/api/accounts')) }))
}

export function deedsQuery() {
  return createInfiniteQuery(() => ({
    queryKey: key.deeds(''),
    queryFn: ({ pageParam }: { pageParam: string }) =>
      ask(api.GET('/api/deeds', { params: { query: { after: pageParam } } })),
    initialPageParam: '',
    getNextPageParam: (last) => last.next ?? undefined
  }))
}

/** `golfer`: whose data a golfer's account shows. */
export async function keepAccount(id: string, name: string, role: Role, golfer: string | null): Promise<Account> {
  const kept = await proof.before(() =>
    api.PUT('/api/accounts/{id}', { params: { path: { id } }, body: { name, role, golfer_id: golfer } })
  )
  await renew(key.accounts(), key.deeds(''))
  return kept
}

export async function lockAccount(id: string, locked: boolean): Promise<Account> {
  const kept = await proof.before(() =>
    api.PUT('/api/accounts/{id}/locked', { params: { path: { id } }, body: { locked } })
  )
  await renew(key.accounts(), key.deeds(''))
  return kept
}

/** A link that is opened where this page is. */
export const linkFor = (id: string) =>
  proof.before(() =>
    api.PUT('/api/accounts/{id}/link', {
      params: { path: { id } },
      body: { address: `${location.origin}/welcome` }
    })
  )
