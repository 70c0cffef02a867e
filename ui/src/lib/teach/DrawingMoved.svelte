<!-- One teaching drawing with its levers. Whatever a finger moves one lever to was drawn by the server already. -->
<script lang="ts">
  import Coming from '$lib/base/Coming.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import Stage from '$lib/drawing/Stage.svelte'
  import { drawingQuery } from './queries.svelte'

  let { lessonId, code }: { lessonId: string; code: string } = $props()

  /** Levers that were let go elsewhere than they began. */
  let stand = $state<string[]>([])
  const drawn = drawingQuery(
    () => lessonId,
    () => code,
    () => stand
  )
  const it = $derived(drawn.data)
  /** The lever a finger is on, and where it stands among its places. */
  let held = $state<{ lever: string; n: number } | null>(null)
  /** The lever that is moved by a finger on the picture: the one touched last. */
  let chosen = $state('')
  const lever = $derived(it?.levers.find((one) => one.code === (held?.lever ?? chosen)) ?? it?.levers[0])
  const pictures = $derived(it?.moved.find((one) => one.lever === lever?.code)?.frames ?? [])
  const places = (one: { low: number; high: number; step: number }) => Math.round((one.high - one.low) / one.step)
  const standsAt = (one: { low: number; step: number; value: number }) => Math.round((one.value - one.low) / one.step)
  const frame = $derived(
    pictures[held && held.lever === lever?.code ? held.n : lever ? standsAt(lever) : 0] ?? pictures[0]
  )
  const says = (one: { code: string; low: number; step: number; value: number }) =>
    it?.moved.find((moved) => moved.lever === one.code)?.frames[held?.lever === one.code ? held.n : standsAt(one)]
      ?.says ?? ''

  function move(of: string, n: number): void {
    chosen = of
    held = { lever: of, n }
  }
  /** Let go: the other levers' pictures are drawn with it where it stands now. */
  function letGo(): void {
    const was = held
    if (!was || !it) return
    const at = it.moved.find((one) => one.lever === was.lever)?.frames[was.n]?.value
    const stood = it.levers.map((one) => `${one.code}:${one.code === was.lever ? at : one.value}`)
    if (at === undefined || stood.join() === it.levers.map((one) => `${one.code}:${one.value}`).join()) return
    stand = stood
  }
  // What was moved stands there until the drawing with it has come.
  $effect(() => {
    const was = held
    const now = it?.levers.find((one) => one.code === was?.lever)
    if (was && now && !drawn.isPlaceholderData && stand.length && standsAt(now) === was.n) held = null
  })

  let board = $state<HTMLElement>()
  let wide = $state(0)
  let dragged = $state<{ x: number; n: number } | null>(null)
  function grab(event: PointerEvent): void {
    if (!lever || (event.target as Element).closest('button')) return
    const n = held?.lever === lever.code ? held.n : standsAt(lever)
    dragged = { x: event.clientX, n }
    ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
  }
  function drag(event: PointerEvent): void {
    if (!dragged || !lever || !wide) return
    const by = ((event.clientX - dragged.x) / (wide * 0.8)) * places(lever)
    move(lever.code, Math.min(places(lever), Math.max(0, Math.round(dragged.n + by))))
  }
  function drop(): void {
    if (!dragged) return
    dragged = null
    letGo()
  }
  let full = $state(false)
  const onfullscreenchange = () => (full = document.fullscreenElement === board)
</script>

<svelte:document {onfullscreenchange} />

{#if drawn.error && !it}
  <div class="mt-4"><Trouble error={drawn.error} again={() => drawn.refetch()} /></div>
{:else if !it || !frame}
  <Coming page what="The drawing" />
{:else}
  <div
    bind:this={board}
    class="grid flex-1 gap-x-6 desk:min-h-0 gap-y-3 bg-paper pt-3 {full
      ? 'grid-rows-[auto_minmax(0,1fr)_auto] p-[3vw]'
      : 'desk:grid-cols-[minmax(0,1fr)_290px] desk:grid-rows-[minmax(0,1fr)]'}"
    data-taught={code}
    data-shown={frame.value}
  >
    <div class="flex flex-col gap-2 desk:min-h-0">
      <ul class="{full ? 'text-[clamp(1.2rem,2.4vw,2.4rem)]' : 'text-lg'} leading-snug" aria-live="polite">
        {#each frame.told as one, n (n)}<li class={n ? '' : 'font-semibold'} data-told>{one}</li>{/each}
      </ul>
      <!-- svelte-ignore a11y_no_static_element_interactions (the same is moved by the levers, by keyboard too) -->
      <div
        class="relative min-h-[300px] flex-1 touch-none border-y border-hairline {dragged
          ? 'cursor-grabbing'
          : 'cursor-grab'}"
        data-taught-picture
        bind:clientWidth={wide}
        onpointerdown={grab}
        onpointermove={drag}
        onpointerup={drop}
        onpointercancel={drop}
      >
        <Stage grows scene={frame.scene} label="{it.name}. {frame.told.join(' ')}" />
      </div>
      <p class="text-[15px] text-faded">{it.scale} {it.own}</p>
    </div>
    <div class="flex flex-col gap-3">
      <div
        class="grid gap-x-8 gap-y-3 {full ? 'sm:grid-cols-3' : 'max-desk:sm:grid-cols-2'}"
        role="group"
        aria-label="What is moved"
      >
        {#each it.levers as one (one.code)}
          <label
            class="grid gap-1 border-l-4 pl-3 {one.code === lever?.code ? 'border-ink' : 'border-transparent'}"
            data-lever={one.code}
          >
            <span class="flex flex-wrap justify-between gap-x-3"
              ><span>{one.name}</span>
              <output class="font-semibold text-ink">{says(one)}</output></span
            >
            <input
              type="range"
              class="h-11 w-full accent-[var(--ink)]"
              min="0"
              max={places(one)}
              step="1"
              value={held?.lever === one.code ? held.n : standsAt(one)}
              aria-valuetext={says(one)}
              onpointerdown={() => (chosen = one.code)}
              oninput={(event) => move(one.code, Number(event.currentTarget.value))}
              onchange={() => letGo()}
            />
          </label>
        {/each}
      </div>
      {#each it.levers as one (one.code)}
        {#if one.code === 'draw'}
          <button
            type="button"
            class="button primary min-h-14 text-lg"
            onclick={() => {
              move('draw', ((held?.lever === 'draw' ? held.n : standsAt(one)) + 1) % (places(one) + 1))
              letGo()
            }}>Draw again</button
          >
        {/if}
      {/each}
      <button
        type="button"
        class="button"
        onclick={() => void (full ? document.exitFullscreen() : board?.requestFullscreen())}
        >{full ? 'Back' : 'Full screen'}</button
      >
      <p class="text-[15px] text-faded">A finger on the picture moves what is marked.</p>
      {#if drawn.error}<Trouble error={drawn.error} again={() => drawn.refetch()} />{/if}
    </div>
  </div>
{/if}
