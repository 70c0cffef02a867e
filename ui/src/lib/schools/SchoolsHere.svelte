<!-- The schools that decide something at this step, each with its mark; where this golfer's data speak they stand first. -->
<script lang="ts">
  import SchoolMark from './SchoolMark.svelte'
  import SchoolSheet from './SchoolSheet.svelte'
  import { schoolsQuery } from './queries.svelte'

  interface Props {
    at: string
    lesson: string
    golfer: { id: string; name: string }
  }
  let { at, lesson, golfer }: Props = $props()
  const schools = schoolsQuery(() => ({ lesson }))
  const here = $derived(
    schools.data?.disagreements.filter((it) => it.at === at || it.also_at.some((one) => one === at)) ?? []
  )
  const held = $derived(here.filter((it) => it.held))
  let chosen = $state('')
  const open = $derived(here.find((it) => it.code === chosen))
</script>

<!-- The way there stands at once: nothing below it moves as what is held comes in. -->
<div class="text-[15px]" data-schools={at}>
  {#each held as it (it.code)}
    {#if it.told_sure}<p class="mt-1 leading-snug font-semibold" data-told>{it.told} {it.stands}</p>{/if}
    <SchoolMark of={it.code} whose={{ lesson }} {golfer} words={it.words} opened={(of) => (chosen = of)} />
  {/each}
  <a class="inline-flex min-h-11 items-center text-faded underline" href="/golfers/{golfer.id}/schools#{at}"
    >Where coaches differ…</a
  >
</div>

{#if open}<SchoolSheet bind:open={() => chosen !== '', (is) => !is && (chosen = '')} it={open} {golfer} />{/if}
