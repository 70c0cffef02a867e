<!-- The strokes sensors told, newest first, each with the putt it belongs to; put right by hand where the time was wrong. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'
  import { choices } from '$lib/data/vocabulary.svelte'
  import { createWrite } from '$lib/data/write.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { sided } from './size'
  import { placeStroke } from './writes'

  interface Props {
    strokes: Shapes['StrokeLine'][]
    /** Putts of the lesson by id, in words. */
    putts: { id: string; words: string }[]
    lessonId: string
  }
  let { strokes, putts, lessonId }: Props = $props()

  const PAGE = 30
  let most = $state(PAGE)
  const told = $derived(choices('told').filter((it) => strokes.some((stroke) => it.value in stroke.measures)))
  const TIME = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', second: '2-digit' })
  const placing = createWrite(({ id, choice }: { id: string; choice: string }) =>
    placeStroke(lessonId, id, {
      reading_id: choice === 'time' || choice === 'aside' ? null : choice,
      set_aside: choice === 'aside'
    })
  )
</script>

{#if placing.error}<Trouble error={placing.error} />{/if}
<div class="overflow-x-auto">
  <table class="w-full text-left" data-strokes>
    <thead>
      <tr class="text-sm text-faded">
        <th class="py-1 pr-3 font-semibold">Made at</th>
        {#each told as { value, words } (value)}<th class="pr-3 font-semibold">{words}</th>{/each}
        <th class="font-semibold">Putt</th>
      </tr>
    </thead>
    <tbody>
      {#each strokes.slice(0, most) as it (it.id)}
        <tr class="border-t border-hairline" class:text-faded={it.set_aside}>
          <td class="pr-3 whitespace-nowrap"
            >{TIME.format(new Date(it.at))}{#if it.late_s > 5 && it.late_s < 3600}<span class="block text-sm text-faded"
                >{it.late_s.toFixed(0)} s late</span
              >{/if}</td
          >
          {#each told as { value: name } (name)}<td class="pr-3 whitespace-nowrap"
              >{name in it.measures ? sided(it.measures[name] ?? 0) : ''}</td
            >{/each}
          <td class="py-1">
            <select
              class="entry min-w-36"
              aria-label="Putt of the stroke at {TIME.format(new Date(it.at))}"
              value={it.set_aside ? 'aside' : it.by_hand ? (it.reading_id ?? 'time') : 'time'}
              onchange={(event) => placing.mutate({ id: it.id, choice: event.currentTarget.value })}
            >
              <option value="time"
                >{it.by_hand || it.set_aside
                  ? 'by its time'
                  : (putts.find((putt) => putt.id === it.reading_id)?.words ?? 'no putt near its time')}</option
              >
              <option value="aside">no putt: set aside</option>
              {#each putts as putt (putt.id)}<option value={putt.id}>{putt.words}</option>{/each}
            </select>
          </td>
        </tr>
      {/each}
    </tbody>
  </table>
</div>
{#if strokes.length > most}<button class="button mt-2 w-full" onclick={() => (most += PAGE)}>Older strokes</button>{/if}
