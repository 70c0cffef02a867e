<!-- The codes for the day a passphrase is forgotten: shown this once, to be written down or printed. -->
<script lang="ts">
  interface Props {
    codes: string[]
    done: () => unknown
  }
  let { codes, done }: Props = $props()
</script>

<section data-codes>
  <h1 class="wide text-3xl">Write these down</h1>
  <p class="mt-2 leading-snug">
    Each lets you choose another passphrase, once, should you forget it. They are shown only now: on paper, away from
    this device, they are worth most.
  </p>
  <ol class="mt-4 grid grid-cols-1 gap-x-6 gap-y-2 font-mono text-lg sm:grid-cols-2">
    {#each codes as it (it)}<li class="border-b border-hairline py-1 tabular-nums">{it}</li>{/each}
  </ol>
  <div class="mt-5 flex flex-wrap gap-2">
    <button class="button primary min-h-14 px-5 text-lg" onclick={() => done()}>I have written them down</button>
    <button class="button min-h-14" onclick={() => print()}>Print them</button>
  </div>
</section>
