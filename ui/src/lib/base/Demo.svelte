<!-- What is invented says so, wherever it is shown. -->
<script lang="ts"></script>

<span class="shrink-0 border border-engraved px-1.5 text-[13px] text-faded" data-demo
  ><span class="max-sm:hidden">invented&nbsp;</span>demo</span
>
