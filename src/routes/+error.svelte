<script lang="ts">
  import { page } from '$app/state';
</script>

<svelte:head><title>Not found · Ulterum</title></svelte:head>
<main class="mx-auto max-w-xl p-6">
  <h1 class="station-title mb-2">{page.status === 404 ? 'Nothing is here' : 'Something went wrong'}</h1>
  <p>{page.error?.message}</p>
  <p class="mt-4"><a class="btn btn-primary" href="/">All jobs</a></p>
</main>
