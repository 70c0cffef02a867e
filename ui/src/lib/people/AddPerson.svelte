<!-- Somebody new: a name to sign in with, and a role. -->
<script lang="ts">
  import { v7 } from 'uuid'
  import Choice from '$lib/base/Choice.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import type { Shapes } from '$lib/data/client'
  import { createAsk } from '$lib/data/write.svelte'
  import { golfersQuery } from '$lib/golfer/queries.svelte'
  import { keepAccount } from './people'

  const MOST = 6
  type Role = Shapes['RoleOut']['role']
  let { roles }: { roles: Shapes['RoleOut'][] } = $props()
  let name = $state('')
  let role = $state<Role>('coach')
  let search = $state('')
  let golfer = $state<{ id: string; name: string } | null>(null)
  const golfers = golfersQuery(() => search.trim())
  const found = $derived(golfers.data?.pages.flatMap((page) => page.items.map((it) => it.golfer)).slice(0, MOST) ?? [])
  const adding = createAsk(
    () => keepAccount(v7(), name.trim(), role, role === 'golfer' ? (golfer?.id ?? null) : null),
    () => {
      name = search = ''
      golfer = null
    }
  )
  function choose(it: { id: string; name: string }): void {
    golfer = it
    name ||= it.name
  }
  const says = $derived(roles.find((it) => it.role === role)?.says ?? '')
</script>

<form
  class="mt-3 grid gap-3"
  data-add-person
  onsubmit={(event) => {
    event.preventDefault()
    adding.mutate(undefined)
  }}
>
  <div class="flex flex-wrap items-end gap-x-5 gap-y-3">
    <label class="min-w-60 flex-1"
      ><span class="label">Name to sign in with</span>
      <input class="entry" bind:value={name} maxlength="80" autocomplete="off" required /></label
    >
    <Choice label="Role" options={roles.map((it) => ({ value: it.role, words: it.name }))} bind:value={role} />
  </div>
  <p class="text-faded">{says}</p>
  {#if role === 'golfer'}
    {#if golfer}
      <p class="flex flex-wrap items-center gap-x-4">
        <span>This account sees what was released to <b>{golfer.name}</b>.</span>
        <button type="button" class="button min-h-11" onclick={() => (golfer = null)}>Somebody else…</button>
      </p>
    {:else}
      <label
        ><span class="label">Which golfer</span>
        <input
          class="entry"
          bind:value={search}
          maxlength="80"
          autocomplete="off"
          placeholder="Part of the name"
        /></label
      >
      <ul class="flex flex-wrap gap-2" aria-label="Golfers">
        {#each found as it (it.id)}
          <li><button type="button" class="button min-h-11" onclick={() => choose(it)}>{it.name}</button></li>
        {:else}
          {#if golfers.data}<li class="text-faded">Nobody of that name.</li>{/if}
        {/each}
      </ul>
    {/if}
  {/if}
  {#if adding.error}<Trouble error={adding.error} />{/if}
  <p>
    <button
      class="button primary min-h-12"
      disabled={adding.isPending || !name.trim() || (role === 'golfer' && !golfer)}>Add</button
    >
  </p>
</form>
