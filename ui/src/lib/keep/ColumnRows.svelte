<!-- How a file's columns are read: what each tells, in which unit, and which side is its plus. -->
<script lang="ts">
  import { named } from '$lib/data/vocabulary.svelte'
  import type { Shapes } from '$lib/data/client'

  interface Props {
    file: Shapes['ImportOut']
    columns: Shapes['ColumnUseIn'][]
    errors: (field: string) => string | undefined
    onchange: (columns: Shapes['ColumnUseIn'][]) => void
  }
  let { file, columns, errors, onchange }: Props = $props()

  const use = (n: number) => columns.find((it) => it.column === n) ?? { column: n, target: '', unit: '', positive: '' }
  const target = (name: string | undefined) => file.targets.find((it) => it.name === name)
  function set(n: number, change: Partial<Shapes['ColumnUseIn']>): void {
    onchange([...columns.filter((it) => it.column !== n), { ...use(n), ...change }].sort((a, b) => a.column - b.column))
  }
  function tell(n: number, name: string): void {
    const told = target(name)
    const guess = file.columns[n]?.guess
    const fits = guess?.target === name
    set(n, {
      target: name,
      unit: fits ? guess.unit : told?.units.length === 1 || told?.units.includes('') ? (told.units[0] ?? '') : '',
      positive: fits ? guess.positive : (told?.sides[0] ?? '')
    })
  }
</script>

<div class="overflow-x-auto">
  <table class="w-full text-left" data-columns>
    <thead>
      <tr class="text-sm text-faded"
        ><th class="py-1 pr-3 font-semibold">Column</th><th class="pr-3 font-semibold">Its first values</th><th
          class="pr-3 font-semibold">Tells</th
        ><th class="pr-3 font-semibold">In</th><th class="font-semibold">Plus is</th></tr
      >
    </thead>
    <tbody>
      {#each file.columns as column, n (n)}
        {@const it = use(n)}
        {@const told = target(it.target)}
        {@const wrong = [`columns.${n}`, `columns.${n}.unit`, `columns.${n}.positive`].map(errors).find(Boolean)}
        <tr class="border-t border-hairline align-middle {it.target ? '' : 'text-faded'}">
          <th class="max-w-48 truncate py-1 pr-3 font-semibold" title={column.heading}>{column.heading}</th>
          <td class="max-w-64 truncate pr-3">{column.samples.slice(0, 3).join(' · ') || 'empty'}</td>
          <td class="py-1 pr-3">
            <select
              class="entry min-w-40"
              aria-label="What {column.heading} tells"
              value={it.target}
              onchange={(event) => tell(n, event.currentTarget.value)}
            >
              <option value="">nothing we need</option>
              {#each file.targets as other (other.name)}<option value={other.name}>{other.label}</option>{/each}
            </select>
            {#if column.why}<p class="text-[13px] text-faded">{column.why}</p>{/if}
            {#if wrong}<p class="text-[13px] font-semibold text-danger">{wrong}</p>{/if}
          </td>
          <td class="pr-3">
            {#if (told?.units.length ?? 0) > 1}
              <select
                class="entry min-w-20"
                aria-label="Unit of {column.heading}"
                value={it.unit}
                onchange={(event) => set(n, { unit: event.currentTarget.value })}
              >
                {#if !told?.units.includes(it.unit)}<option value={it.unit}>which?</option>{/if}
                {#each told?.units ?? [] as unit (unit)}<option value={unit}>{unit}</option>{/each}
              </select>
            {:else}{it.unit}{/if}
          </td>
          <td>
            {#if told?.sides.length}
              <select
                class="entry min-w-28"
                aria-label="Plus of {column.heading}"
                value={it.positive}
                onchange={(event) => set(n, { positive: event.currentTarget.value })}
              >
                {#each told.sides as side (side)}<option value={side}>{named('side', side)}</option>{/each}
              </select>
            {/if}
          </td>
        </tr>
      {/each}
    </tbody>
  </table>
</div>
