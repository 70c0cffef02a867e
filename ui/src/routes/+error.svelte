<script lang="ts">
  import { page } from '$app/state'
</script>

<div class="p-6">
  <h1 class="wide text-2xl">Nothing here</h1>
  <p class="mt-2">{page.status === 404 ? 'There is no such page.' : page.error?.message}</p>
  <a class="button mt-4" href="/">Go to today</a>
</div>
