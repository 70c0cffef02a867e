<!-- One finding: its sentence and its weight; opened, what speaks for and against it, what would settle it, what to change. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'
  import { stamp } from '$lib/data/clock'
  import { createWrite } from '$lib/data/write.svelte'
  import Picture from '$lib/drawing/Picture.svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import SchoolMark from '$lib/schools/SchoolMark.svelte'
  import Evidence from './Evidence.svelte'
  import Why from './Why.svelte'
  import { wayTo } from './check'
  import { answerFinding, voidAnswer } from './writes'

  interface Props {
    lessonId: string
    golfer?: { id: string; name: string } | undefined
    finding: Shapes['FindingOut']
    /** Its place among the first; none for what comes after. */
    place?: number
    open?: boolean
  }
  let { lessonId, golfer, finding, place, open = false }: Props = $props()

  // Its words may change while it is read: it stays open.
  // svelte-ignore state_referenced_locally
  let opened = $state(open)
  let asking = $state<'rejected' | 'overridden' | null>(null)
  let own = $state('')
  const saying = createWrite(answerFinding, () => ((asking = null), (own = '')))
  const voiding = createWrite((id: string) => voidAnswer(lessonId, id))
  function say(answer: Shapes['FindingAnswerIn']['answer'], words = ''): void {
    saying.mutate({ lesson_id: lessonId, cause: finding.cause, answer, words, answered_at: stamp() })
  }
  const named = $derived(finding.word === 'clear' || finding.word === 'likely')
</script>

<details class="border-b border-hairline" bind:open={opened} data-finding={finding.cause} data-word={finding.word}>
  <summary class="grid min-h-14 cursor-pointer grid-cols-[2.2rem_1fr] items-baseline py-3 pr-2 hover:bg-sheet">
    <span class="wide text-xl" aria-hidden="true">{place ?? '·'}</span>
    <span class="min-w-0 leading-snug">
      <span class={named ? 'text-lg font-semibold' : 'text-lg'}>{finding.words}</span>
      {#if finding.weight_words}<span class="block">{finding.weight_words}</span>{/if}
      {#if finding.through}<span class="block text-faded">{finding.through}</span>{/if}
      {#if finding.answer}<span class="block font-semibold" data-said
          >{finding.answer.said} <span class="font-normal text-faded">{finding.answer.then}</span></span
        >{/if}
    </span>
  </summary>
  <div class="grid gap-3 pb-4 pl-[2.2rem]">
    {#if finding.picture && opened}
      <div><Picture small scene={finding.picture} label={finding.words} words={finding.picture_words} /></div>
    {/if}
    {#if opened}{#each finding.decided_by as of (of)}<SchoolMark
          {of}
          whose={{ lesson: lessonId }}
          {golfer}
        />{/each}{/if}
    {#if opened}<p><Why of={{ lesson: lessonId }} key="cause:{finding.cause}" name={finding.words} /></p>{/if}
    {#if finding.speaks_for.length}<Evidence {lessonId} title="Speaks for it" facts={finding.speaks_for} />{/if}
    {#if finding.against.length}<Evidence {lessonId} title="Speaks against it" facts={finding.against} />{/if}
    {#if finding.missing}<p>{finding.missing}</p>{/if}
    {#if finding.check}
      <p>
        <span class="label block">What would tell it from the others</span>
        <a class="inline-flex min-h-11 items-center underline" href={wayTo(lessonId, finding.check, true)}
          >{finding.check.words}</a
        >
      </p>
    {/if}
    {#if finding.change}<p>
        <span class="label block">What is usually changed · an opinion</span>{finding.change}
      </p>{/if}
    {#if finding.answer}
      <p>
        <button class="button plain" onclick={() => finding.answer && voiding.mutate(finding.answer.id)}
          >Take back what you said</button
        >
      </p>
    {:else}
      <div class="flex flex-wrap gap-2">
        {#if named}<button class="button" disabled={saying.isPending} onclick={() => say('accepted')}>Accept</button>
          <button class="button" onclick={() => (asking = 'rejected')}>Reject…</button>{/if}
        <button class="button" onclick={() => (asking = 'overridden')}>Say it otherwise…</button>
      </div>
    {/if}
    {#if saying.error ?? voiding.error}<Trouble error={(saying.error ?? voiding.error)!} />{/if}
  </div>
</details>

<Sheet
  title={asking === 'rejected' ? 'Why not?' : 'What is it, in your own words?'}
  bind:open={
    () => asking !== null,
    (is) => {
      if (!is) asking = null
    }
  }
>
  <form
    onsubmit={(event) => {
      event.preventDefault()
      if (asking && own.trim()) say(asking, own.trim())
    }}
  >
    <p class="mb-2">{finding.words} It stays written beside what you say.</p>
    <input
      class="entry"
      bind:value={own}
      maxlength="200"
      aria-label={asking === 'rejected' ? 'The reason' : 'Your own words'}
    />
    <button class="button primary mt-3 min-h-14 w-full text-lg" disabled={!own.trim() || saying.isPending}
      >Keep it</button
    >
  </form>
</Sheet>
