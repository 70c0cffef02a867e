<!-- The vial and the stage in every state they know; for those who change them, and for the tests. -->
<script lang="ts">
  import Stage from '$lib/drawing/Stage.svelte'
  import Vial from '$lib/drawing/Vial.svelte'
  import { STAGES, VIALS } from './states'
</script>

<svelte:head><title>States · Libella</title></svelte:head>

<div class="mx-auto grid max-w-[900px] gap-8 p-6">
  <h1 class="wide text-2xl">The vial</h1>
  {#each VIALS as { name, vial, words } (name)}
    <section data-state={name}>
      <h2 class="label">{name}</h2>
      <div class="grid items-center gap-4 md:grid-cols-[1fr_300px]">
        <Vial {vial} {words} size="large" />
        <p class="min-w-0 text-lg font-semibold wrap-break-word">{words}</p>
      </div>
      <div class="mt-2 flex flex-wrap items-start gap-6">
        <div class="w-72"><Vial {vial} {words} /></div>
        <div class="w-40"><Vial {vial} {words} size="row" /></div>
      </div>
    </section>
  {/each}
  <h1 class="wide text-2xl">The stage</h1>
  {#each STAGES as { name, scene } (name)}
    <section data-state={name}>
      <h2 class="label">{name}</h2>
      <div class="relative h-64 border border-hairline"><Stage {scene} stretch="true" /></div>
    </section>
  {/each}
</div>
