<!-- Somebody new: a name to sign in with, and a role. -->
<script lang="ts">
  import { v7 } from 'uuid'
  import Choice from '$lib/base/Choice.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import type { Shapes } from '$lib/data/client'
  import { createAsk } from '$lib/data/write.svelte'
  import { keepAccount } from './people'

  type Role = Shapes['RoleOut']['role']
  let { roles }: { roles: Shapes['RoleOut'][] } = $props()
  let name = $state('')
  let role = $state<Role>('coach')
  const adding = createAsk(
    () => keepAccount(v7(), name.trim(), role),
    () => (name = '')
  )
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
  {#if adding.error}<Trouble error={adding.error} />{/if}
  <p><button class="button primary min-h-12" disabled={adding.isPending || !name.trim()}>Add</button></p>
</form>
