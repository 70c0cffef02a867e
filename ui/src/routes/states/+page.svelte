<!-- The shared pieces in every state they know; for those who change them, and for the tests. -->
<script lang="ts">
  import Choice from '$lib/base/Choice.svelte'
  import Coming from '$lib/base/Coming.svelte'
  import Flags from '$lib/base/Flags.svelte'
  import Said from '$lib/base/Said.svelte'
  import Stepper from '$lib/base/Stepper.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { drawnChoices, pictured } from '$lib/data/vocabulary.svelte'
  import Sketch from '$lib/drawing/Sketch.svelte'
  import Stage from '$lib/drawing/Stage.svelte'
  import Vial from '$lib/drawing/Vial.svelte'
  import { STAGES, VIALS } from './states'

  const SET_UPS = ['', 'no line on the ball', 'near spot', 'wide base']
  const LONG = 'Maximiliana-Theodora Featherstonehaugh-Cholmondeley, eyes closed while setting the putter down'
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
  <h2 class="wide text-2xl">Choosing, entering, waiting, refused</h2>
  <section data-state="chosen from drawings" class="grid gap-3">
    <Choice label="Cue on the ball" options={drawnChoices<string>('cue')} value="line" />
    <Choice
      label="Cue on the ball, small, some behind more"
      options={drawnChoices<string>('cue')}
      small
      first={2}
      value="blank"
    />
    {#each ['right', 'left'] as hand (hand)}
      <p class="label">A {hand}-hander’s set-ups</p>
      <div class="flex flex-wrap gap-2">
        {#each SET_UPS as it (it)}
          {@const scene = pictured('set_up', it, hand as 'right' | 'left')}
          {#if scene}<Sketch {scene} />{/if}
        {/each}
      </div>
    {/each}
  </section>
  <section data-state="entries" class="grid gap-3 sm:grid-cols-2">
    <Stepper
      label="Putts each"
      unit=""
      text="9"
      read={Number}
      step={() => undefined}
      onvalue={() => undefined}
      hint="How many is an opinion."
    />
    <Stepper
      label={LONG}
      unit="%"
      text="-1.5"
      read={Number}
      step={() => undefined}
      onvalue={() => undefined}
      error="Slope is 12 %; it must be −8 to 8 %."
    />
  </section>
  <section data-state="doubted"><Flags label="It counts less" flags={['rough']} change={() => undefined} /></section>
  <section data-state="coming"><Coming what={LONG} /></section>
  <section data-state="refused"><Trouble error={new Error(LONG)} again={() => undefined} /></section>
  <section data-state="words of the job">
    <p class="text-lg">
      <Said text="0.9° left, likely: the bias lies outside the window; the spread is what luck brings." />
    </p>
  </section>
  <h2 class="wide text-2xl">The stage</h2>
  {#each STAGES as { name, scene } (name)}
    <section data-state={name}>
      <h2 class="label">{name}</h2>
      <div class="relative h-64 border border-hairline"><Stage {scene} stretch="true" /></div>
    </section>
  {/each}
</div>
