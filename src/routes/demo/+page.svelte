<script lang="ts">
  /** Opens the demo house; what somebody changed in it before is kept. */
  import { onMount } from 'svelte';
  import { goto } from '$app/navigation';
  import { SCHOOLHOUSE } from '$demo/schoolhouse';
  import { jobStore } from '$lib/state/store';

  let trouble = $state('');

  onMount(async () => {
    const store = jobStore();
    const there = await store.load(SCHOOLHOUSE.id);
    if (!there.ok) {
      const saved = await store.save(
        { job: SCHOOLHOUSE, saved: new Date().toISOString(), past: [], future: [] },
        0
      );
      if (!saved.ok && saved.reason !== 'conflict') {
        trouble = saved.why;
        return;
      }
    }
    await goto(`/job/${SCHOOLHOUSE.id}/${SCHOOLHOUSE.thermostats[0]?.id}/sheet`, { replaceState: true });
  });
</script>

<svelte:head><title>Demo · Ulterum</title></svelte:head>
<main class="mx-auto max-w-xl p-6">
  <h1 class="station-title">{SCHOOLHOUSE.name}</h1>
  {#if trouble}<p role="alert">The browser does not keep the demo house: {trouble}</p>{:else}<p>
      Opening …
    </p>{/if}
</main>
