<!-- How the studio is called, where it is and whose it is: on Today, at the sign-in and in links. -->
<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query'
  import Coming from '$lib/base/Coming.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { renew } from '$lib/data/cache'
  import { api, ask } from '$lib/data/client'
  import { key } from '$lib/data/key'
  import { createAsk } from '$lib/data/write.svelte'

  const FIELDS = [
    { name: 'name', words: 'Name', most: 80 },
    { name: 'place', words: 'Where it is', most: 40 },
    { name: 'coach', words: 'Whose it is', most: 40 }
  ] as const
  const studio = createQuery(() => ({ queryKey: key.studio(), queryFn: () => ask(api.GET('/api/studio')) }))
  let told = $state<Partial<Record<'name' | 'place' | 'coach', string>>>({})
  const said = $derived({ name: '', place: '', coach: '', ...studio.data, ...told })
  const changed = $derived(FIELDS.some((it) => told[it.name] !== undefined && told[it.name] !== studio.data?.[it.name]))
  const naming = createAsk(
    async () => {
      const { name, place, coach } = said
      await ask(api.PUT('/api/studio', { body: { name, place, coach } }))
      await renew(key.studio(), key.session(), key.today(), key.deeds(''))
    },
    () => (told = {})
  )
</script>

<section class="mt-8" data-studio>
  <h2 class="wide text-xl">The studio</h2>
  {#if studio.error}
    <Trouble error={studio.error} again={() => studio.refetch()} />
  {:else if studio.data}
    <form
      class="mt-2 flex flex-wrap items-end gap-3"
      onsubmit={(event) => {
        event.preventDefault()
        naming.mutate(undefined)
      }}
    >
      {#each FIELDS as it (it.name)}
        <label class="min-w-52 flex-1"
          ><span class="label">{it.words}</span>
          <input
            class="entry"
            value={said[it.name]}
            oninput={(event) => (told[it.name] = event.currentTarget.value)}
            maxlength={it.most}
            required={it.name === 'name'}
          /></label
        >
      {/each}
      <button class="button min-h-12" disabled={!changed || naming.isPending}>Name it so</button>
    </form>
    {#if naming.error}<Trouble error={naming.error} />{/if}
  {:else}
    <Coming what="The studio" />
  {/if}
</section>
